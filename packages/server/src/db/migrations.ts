/** The schema, step by step. Every stored thing belongs to a workspace. */
import type { Knex } from 'knex';

/** A step that was begun and not ended, as where the machine was switched off, is taken again from its begin. */
interface Step {
  readonly name: string;
  /** Tables that it makes, in their order. */
  readonly tables: readonly string[];
  readonly up: (db: Knex) => Promise<unknown>;
}

export const STEPS: readonly Step[] = [
  {
    name: '001-first',
    tables: ['workspaces', 'blobs', 'decks', 'entries', 'documents'],
    up: async (db) => {
      await db.schema.createTable('workspaces', (t) => {
        t.increments('id');
        t.string('name', 200).notNullable();
        t.boolean('demo_loaded').notNullable().defaultTo(false);
      });
      await db('workspaces').insert({ id: 1, name: 'This computer' });
      await db.schema.createTable('blobs', (t) => {
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.specificType('hash', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.string('mime', 150).notNullable();
        t.integer('size').unsigned().notNullable();
        t.specificType('bytes', 'longblob').notNullable();
        t.primary(['workspace_id', 'hash']);
      });
      await db.schema.createTable('decks', (t) => {
        t.specificType('id', 'char(36) character set ascii collate ascii_bin').primary();
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.string('name', 200).notNullable();
        t.string('file_name', 255).notNullable();
        t.string('type', 20).notNullable();
        t.specificType('original', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.integer('words').unsigned().notNullable();
        t.integer('version').unsigned().notNullable().defaultTo(0);
        t.datetime('created_at', { precision: 3 }).notNullable();
        t.datetime('updated_at', { precision: 3 }).notNullable();
        t.datetime('deleted_at', { precision: 3 });
        t.index(['workspace_id', 'deleted_at', 'updated_at']);
      });
      await db.schema.createTable('entries', (t) => {
        t.specificType('deck_id', 'char(36) character set ascii collate ascii_bin')
          .notNullable()
          .references('decks.id');
        t.integer('version').unsigned().notNullable();
        t.specificType('entry', 'longtext').notNullable();
        t.datetime('at', { precision: 3 }).notNullable();
        t.primary(['deck_id', 'version']);
      });
      // A cache: what a reader made of an original. It can be emptied at any time.
      await db.schema.createTable('documents', (t) => {
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.specificType('original', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.string('type', 20).notNullable();
        t.integer('reader').unsigned().notNullable();
        t.specificType('packed', 'longblob').notNullable();
        t.primary(['workspace_id', 'original', 'type', 'reader']);
      });
    },
  },
  {
    name: '002-editions-and-maps',
    tables: ['editions', 'own_maps'],
    up: async (db) => {
      // Files that may be, or were, new editions of a deck's document. The log says which one is in force.
      await db.schema.createTable('editions', (t) => {
        t.specificType('deck_id', 'char(36) character set ascii collate ascii_bin')
          .notNullable()
          .references('decks.id');
        t.specificType('original', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.string('type', 20).notNullable();
        t.string('file_name', 255).notNullable();
        t.datetime('at', { precision: 3 }).notNullable();
        t.primary(['deck_id', 'original']);
      });
      await db.schema.createTable('own_maps', (t) => {
        t.specificType('id', 'char(36) character set ascii collate ascii_bin').primary();
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.string('name', 100).notNullable();
        t.specificType('recipe', 'longtext').notNullable();
        t.datetime('created_at', { precision: 3 }).notNullable();
        t.index(['workspace_id', 'name']);
      });
      await addColumn(db, 'entries', 'batch', 'char(36) character set ascii collate ascii_bin');
      await db.raw('CREATE INDEX IF NOT EXISTS entries_deck_id_batch_index ON entries (deck_id, batch)');
    },
  },
  {
    name: '003-ids',
    tables: [],
    up: (db) =>
      // How the ids in a deck's log were made; logs of older ones are carried over when they are read.
      addColumn(db, 'decks', 'ids', 'tinyint unsigned NOT NULL DEFAULT 1'),
  },
  {
    name: '004-writers',
    tables: [],
    up: (db) =>
      // Who wrote an entry, so that undoing takes back one's own.
      addColumn(db, 'entries', 'writer', 'char(36) character set ascii collate ascii_bin'),
  },
  {
    name: '005-touched',
    tables: [],
    up: (db) =>
      // When a file was last brought in: one that no deck needs, and that none is being made of, may go.
      addColumn(db, 'blobs', 'touched_at', 'datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)'),
  },
  {
    name: '006-beginning',
    tables: [],
    up: (db) =>
      // What was decided for the document when the deck was made of it, as edits before its log; decks from before have none.
      addColumn(db, 'decks', 'beginning', 'longtext'),
  },
  {
    name: '007-answers',
    tables: ['answers'],
    up: (db) =>
      // What was answered to requests that carry a key, for a day.
      db.schema.createTable('answers', (t) => {
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.specificType('key_hash', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.specificType('request', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.specificType('body', 'longtext');
        t.datetime('created_at', { precision: 3 }).notNullable().index();
        t.primary(['workspace_id', 'key_hash']);
      }),
  },
];

const addColumn = (db: Knex, table: string, column: string, type: string): Promise<unknown> =>
  db.raw(`ALTER TABLE ?? ADD COLUMN IF NOT EXISTS ?? ${type}`, [table, column]);

const LOCK = 'alvex-schema';
const LOCK_SECONDS = 120;
const RECORD = 'schema_steps';

/**
 * Brings the schema up to date. Several servers may start at once: one takes the steps, the others wait. The lock is that of
 * a connection, so that nothing is left of it when a server dies.
 */
export async function migrate(db: Knex, steps = STEPS): Promise<void> {
  await db.transaction(async (holder) => {
    const [[{ taken }]] = (await holder.raw('SELECT GET_LOCK(?, ?) AS taken', [LOCK, LOCK_SECONDS])) as [
      [{ taken: number | null }],
    ];
    if (taken !== 1) throw new Error(`Another server has been changing the schema for ${LOCK_SECONDS} seconds.`);
    try {
      await takeSteps(db, steps);
    } finally {
      await holder.raw('SELECT RELEASE_LOCK(?)', [LOCK]);
    }
  });
}

async function takeSteps(db: Knex, steps: readonly Step[]): Promise<void> {
  // As Knex made it in former versions.
  await db.raw(
    `CREATE TABLE IF NOT EXISTS ${RECORD} (id int unsigned NOT NULL AUTO_INCREMENT PRIMARY KEY, name varchar(255), batch int, migration_time timestamp NULL DEFAULT NULL)`,
  );
  const done = new Set(((await db(RECORD).select('name')) as { name: string }[]).map(({ name }) => name));
  for (const { name, tables, up } of steps) {
    if (done.has(name)) continue;
    for (const table of tables.toReversed()) await dropUnused(db, table);
    await up(db);
    await db(RECORD).insert({ name, batch: 1, migration_time: new Date() });
  }
}

/** A table of a step that was not ended holds nothing; one that does is somebody's work, whatever the record says. */
async function dropUnused(db: Knex, table: string): Promise<void> {
  if (!(await db.schema.hasTable(table))) return;
  const rows = (await db(table).limit(2).select('*')) as readonly object[];
  if (rows.length > (table === 'workspaces' ? 1 : 0))
    throw new Error(
      `The table ${table} holds work, and nothing says which version of Alvex made it. Nothing was changed.`,
    );
  await db.schema.dropTable(table);
}
