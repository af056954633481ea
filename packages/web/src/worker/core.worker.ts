/** The core in a web worker: holds the document, converts it at every edit, sends what changed. */
import {
  convert,
  countWords,
  layOutSlide,
  ledgerEntries,
  presetMap,
  PRESET_NAMES,
  runsText,
  tableText,
  themeNamed,
  type Converted,
  type Destination,
  type DocumentModel,
  type LevelMap,
  type Page,
} from '@alvex/core';
import { drawPage } from './draw.ts';
import type { FromWorker, Row, ToWorker } from './protocol.ts';

declare const self: DedicatedWorkerGlobalScope;

let document: DocumentModel | undefined;
let converted: Converted | undefined;
/** Pages that the window has, by key. */
let sent = new Map<string, { readonly page: Page; readonly row: Row }>();
let destinations: ReadonlyMap<string, Destination> = new Map();
let revision = 0;

const say = (message: FromWorker): void => self.postMessage(message);

self.addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  void handle(data).catch((error: unknown) =>
    say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
  );
});

async function handle(message: ToWorker): Promise<void> {
  switch (message.kind) {
    case 'open':
      return open(message.url);
    case 'edits':
      return update(message);
    case 'draw':
      return say({ kind: 'drawings', drawings: draw(message.keys) });
    case 'dress':
      return dress(message.theme, message.keys);
    case 'ledger':
      return say({ kind: 'ledger', entries: document === undefined || converted === undefined ? [] : ledgerEntries(document, converted.deck) });
  }
}

async function open(url: string): Promise<void> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(((await response.json()) as { error: { message: string } }).error.message);
  const model = (await response.json()) as DocumentModel;
  document = model;
  converted = undefined;
  sent = new Map();
  destinations = new Map();
  const presets = Object.fromEntries(PRESET_NAMES.map((name): [string, LevelMap] => [name, presetMap(name, model)]));
  say({ kind: 'document', title: model.title, blocks: model.blocks, diagnostics: model.diagnostics, presets });
}

function update({ edits, seq }: ToWorker & { kind: 'edits' }): void {
  if (document === undefined) return;
  const start = performance.now();
  converted = convert(document, edits, converted);
  const { pages, theme } = converted;
  const next = new Map<string, { page: Page; row: Row }>();
  const changed: Row[] = [];
  pages.forEach((page, i) => {
    const known = sent.get(page.key);
    if (known?.page === page && known.row.joinBlock === joinBlock(pages, i)) next.set(page.key, known);
    else {
      const row = makeRow(pages, i);
      next.set(page.key, { page, row });
      changed.push(row);
    }
  });
  sent = next;
  const turned = [...converted.deck.destinations].filter(([block, destination]) => destinations.get(block) !== destination);
  destinations = converted.deck.destinations;
  const { document: words, slides, notes, leftOut, lost } = converted.ledger;
  say({
    kind: 'view',
    seq,
    ms: performance.now() - start,
    view: {
      order: pages.map((page) => page.key),
      changed,
      destinations: turned,
      leftOut: converted.deck.leftOut,
      sums: { document: words, slides, notes, leftOut, lost },
      unplaced: converted.unplaced,
      map: converted.map,
      mapName: converted.mapName,
      theme: theme.name,
      full: converted.decisions.full,
    },
  });
}

function makeRow(pages: readonly Page[], i: number): Row {
  const page = pages[i]!;
  const { slide, key, layout, notes, passages, fit } = page;
  const shown = new Set(
    page.boxes.flatMap((box) => (box.kind === 'text' ? box.paragraphs.map((paragraph) => paragraph.part) : [box.part])),
  );
  const content = slide.content.filter((part) => shown.has(part.id));
  const text = content
    .map((part) => (part.kind === 'table' ? tableText(part.table) : part.kind === 'picture' ? '' : runsText(part.runs)))
    .join(' ');
  return {
    key,
    rev: ++revision,
    slide: slide.id,
    kind: slide.kind,
    layout,
    title: slide.title,
    content,
    notes,
    passages,
    fit,
    words: countWords(runsText(slide.title.runs)) + countWords(text),
    spoken: notes.reduce((sum, note) => sum + countWords(runsText(note.runs)), 0),
    continues: slide.continues || page.index > 0,
    joinBlock: joinBlock(pages, i),
  };
}

/** A slide made by a cut can be joined by its first content, one of the document's own by its title; never to a cover or opener. */
function joinBlock(pages: readonly Page[], i: number): string | null {
  const page = pages[i]!;
  const before = pages[i - 1];
  const { slide } = page;
  if (page.index > 0 || slide.kind !== 'content' || before === undefined || before.slide.kind !== 'content')
    return null;
  return slide.continues ? (slide.content[0]?.blocks[0] ?? null) : (slide.title.blocks[0] ?? null);
}

function draw(keys: readonly string[]) {
  const theme = converted?.theme;
  if (theme === undefined) return [];
  return keys.flatMap((key) => {
    const known = sent.get(key);
    return known === undefined ? [] : [drawPage(known.page, known.row.rev, theme)];
  });
}

function dress(name: string, keys: readonly string[]): void {
  const theme = themeNamed(name);
  if (theme === undefined || document === undefined || converted === undefined) return;
  const pictures = new Map(document.pictures.map((picture) => [picture.id, picture]));
  const drawings = keys.flatMap((key) => {
    const known = sent.get(key);
    if (known === undefined) return [];
    const pages = layOutSlide(known.page.slide, { theme, full: converted!.decisions.full, pictures });
    const page = pages[Math.min(known.page.index, pages.length - 1)]!;
    return [{ ...drawPage(page, known.row.rev, theme), key }];
  });
  say({ kind: 'dressed', theme: name, drawings });
}
