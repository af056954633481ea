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
import { random } from '../../packages/core/src/test/build.ts';
import { randomSlideEdit } from '../../packages/core/src/test/random-edits.ts';
import { deckSource } from '../deck-source.ts';
import { best, sentence, tell } from '../measure.ts';

const ENTRIES = 20_000;
const SLIDES = 300;
const [, , subject] = process.argv;
const document: DocumentModel = (await readDocument(new TextEncoder().encode(deckSource(SLIDES)), 'markdown')).document;

/** A third of the pauses is in the document, a third on slides, the rest are marks, undoing, order and the like. */
function yearsLog(): LogEntry[] {
  const next = random(5);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const { deck } = convert(document, []);
  const written = document.blocks.filter((block) => 'runs' in block && block.kind !== 'heading');
  const log: LogEntry[] = [];
  while (log.length < ENTRIES) {
    const roll = next();
    const i = log.length;
    if (roll < 0.35) {
      const block = pick(written);
      const blocks = [asWritten({ ...block, runs: plain(sentence(i, 20)) } as typeof block)];
      log.push({ kind: 'write', replaces: [block.id], after: null, blocks });
    } else if (roll < 0.5) log.push({ kind: 'retitle', slide: pick(deck.slides).id, runs: plain(sentence(i, 5)) });
    else if (roll < 0.7)
      log.push({ kind: 'reword', part: pick(pick(deck.slides).content).id, runs: plain(sentence(i, 9)) });
    else if (roll < 0.8) log.push({ kind: 'turn', block: pick(written).id, to: pick(['point1', 'point2', 'notes']) });
    else if (roll < 0.88) log.push({ kind: 'undo' });
    else if (roll < 0.92) log.push({ kind: 'redo' });
    else {
      const made = randomSlideEdit(next, deck, i);
      // Whole dozens of slides are not moved or taken out at a time.
      if (made.kind !== 'order' || made.slides.length <= 3) log.push(made);
    }
  }
  return log;
}

if (subject === 'untouched') {
  const start = performance.now();
  convert(document, foldLog([]).done);
  tell(performance.now() - start);
} else {
  const log = yearsLog();
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
