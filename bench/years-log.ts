/** What somebody would have done to a deck in a year. */
import { convert, plain, type DocumentModel, type LogEntry } from '../packages/core/src/index.ts';
import { asWritten } from '../packages/core/src/structure/index.ts';
import { random } from '../packages/core/src/test/build.ts';
import { randomSlideEdit } from '../packages/core/src/test/random-edits.ts';
import { sentence } from './measure.ts';

/** A third of the pauses is in the document, a third on slides, the rest are marks, undoing, order and the like. */
export function yearsLog(document: DocumentModel, entries: number): LogEntry[] {
  const next = random(5);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const { deck } = convert(document, []);
  const written = document.blocks.filter((block) => 'runs' in block && block.kind !== 'heading');
  const log: LogEntry[] = [];
  while (log.length < entries) {
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
