/** The schema is brought up to date whatever happened before: a server killed in the middle, several at once, records lost. */
import { afterEach, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { RealServer } from '../test/real.ts';
import { connect, type Db } from './connect.ts';
import { migrate, STEPS } from './migrations.ts';

let real: RealServer | undefined;
afterEach(() => real?.stop());

const columns = async (db: Db): Promise<readonly string[]> => {
  const rows = (await db('information_schema.columns')
    .where({ table_schema: 'alvex' })
    .whereNot('table_name', 'like', 'schema_steps%')
    .orderBy(['table_name', 'column_name'])
    .select(db.raw("concat(table_name, '.', column_name) as name"))) as { name: string }[];
  return rows.map(({ name }) => name);
};

test('a step that was begun and not ended is taken again, wherever it was left', async () => {
  let wanted: readonly string[] = [];
  real = await RealServer.start(async (db) => {
    await migrate(db);
    wanted = await columns(db);
    for (const [i, step] of STEPS.entries()) {
      // As if the machine had been switched off behind the step, and in the midst of it.
      await db('schema_steps')
        .whereIn(
          'name',
          STEPS.slice(i).map(({ name }) => name),
        )
        .del();
      if (step.tables.length > 1) await db.schema.dropTableIfExists(step.tables.at(-1)!);
      for (const later of STEPS.slice(i + 1).toReversed())
        for (const table of later.tables.toReversed()) await db.schema.dropTableIfExists(table);
      if (i === 0) await db('workspaces').del();
      await migrate(db);
      expect([step.name, await columns(db)]).toEqual([step.name, wanted]);
    }
  });
  expect(await real.context.db('workspaces').select('id')).toEqual([{ id: 1 }]);
}, 60_000);

test('several servers at once take each step once', async () => {
  real = await RealServer.start(async (db) => {
    const { host, port, user, password, database } = db.client.config.connection as Parameters<typeof connect>[0];
    const others = [1, 2, 3].map(() => connect({ host, port, user, password, database }));
    await Promise.all([db, ...others].map((one) => migrate(one)));
    await Promise.all(others.map((one) => one.destroy()));
    expect(await db('schema_steps').orderBy('id').pluck('name')).toEqual(STEPS.map(({ name }) => name));
  });
}, 60_000);

test('tables that hold work and are of no known version are left as they are', async () => {
  await expect(
    RealServer.start(async (db) => {
      await migrate(db);
      await db('own_maps').insert({ id: 'm', workspace_id: 1, name: 'mine', recipe: '{}', created_at: new Date() });
      await db('schema_steps').where('name', '002-editions-and-maps').del();
      try {
        await expect(migrate(db)).rejects.toThrow('own_maps holds work');
        expect(await db('own_maps').pluck('name')).toEqual(['mine']);
      } finally {
        await db('schema_steps').insert({ name: '002-editions-and-maps', batch: 1 });
      }
    }).then((started) => (real = started)),
  ).resolves.toBeDefined();
}, 60_000);

test('a database that starts leaves the files of others on the machine alone', async () => {
  const others = join(tmpdir(), '#sql-temptable-other-1-2.MAD');
  writeFileSync(others, 'a table of another server, while it is made');
  try {
    real = await RealServer.start();
    expect(existsSync(others)).toBe(true);
  } finally {
    rmSync(others, { force: true });
  }
}, 60_000);

test('a database ends when whoever started it was killed', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'alvex-orphan-'));
  const script = join(process.cwd(), 'scripts/database.mjs');
  const starts = `const { startDatabase } = await import(process.argv[1]);
    console.log((await startDatabase(process.argv[2])).pid);`;
  const child = spawn('node', ['--input-type=module', '-e', starts, script, folder], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  try {
    const [said] = (await once(child.stdout, 'data')) as [Buffer];
    const pid = Number(said.toString());
    // Of one that ended and was not yet taken note of, nothing is left but its number.
    const runs = () => existsSync(`/proc/${pid}`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8') !== '';
    expect(runs()).toBe(true);
    child.kill('SIGKILL');
    for (let tries = 0; runs() && tries < 300; tries++) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(runs()).toBe(false);
  } finally {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}, 60_000);
