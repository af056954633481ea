/** The worker as a whole: what it is told, what it says, and what it keeps to itself because it came too late. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { plainLook, type DocumentModel, type Edit, type PageKey } from '@alvex/core';
import { doc, h, li, p } from '../../../core/src/test/build.ts';
import type { FromWorker, Told, ToWorker } from './protocol.ts';

const [mill, pond] = [doc(h(1, 'Tide'), li('spring'), h(1, 'Gates'), p('Said.')), doc(h(1, 'Pond'), li('silt'))];
let said: FromWorker[] = [];
let tell: (message: ToWorker) => void;
/** What the server gives, by address; held back until it is let go. */
const served = new Map<string, { readonly body: unknown; readonly held: Promise<void> }>();
const serve = (url: string, body: unknown): (() => void) => {
  let release = (): void => undefined;
  served.set(url, { body, held: new Promise((resolve) => (release = resolve)) });
  return release;
};
const open = async (url: string, document: DocumentModel): Promise<void> => {
  serve(url, document)();
  tell({ kind: 'open', url });
  await until(() => all('document').length > 0);
};
const all = <K extends Told['kind']>(kind: K): readonly Told<K>[] =>
  said.filter((one): one is Told<K> => one.kind === kind);
async function until(there: () => boolean): Promise<void> {
  for (let i = 0; i < 400 && !there(); i++) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(there()).toBe(true);
}
const quiet = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 30));
let seq = 0;
const edits = (...made: readonly Edit[]): ToWorker => ({
  kind: 'edits',
  edits: made,
  seq: ++seq,
  templates: '/templates',
});

const before: Record<string, unknown> = { self: (globalThis as { self?: unknown }).self, fetch: globalThis.fetch };
beforeAll(async () => {
  Object.assign(globalThis as object, {
    self: {
      addEventListener: (_: string, listen: (event: { data: ToWorker }) => void) =>
        (tell = (data) => listen({ data: structuredClone(data) })),
      postMessage: (message: FromWorker) => void said.push(structuredClone(message)),
    },
    fetch: async (url: string) => {
      const found = served.get(url);
      await found?.held;
      return found === undefined
        ? new Response(JSON.stringify({ error: { message: 'It is gone.' } }), { status: 404 })
        : new Response(JSON.stringify(found.body));
    },
  });
  // By a name that is no literal: its types are a worker's, which tests do not have.
  const worker: string = './core.worker.ts';
  await import(worker);
});
afterAll(() => void Object.assign(globalThis, before));
beforeEach(() => {
  said = [];
  served.clear();
});

test('nothing is converted and no question waits for ever before a document is there', async () => {
  tell(edits());
  tell({ kind: 'ask', ask: 1, question: { what: 'ledger' } });
  tell({ kind: 'pages', keys: ['none:0' as PageKey] });
  await quiet();
  expect(all('view')).toEqual([]);
  expect(said).toContainEqual({ kind: 'unanswered', ask: 1, failure: expect.stringContaining('still being opened') });
  expect(all('pages')).toEqual([{ kind: 'pages', rows: [], drawings: [] }]);
});

test('a document is opened, converted, drawn when it is seen, and looked through', async () => {
  await open('/mill', mill);
  expect(all('document')[0]?.blocks).toHaveLength(4);
  tell(edits());
  await until(() => all('view').length > 0);
  const { pages } = all('view')[0]!.view;
  expect(pages.order).toHaveLength(2);
  tell({ kind: 'pages', keys: [pages.order[1]!, 'gone:0' as PageKey] });
  await until(() => all('pages').length > 0);
  expect(all('pages')[0]?.drawings.map(({ key }) => key)).toEqual([pages.order[1]]);
  await until(() => all('structure').length > 0);
  // What was seen last comes with the next view when it changed, and only what changed.
  tell(edits({ kind: 'turn', block: mill.blocks[3]!.id, to: 'point1' }));
  await until(() => all('view').length > 1);
  const { view } = all('view')[1]!;
  expect(view.seen.rows.map(({ key }) => key)).toEqual([pages.order[1]]);
  expect(view.destinations).toEqual([[mill.blocks[3]!.id, 'point1']]);
  expect(view.turned).toEqual([mill.blocks[3]!.id]);
  expect(view.document).toBeUndefined();
  tell(edits({ kind: 'turn', block: mill.blocks[3]!.id, to: 'point1' }, { kind: 'target', target: null }));
  await until(() => all('view').length > 2);
  expect(all('view')[2]!.view).not.toHaveProperty('turned');
  expect(all('view')[2]!.view.seen).toEqual({ rows: [], drawings: [] });
});

test('a change of the text sends the blocks that changed, and the order of all', async () => {
  await open('/mill', mill);
  tell(edits());
  await until(() => all('view').length > 0);
  tell(edits({ kind: 'shape', shapes: [{ block: mill.blocks[3]!.id, as: { kind: 'heading', level: 2 } }] }));
  await until(() => all('view').length > 1);
  const { document } = all('view')[1]!.view;
  expect(document?.order).toEqual(mill.blocks.map(({ id }) => id));
  expect(document?.blocks.map(({ kind }) => kind)).toEqual(['heading']);
});

test('of two editions that are fetched the one that was asked for last is held, whichever comes first', async () => {
  const release = serve('/late', mill);
  tell({ kind: 'open', url: '/late' });
  await open('/pond', pond);
  release();
  await quiet();
  expect(all('document').map(({ blocks }) => blocks.length)).toEqual([2]);
  tell(edits());
  await until(() => all('view').length > 0);
  expect(all('view')[0]!.view.pages.order).toHaveLength(1);
});

test('edits that wait for a template do not come after newer ones', async () => {
  await open('/mill', mill);
  const hash = 'f'.repeat(64);
  const release = serve(`/templates/${hash}`, { layouts: [] });
  const template = { hash, fileName: 't.pptx', layouts: {}, keep: 'none' } as const;
  tell(edits({ kind: 'template', template }));
  tell(edits({ kind: 'pace', rate: 90 }));
  const newest = seq;
  await until(() => all('view').length > 0);
  release();
  await quiet();
  expect(all('view').map((one) => one.seq)).toEqual([newest]);
});

test('a look that is looked at is drawn of the pages that there are', async () => {
  await open('/mill', mill);
  tell(edits());
  await until(() => all('view').length > 0);
  const [key] = all('view')[0]!.view.pages.order;
  tell({ kind: 'dress', look: plainLook('slipway'), keys: [key!, 'gone:0' as PageKey] });
  await until(() => all('dressed').length > 0);
  expect(all('dressed')[0]?.drawings.map((drawing) => drawing.key)).toEqual([key]);
});

test('a document that cannot be fetched is told in the server’s words, and may be asked for again', async () => {
  tell({ kind: 'open', url: '/nowhere' });
  await until(() => said.some(({ kind }) => kind === 'failed'));
  expect(said).toContainEqual({ kind: 'failed', message: 'It is gone.' });
  await open('/nowhere', pond);
  expect(all('document')).toHaveLength(1);
});
