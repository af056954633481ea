/** The author's work at its usual size, in core: replay of many edits, one more of them, a new edition, shortening. */
import {
  convert,
  matchEditions,
  plain,
  readDocument,
  reviewEdition,
  type Block,
  type Converted,
  type DocumentModel,
  type Edit,
} from '../../packages/core/src/index.ts';
import { shorten } from '../../packages/core/src/shorten/index.ts';
import { random } from '../../packages/core/src/test/build.ts';
import { randomSlideEdit } from '../../packages/core/src/test/random-edits.ts';
import { deckSource } from '../deck-source.ts';
import { best, sentence, tell } from '../measure.ts';

const read = async (slides: number): Promise<DocumentModel> =>
  (await readDocument(new TextEncoder().encode(deckSource(slides)), 'markdown')).document;
const [, , subject] = process.argv;

/** Work of a day: a thousand edits of slides, over front and back matter and first sentences as points. */
async function worked(): Promise<{ document: DocumentModel; edits: Edit[]; state: Converted }> {
  const document = await read(1000);
  const edits: Edit[] = [
    { kind: 'prose', prose: { as: 'first' } },
    { kind: 'matter', part: 'agenda', on: true },
    { kind: 'matter', part: 'key-points', on: true },
  ];
  let state = convert(document, edits);
  const next = random(7);
  for (let i = 0; edits.length < 1000; i++) {
    const made = randomSlideEdit(next, state.deck, i);
    // Whole hundreds of slides are not moved or taken out at a time.
    if (made.kind === 'order' && made.slides.length > 3) continue;
    edits.push(made);
    if (i % 50 === 0) state = convert(document, edits, state);
  }
  return { document, edits, state: convert(document, edits, state) };
}

/** The same document after some weeks: a tenth of its passages changed, a few new, gone, moved. */
function amended(blocks: readonly Block[]): readonly Block[] {
  const next = random(3);
  const after = blocks.flatMap((block, i): Block[] => {
    const roll = next();
    if (roll < 0.02) return [];
    if (roll < 0.12 && 'runs' in block)
      return [{ ...block, id: `x${i}` as Block['id'], runs: [...block.runs, ...plain(` ${sentence(i, 3)}`)] }];
    if (roll < 0.14)
      return [{ ...block, id: `y${i}` as Block['id'], kind: 'paragraph', runs: plain(sentence(i * 31, 12)) }, block];
    return [block];
  });
  return [...after.slice(300, 340), ...after.slice(0, 300), ...after.slice(340)];
}

if (subject === 'replay') {
  const { document, edits } = await worked();
  let i = 0;
  // Never what was replayed just before: with and without the newest edit, in turns.
  tell(await best(6, () => convert(document, i++ % 2 ? edits : edits.slice(0, -1))), { edits: edits.length });
} else if (subject === 'one-more') {
  const { document, edits, state: start } = await worked();
  let state = start;
  const [from, to] = state.deck.slides
    .filter(({ content, kind, matter }) => content.length > 2 && kind === 'content' && matter === undefined)
    .slice(400);
  const { id } = from!.content[1]!;
  let i = 0;
  let log = edits;
  tell(
    await best(20, () => {
      log = [...log, { kind: 'carry', parts: [id], to: (i++ % 2 ? from! : to!).id, before: null }];
      state = convert(document, log, state);
    }),
    { undone: await best(5, () => convert(document, (log = log.slice(0, -1)), state)) },
  );
} else if (subject === 'matching') {
  const document = await read(720);
  const after = amended(document.blocks);
  tell(await best(5, () => matchEditions(document.blocks, after)), { blocks: document.blocks.length });
} else if (subject === 'review') {
  const document = await read(720);
  const after = { ...document, blocks: amended(document.blocks) };
  tell(await best(3, () => reviewEdition(document, after, [])), { blocks: document.blocks.length });
} else if (subject === 'shorten') {
  // 500 paragraphs of a hundred words, in sections of five.
  const sections = Array.from({ length: 100 }, (_, s) =>
    Array.from({ length: 5 }, (_, p) =>
      Array.from({ length: 8 }, (_, k) => sentence(s * 41 + p * 7 + k, 12 + (k % 3))).join(' '),
    ),
  );
  tell(await best(3, () => sections.map((texts) => shorten(texts, 'half', 'en'))), { words: 50_000 });
} else if (subject === 'shorten-whole') {
  const texts = Array.from({ length: 500 }, (_, p) =>
    Array.from({ length: 8 }, (_, k) => sentence(p * 7 + k, 12 + (k % 3))).join(' '),
  );
  tell(await best(3, () => shorten(texts, 'half', 'en')));
}
