/** A deck that was worked on for a year: a log of 20,000 entries, most of them words, opened and added to, in core. */
import {
  convert,
  foldLog,
  plain,
  readDocument,
  type Converted,
  type DocumentModel,
  type Edit,
  type LogEntry,
} from '../../packages/core/src/index.ts';
import { asWritten } from '../../packages/core/src/structure/index.ts';
import { deckSource } from '../deck-source.ts';
import { best, tell } from '../measure.ts';
import { yearsLog } from '../years-log.ts';

const ENTRIES = 20_000;
const SLIDES = 300;
const [, , subject] = process.argv;
const document: DocumentModel = (await readDocument(new TextEncoder().encode(deckSource(SLIDES)), 'markdown')).document;

if (subject === 'untouched') {
  const start = performance.now();
  convert(document, foldLog([]).done);
  tell(performance.now() - start);
} else {
  const log = yearsLog(document, ENTRIES);
  // As a window opens it: from what came over the wire, with nothing remembered but the type that is measured.
  const wire = JSON.stringify(log);
  const fresh: DocumentModel = JSON.parse(JSON.stringify(document));
  const start = performance.now();
  let entries = JSON.parse(wire) as LogEntry[];
  let state: Converted = convert(fresh, foldLog(entries).done);
  const opened = performance.now() - start;
  const add = (entry: LogEntry): void => {
    entries = [...entries, entry];
    state = convert(fresh, foldLog(entries).done, state);
  };
  const slide = state.deck.slides.find(({ content }) => content.length > 2)!;
  const block = fresh.blocks.find(({ kind }) => kind === 'paragraph')!;
  let i = 0;
  const edit = (make: () => Edit): Promise<number> => best(5, () => add(make()));
  const words = await edit(() => ({ kind: 'retitle', slide: slide.id, runs: plain(`Title ${i++}`) }));
  const text = await edit(() => ({
    kind: 'write',
    replaces: [block.id],
    after: null,
    blocks: [asWritten({ ...block, runs: plain(`Text ${i++}`) } as typeof block)],
  }));
  const undone = await best(5, () => add({ kind: 'undo' }));
  tell(opened, { words, text, undone, megabytes: wire.length / 1e6 });
}
