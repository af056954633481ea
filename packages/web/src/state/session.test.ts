import { afterEach, beforeEach, expect, test } from '@jest/globals';
import {
  blockText,
  ID_FORMAT,
  plainLook,
  type Block,
  type BlockId,
  type Destination,
  type TextKind,
} from '@alvex/core';
import { document, FakeWorker, held, log, openFake, sent, summary, view } from '../test/fake-deck.ts';
import { ask } from './core-link.ts';
import { mapInForce, useDeck } from './deck-store.ts';
import { edit, goBack, goForward, redo, undo, useLog } from './log-store.ts';
import { usePages, wantPage } from './pages-store.ts';
import { closeDeck, openDeck } from './session.ts';

beforeEach(openFake);
afterEach(() => closeDeck());
const texts = () => useDeck.getState().blocks.map((block) => `${block.kind} ${blockText(block)}`);

const EMPTY_DOCUMENT = {
  kind: 'document',
  title: null,
  language: null,
  blocks: [],
  pictures: [],
  diagnostics: [],
  presets: {},
} as const;

test('an opened deck has its log, and the worker is given its document and edits', () => {
  expect(useDeck.getState()).toMatchObject({ phase: 'open', deck: summary });
  expect(useLog.getState().history.done).toEqual(log);
  expect(FakeWorker.last.told.slice(0, 2)).toEqual([
    { kind: 'open', url: '/api/decks/d/document' },
    { kind: 'edits', edits: log, seq: expect.any(Number) as never, templates: '/api/decks/d/templates' },
  ]);
});

test('an edit is sent, given to the worker, undone and made again', async () => {
  edit({ kind: 'theme', theme: 'millrace' });
  await new Promise((resolve) => setTimeout(resolve));
  expect(sent.at(-1)).toEqual({
    path: '/api/decks/d/entries',
    body: {
      base: 1,
      entries: [{ kind: 'theme', theme: 'millrace' }],
      batch: expect.any(String) as never,
      by: expect.any(String) as never,
      ids: ID_FORMAT,
    },
  });
  expect(FakeWorker.last.asked('edits').edits).toHaveLength(2);
  undo();
  expect(FakeWorker.last.asked('edits').edits).toEqual(log);
  redo();
  expect(FakeWorker.last.asked('edits').edits).toHaveLength(2);
  // Nothing is no entry.
  const before = useLog.getState().log.length;
  edit();
  expect(useLog.getState().log).toHaveLength(before);
});

test('a change of structure is seen before the worker has answered, and its answer counts', () => {
  const text = document.blocks[1]!;
  edit({ kind: 'shape', shapes: [{ block: text.id, as: { kind: 'heading', level: 2 } }] });
  expect(texts()).toEqual(['heading One', 'heading text']);
  const changed: Block = { ...(text as Block & { kind: 'paragraph' }), runs: [{ text: 'from the worker' }] };
  FakeWorker.last.say({
    kind: 'view',
    seq: 2,
    ms: 1,
    view: view({
      document: { title: null, pictures: [], presets: {}, order: [text.id, document.blocks[0]!.id], blocks: [changed] },
    }),
  });
  expect(texts()).toEqual(['paragraph from the worker', 'heading One']);
  expect(useDeck.getState().blockById.get(text.id)).toBe(changed);
});

test('pages that are seen together are asked for together, each once until it changes', async () => {
  wantPage('a:0' as never);
  wantPage('b:0' as never);
  wantPage('a:0' as never);
  wantPage('gone:0' as never);
  await Promise.resolve();
  expect(FakeWorker.last.told.filter(({ kind }) => kind === 'pages')).toEqual([
    { kind: 'pages', keys: ['a:0', 'b:0'] },
  ]);
});

