/** The real server on a real database of its own, for all tests of a run. */
import { test as base, expect, type Page } from '@playwright/test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';

export const root = join(import.meta.dirname, '..');

export class Alvex {
  /** Of its database and whatever else it keeps. */
  readonly folder = mkdtempSync(join(tmpdir(), 'alvex-e2e-'));
  #port = 0;
  #process: ChildProcess | undefined;

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  /** @param settings Of the environment, beyond the usual ones. */
  async start(settings: Readonly<Record<string, string>> = {}): Promise<void> {
    if (this.#port === 0) this.#port = await freePort();
    const child = spawn('node', [join(root, 'scripts/start.mjs')], {
      env: { ...process.env, ALVEX_DATA: this.folder, ALVEX_PORT: String(this.#port), ALVEX_LOG: 'error', ...settings },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.#process = child;
    for await (const piece of child.stdout) if (String(piece).includes('Alvex is at')) return;
    throw new Error('The server did not start');
  }

  /** Ends the server and the database as Ctrl-C does, and waits until both are gone. */
  async stop(): Promise<void> {
    const child = this.#process;
    if (child === undefined || child.exitCode !== null) return;
    child.kill('SIGINT');
    await once(child, 'exit');
  }

  get #databasePort(): string {
    return /^port=(\d+)$/m.exec(readFileSync(join(this.folder, 'database/my.cnf'), 'utf8'))![1]!;
  }

  /** What a further server on the same database is told. */
  serverSettings(): Readonly<Record<string, string>> {
    const password = readFileSync(join(this.folder, 'database/password'), 'utf8');
    return { ALVEX_DB_PORT: this.#databasePort, ALVEX_DB_PASSWORD: password, ALVEX_DEMO_ROOT: '', ALVEX_LOG: 'fatal' };
  }

  /** Gives the database an order that only its owner may give. */
  command(sql: string): void {
    const socket = join(this.folder, 'database/data/s.sock');
    const owner = userInfo().username;
    const { status, stderr } = spawnSync('mariadb', ['--no-defaults', '-S', socket, '-u', owner, '-e', sql], {
      encoding: 'utf8',
    });
    if (status !== 0) throw new Error(stderr);
  }

  /** Asks the database itself. */
  query(sql: string): void {
    const port = this.#databasePort;
    const { status, stderr } = spawnSync(
      'mariadb',
      ['--no-defaults', '-h127.0.0.1', `-P${port}`, '-ualvex', 'alvex', '-e', sql],
      {
        encoding: 'utf8',
        env: { ...process.env, MYSQL_PWD: readFileSync(join(this.folder, 'database/password'), 'utf8') },
      },
    );
    if (status !== 0) throw new Error(stderr);
  }

  /** The process of the database or of the server. */
  processOf(what: 'database' | 'server'): number {
    if (what === 'database') return Number(readFileSync(join(this.folder, 'database/mariadb.pid'), 'utf8'));
    const found = spawnSync('pgrep', ['-P', String(this.#process!.pid), '-f', 'server/dist/main.mjs'], {
      encoding: 'utf8',
    });
    return Number(found.stdout.trim());
  }

  /** Ends the database or the server at once, as a fault would. @returns Its process. */
  kill(what: 'database' | 'server'): number {
    const pid = this.processOf(what);
    process.kill(pid, 'SIGKILL');
    return pid;
  }

  clean(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }
}

export async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  server.close();
  await once(server, 'close');
  return port;
}

export const test = base.extend<object, { alvex: Alvex }>({
  alvex: [
    async ({}, use) => {
      const alvex = new Alvex();
      await alvex.start();
      await use(alvex);
      await alvex.stop();
      alvex.clean();
    },
    { scope: 'worker', timeout: 180_000 },
  ],
});

interface File {
  readonly name: string;
  readonly content: string | Buffer;
}

/** Makes a deck as any program can. Through the page it takes as long as all that an ordinary test then does; tests of bringing in go that way. */
async function makeDeck(alvex: Alvex, { name, content }: File): Promise<string> {
  const response = await fetch(`${alvex.address}/api/decks?${new URLSearchParams({ name })}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: content as BodyInit,
  });
  expect(response.status).toBe(201);
  return ((await response.json()) as { deck: { id: string } }).deck.id;
}

async function goToSlides(page: Page, alvex: Alvex, id: string): Promise<void> {
  await page.goto(`${alvex.address}/decks/${id}/slides`);
  await expect(page.getByTestId('slide-count')).toBeVisible();
}

/** Makes a deck of a file and waits for its slides. */
export async function bringIn(page: Page, alvex: Alvex, file: File): Promise<void> {
  await goToSlides(page, alvex, await makeDeck(alvex, file));
}

/** The same, for work on slides that are as a talk's map makes them: a deck from before anything was decided when it was made. */
export async function bringInPlain(...[page, alvex, file]: Parameters<typeof bringIn>): Promise<void> {
  const id = await makeDeck(alvex, file);
  alvex.query(`UPDATE decks SET beginning = NULL WHERE id = '${id}'`);
  await goToSlides(page, alvex, id);
}

/** Goes on from what is seen of a new deck first to its slides. */
export async function openDeck(page: Page): Promise<void> {
  await page.waitForURL(/\/decks\/.+\/overview/);
  await page.getByRole('link', { name: 'Open the deck' }).click();
  await expect(page.getByTestId('slide-count')).toBeVisible();
}

/** Its link in the line across the top. */
export const station = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name });

/** Goes to another place of an open deck by its link in a navigation: to load all anew takes a second. */
export async function goWithin(page: Page, path: string): Promise<void> {
  const link = page.locator(`nav a[href$="/${path}"]`).first();
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}

/** Of the Look station. */
export const SHELVES = ['Themes', 'Colours', 'Type', 'Foot and logo', 'Layouts', 'Movement', 'Template'];

export async function openShelf(page: Page, label: string): Promise<void> {
  const button = page.getByRole('navigation', { name: 'Shelves' }).getByRole('button', { name: label });
  await button.click();
  await expect(button).toHaveAttribute('aria-current', 'page');
}

/** The page on which every word of the document is accounted for. */
export async function everyWord(page: Page): Promise<void> {
  await station(page, 'Check').click();
  await page.getByRole('link', { name: 'Every word' }).click();
}

export const slide = (page: Page, number: number) =>
  page.getByRole('listitem', { name: `Slide ${number}`, exact: true });

export const kept = (page: Page) => expect(page.getByRole('banner').getByRole('status')).toHaveText(/^(kept|all kept)/);

/** Text as it is drawn on a slide, one string a line of type. */
export const drawn = (page: Page, number: number) => slide(page, number).locator('svg text');

export { expect };
