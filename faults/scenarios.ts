/** What may break while authors write. Each is done to a real server and database; what was acknowledged must be there, once. */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { DeckSummary, OpenDeck } from '@alvex/contract';
import { Alvex, freePort, root } from '../e2e/alvex.ts';
import { random } from '../packages/core/src/test/build.ts';
import { Writer } from './writer.ts';

export interface Counted {
  readonly acknowledged: number;
  readonly found: number;
  /** Acknowledged and there more than once. */
  readonly doubled: number;
  /** Acknowledged and not there. */
  readonly lost: number;
  /** What was answered instead, by code. */
  readonly refusals: Readonly<Record<string, number>>;
  /** Why it could not be tried here. */
  readonly skipped?: string;
}

interface Trying {
  readonly alvex: Alvex;
  readonly next: () => number;
  readonly seconds: number;
}
type Break = (trying: Trying) => Promise<void>;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
const WRITERS = 3;

async function waitUntilWell(alvex: Alvex): Promise<void> {
  for (let tries = 0; tries < 600; tries++) {
    const well = await fetch(`${alvex.address}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (well) return;
    await pause(100);
  }
  throw new Error('The server did not come back');
}

/** Kills it again and again, at moments that nobody chose. */
const killing =
  (what: 'server' | 'database'): Break =>
  async ({ alvex, next, seconds }) => {
    const end = Date.now() + seconds * 1000;
    while (Date.now() < end) {
      await pause(300 + next() * 1200);
      try {
        alvex.kill(what);
      } catch {
        // It has not come back yet.
      }
      await waitUntilWell(alvex);
    }
  };

const calm: Break = ({ seconds }) => pause(seconds * 1000);

/** A setting of the database is turned, and turned back. */
const turning =
  (on: string, off: string): Break =>
  async ({ alvex, seconds, next }) => {
    for (let i = 0; i < Math.max(1, seconds / 3); i++) {
      await pause(300 + next() * 300);
      alvex.command(on);
      await pause(1000);
      alvex.command(off);
    }
  };

interface Scenario {
  readonly breaks: Break;
  readonly cut?: number;
  /** A second server on the same database. */
  readonly two?: true;
}

export const SCENARIOS: Readonly<Record<string, Scenario>> = {
  'server killed': { breaks: killing('server') },
  'database killed': { breaks: killing('database') },
  'network cut': { breaks: calm, cut: 0.5 },
  'two servers on one database': { breaks: calm, two: true, cut: 0.1 },
  'two servers, database killed': { breaks: killing('database'), two: true },
  'database read-only': {
    breaks: turning('SET GLOBAL read_only=1', 'SET GLOBAL read_only=0'),
  },
  'small packets': {
    // Connections have the limit with which they began.
    breaks: turning(
      "SET GLOBAL max_allowed_packet=1024; KILL USER 'alvex'",
      "SET GLOBAL max_allowed_packet=201326592; KILL USER 'alvex'",
    ),
  },
};

export async function tryFault(name: string, seconds: number, seed: number): Promise<Counted> {
  const scenario = SCENARIOS[name];
  if (scenario === undefined) throw new Error(`There is no fault called ${name}`);
  const alvex = new Alvex();
  await alvex.start({ ALVEX_DEMO_ROOT: '' });
  let second: ChildProcess | undefined;
  try {
    const addresses = [alvex.address];
    if (scenario.two === true) {
      const port = await freePort();
      second = spawn('node', [join(root, 'packages/server/dist/main.mjs')], {
        env: { ...process.env, ...alvex.serverSettings(), ALVEX_PORT: String(port) },
        stdio: ['ignore', 'ignore', 'inherit'],
      });
      addresses.push(`http://127.0.0.1:${port}`);
      await waitFor(addresses[1]!);
    }
    const next = random(seed);
    return await counted(alvex, addresses, scenario, seconds, next);
  } finally {
    if (second !== undefined && second.exitCode === null) {
      second.kill('SIGTERM');
      await once(second, 'exit');
    }
    await alvex.stop();
    alvex.clean();
  }
}