test('questions are answered by what the worker says, each its own', async () => {
  const page = ask({ what: 'page', block: 'block' as never });
  const slides = ask({ what: 'slides', edits: [{ kind: 'theme', theme: 'x' }] });
  const broken = ask({ what: 'outlines' });
  const numbers = FakeWorker.last.told.flatMap((message) => (message.kind === 'ask' ? [message.ask] : []));
  FakeWorker.last.say({ kind: 'answer', ask: numbers[1]!, what: 'slides', answer: 7 });
  FakeWorker.last.say({ kind: 'answer', ask: numbers[0]!, what: 'page', answer: 'b:0' as never });
  FakeWorker.last.say({ kind: 'unanswered', ask: numbers[2]!, failure: 'no memory' });
  expect([await page, await slides]).toEqual(['b:0', 7]);
  await expect(broken).rejects.toThrow('no memory');
});

test('one goes back over several edits and forward again', () => {
  edit({ kind: 'theme', theme: 'millrace' });
  edit({ kind: 'pace', rate: 100 });
  goBack(2);
  expect(useLog.getState().history.done).toEqual(log);
  goForward(1);
  expect(useLog.getState().history.done).toEqual([...log, { kind: 'theme', theme: 'millrace' }]);
  goBack(1);
  expect(useLog.getState().history.done).toEqual(log);
  goBack(0);
  expect(useLog.getState().history.undone).toHaveLength(2);
});

test('a new edition has the worker fetch its document, and undoing it the first one; nothing is converted in between', () => {
  const edits = (): number => FakeWorker.last.told.filter(({ kind }) => kind === 'edits').length;
  const before = edits();
  const original = 'a'.repeat(64);
  edit({ kind: 'all', edits: [{ kind: 'edition', original, type: 'docx', fileName: 'b.docx', ids: [] }] });
  expect(FakeWorker.last.asked('open').url).toBe(`/api/decks/d/document?edition=${original}`);
  expect(edits()).toBe(before);
  FakeWorker.last.say(EMPTY_DOCUMENT);
  expect(edits()).toBe(before + 1);
  undo();
  expect(FakeWorker.last.asked('open').url).toBe('/api/decks/d/document');
});

test('what the worker finds in the structure is shown, a fault ends in words, closing ends the worker', () => {
  FakeWorker.last.say({ kind: 'structure', groups: [], made: [], findings: [] });
  expect(useDeck.getState().structure).toEqual({ groups: [], made: [], findings: [] });
  FakeWorker.last.say({ kind: 'failed', message: 'no memory' });
  expect(useDeck.getState()).toMatchObject({ phase: 'failed', failure: 'no memory' });
  closeDeck();
  expect(FakeWorker.last.ended).toBe(true);
  expect(useDeck.getState()).toMatchObject({ phase: 'none', blocks: [], structure: null });
});

test('looks that were looked at long ago are forgotten, the newest are kept', () => {
  for (let i = 0; i < 60; i++) FakeWorker.last.say({ kind: 'dressed', look: plainLook(`theme ${i}`), drawings: [] });
  const { dressed } = usePages.getState();
  expect(dressed.size).toBe(40);
  expect(dressed.has(JSON.stringify(plainLook('theme 59')))).toBe(true);
  expect(dressed.has(JSON.stringify(plainLook('theme 0')))).toBe(false);
});

test('an answer that comes late falls on the deck that it was for, not on the one that is open', async () => {
  closeDeck();
  let release = (): void => undefined;
  held.set('a', new Promise((resolve) => (release = resolve)));
  const late = openDeck('a');
  const workerOfA = FakeWorker.last;
  await openDeck('b');
  edit({ kind: 'pace', rate: 100 });
  release();
  await late;
  expect(useDeck.getState().deck?.id).toBe('b');
  expect(useLog.getState().log).toHaveLength(2);
  expect(workerOfA.ended).toBe(true);
  workerOfA.say(EMPTY_DOCUMENT);
  workerOfA.break('late');
  expect(useDeck.getState().phase).toBe('opening');
  // What is done now goes to the open deck alone.
  edit({ kind: 'pace', rate: 90 });
  await new Promise((resolve) => setTimeout(resolve));
  expect(sent.filter(({ body }) => body !== undefined).every(({ path }) => path.startsWith('/api/decks/b/'))).toBe(
    true,
  );
});

test('a deck that is closed before it is open stops nothing later', async () => {
  closeDeck();
  let release = (): void => undefined;
  held.set('a', new Promise((resolve) => (release = resolve)));
  const late = openDeck('a');
  closeDeck();
  release();
  await late;
  expect(useDeck.getState()).toMatchObject({ phase: 'none', deck: null });
  edit({ kind: 'pace', rate: 90 });
  expect(useLog.getState().log).toEqual([]);
});

test('questions end in words when the worker breaks or the deck is closed, and when none is open', async () => {
  const broken = ask({ what: 'ledger' });
  FakeWorker.last.break('out of memory');
  await expect(broken).rejects.toThrow('out of memory');
  expect(useDeck.getState()).toMatchObject({ phase: 'failed', failure: 'out of memory' });
  await expect(ask({ what: 'ledger' })).rejects.toThrow('out of memory');
  await openDeck('d');
  const closed = ask({ what: 'ledger' });
  closeDeck();
  await expect(closed).rejects.toThrow('closed');
  await expect(ask({ what: 'ledger' })).rejects.toThrow('No deck is open');
});

test('an answer to another question is no answer', async () => {
  const page = ask({ what: 'page', block: 'block' as never });
  const { ask: number } = FakeWorker.last.asked('ask');
  FakeWorker.last.say({ kind: 'answer', ask: number, what: 'slides', answer: 3 });
  await expect(page).rejects.toThrow('slides');
});

test('what was turned by hand is known, and stays while it is not said again', () => {
  const say = (seq: number, turned?: readonly BlockId[]): void =>
    FakeWorker.last.say({ kind: 'view', seq, ms: 1, view: view(turned === undefined ? {} : { turned }) });
  say(2, ['x' as BlockId]);
  say(3);
  expect([...useDeck.getState().turned]).toEqual(['x']);
  say(4, []);
  expect(useDeck.getState().turned.size).toBe(0);
});

test('a map is built upon before the deck shows it; an undone one is not', () => {
  const shown = view();
  FakeWorker.last.say({ kind: 'view', seq: 1, ms: 1, view: shown });
  const turn = (kind: TextKind, to: Destination): void =>
    edit({ kind: 'map', name: null, map: { ...mapInForce(useDeck.getState())!.map, [kind]: to } });
  turn('body', 'slide');
  turn('list1', 'notes');
  expect(mapInForce(useDeck.getState())!.map).toMatchObject({ body: 'slide', list1: 'notes' });
  undo();
  expect(mapInForce(useDeck.getState())!.map).toBe(shown.map);
  turn('body', 'out');
  const newest = FakeWorker.last.asked('edits');
  FakeWorker.last.say({ kind: 'view', seq: newest.seq - 1, ms: 1, view: view() });
  expect(useDeck.getState()).toMatchObject({ pending: true, laid: { map: { body: 'out' } } });
  FakeWorker.last.say({ kind: 'view', seq: newest.seq, ms: 1, view: view() });
  expect(useDeck.getState()).toMatchObject({ pending: false, laid: null });
});

test('with nothing to undo or to do again nothing is added, and after closing nothing at all', () => {
  redo();
  goForward(0);
  expect(useLog.getState().log).toEqual(log);
  undo();
  undo();
  expect(useLog.getState().log).toEqual([...log, { kind: 'undo' }]);
  closeDeck();
  edit({ kind: 'pace', rate: 100 });
  undo();
  expect(useLog.getState()).toMatchObject({ log: [], sync: { state: 'kept', waiting: 0 } });
});

test('opening the deck that is open changes nothing; one that failed is opened again', async () => {
  const worker = FakeWorker.last;
  await openDeck('d');
  expect(FakeWorker.last).toBe(worker);
  worker.break('no memory');
  await openDeck('d');
  expect(FakeWorker.last).not.toBe(worker);
  expect(useDeck.getState().phase).toBe('opening');
});