async function waitFor(address: string): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(`${address}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return;
    await pause(100);
  }
  throw new Error('The second server did not start');
}

async function counted(
  alvex: Alvex,
  addresses: readonly string[],
  scenario: Scenario,
  seconds: number,
  next: () => number,
): Promise<Counted> {
  const made = await fetch(`${alvex.address}/api/decks?name=a.md`, { method: 'POST', body: '# A\n\n- b\n' });
  const { deck } = (await made.json()) as { readonly deck: DeckSummary };
  const writers = Array.from(
    { length: WRITERS },
    () =>
      new Writer({
        deck: deck.id,
        address: () => addresses[Math.floor(next() * addresses.length)]!,
        next,
        ...(scenario.cut === undefined ? {} : { cut: scenario.cut }),
      }),
  );
  const running = writers.map((writer) => writer.run());
  await scenario.breaks({ alvex, next, seconds });
  for (const writer of writers) writer.stop();
  await Promise.all(running);
  await waitUntilWell(alvex);
  return account(alvex, deck.id, writers);
}

async function account(alvex: Alvex, deck: string, writers: readonly Writer[]): Promise<Counted> {
  const { log } = (await (await fetch(`${alvex.address}/api/decks/${deck}`)).json()) as OpenDeck;
  const there = new Map<string, number>();
  for (const entry of log)
    if (entry.kind === 'retitle') there.set(entry.runs[0]!.text, (there.get(entry.runs[0]!.text) ?? 0) + 1);
  const acknowledged = writers.flatMap((writer) => writer.acknowledged);
  const refusals: Record<string, number> = {};
  for (const writer of writers)
    for (const [code, times] of writer.refusals) refusals[code] = (refusals[code] ?? 0) + times;
  return {
    acknowledged: acknowledged.length,
    found: acknowledged.filter((text) => there.has(text)).length,
    doubled: acknowledged.filter((text) => (there.get(text) ?? 0) > 1).length,
    lost: acknowledged.filter((text) => !there.has(text)).length,
    refusals,
  };
}

const DISK_MEGABYTES = 480;

/** The disk of the database gets full, for a while; this needs a small disk of its own, which only root can make. */
export async function tryFullDisk(seconds: number, seed: number): Promise<Counted> {
  const none = { acknowledged: 0, found: 0, doubled: 0, lost: 0, refusals: {} };
  const alvex = new Alvex();
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const run = (...args: readonly string[]): boolean => {
    const [command, ...rest] = [...asRoot, ...args];
    return spawnSync(command!, rest, { stdio: 'ignore' }).status === 0;
  };
  const size = `size=${DISK_MEGABYTES}m,mode=0777`;
  if (!run('mount', '-t', 'tmpfs', '-o', size, 'tmpfs', alvex.folder)) {
    alvex.clean();
    return { ...none, skipped: 'a small disk can be made by root only' };
  }
  const filler = join(alvex.folder, 'filler');
  try {
    await alvex.start({ ALVEX_DEMO_ROOT: '' });
    const fill: Break = async ({ next }) => {
      for (let i = 0; i < Math.max(1, seconds / 6); i++) {
        await pause(500 + next() * 500);
        fillUp(filler);
        // What one brings in does not find room either, and is told so.
        await fetch(`${alvex.address}/api/decks?name=b.md`, { method: 'POST', body: 'words '.repeat(400_000) }).catch(
          () => undefined,
        );
        await pause(2500);
        rmSync(filler, { force: true });
        await waitUntilWell(alvex);
        await pause(500);
      }
    };
    return await counted(alvex, [alvex.address], { breaks: fill }, seconds, random(seed));
  } finally {
    rmSync(filler, { force: true });
    await alvex.stop();
    run('umount', alvex.folder);
    alvex.clean();
  }
}

function fillUp(file: string): void {
  const megabyte = Buffer.alloc(1024 * 1024, 1);
  try {
    for (;;) writeFileSync(file, megabyte, { flag: 'a' });
  } catch {
    // It is full.
  }
}
