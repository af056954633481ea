/** A deck of 1,000 slides: from scratch, one edit, one plug, all in core. */
import {
  beginning,
  convert,
  lookedAt,
  lookThrough,
  plain,
  presetMap,
  readDocument,
  REMARK_KINDS,
  repairAll,
  type Converted,
} from '../../packages/core/src/index.ts';
import { drawPage } from '../../packages/web/src/worker/draw.ts';
import { deckSource } from '../deck-source.ts';
import { best, tell } from '../measure.ts';

const { document } = await readDocument(new TextEncoder().encode(deckSource(1000)), 'markdown');
const [, , subject] = process.argv;
const map = presetMap('talk', document);
let state: Converted = convert(document, []);
let lookedMs = Infinity;

if (subject === 'scratch') {
  // Text that was measured once is not measured again, so a second run would flatter.
  const fresh = (await readDocument(new TextEncoder().encode(deckSource(1000)), 'markdown')).document;
  tell(await best(1, () => convert(fresh, [])));
} else if (subject === 'first') {
  const fresh = (await readDocument(new TextEncoder().encode(deckSource(1000)), 'markdown')).document;
  tell(await best(1, () => convert(fresh, beginning(fresh))));
} else if (subject === 'edit') {
  const slide = state.deck.slides[500]!;
  let i = 0;
  tell(
    await best(20, () => {
      state = convert(document, [{ kind: 'retitle', slide: slide.id, runs: plain(`Title ${i++}`) }], state);
      drawPage(
        state.pages.find((page) => page.slide.id === slide.id)!,
        i,
        state.theme,
      );
    }),
  );
} else if (subject === 'turn') {
  const block = document.blocks.findLast((one) => one.kind === 'listItem')!.id;
  let i = 0;
  tell(
    await best(20, () => {
      state = convert(document, [{ kind: 'turn', block, to: i++ % 2 ? 'notes' : 'point2' }], state);
      drawPage(state.pages.at(-1)!, i, state.theme);
    }),
  );
} else if (subject === 'remarks') {
  const ended = <T>(steps: Generator<void, T>): T => {
    let step = steps.next();
    while (step.done !== true) step = steps.next();
    return step.value;
  };
  const start = performance.now();
  const found = ended(lookThrough(lookedAt(state)));
  const first = performance.now() - start;
  const slide = state.deck.slides[500]!;
  let i = 0;
  const edited = await best(10, () => {
    state = convert(document, [{ kind: 'retitle', slide: slide.id, runs: plain(`Title ${i++}`) }], state);
    const from = performance.now();
    ended(lookThrough(lookedAt(state)));
    lookedMs = Math.min(lookedMs, performance.now() - from);
  });
  const deck = {
    original: document,
    edits: [],
    converted: convert(document, []),
    templates: new Map(),
    fresh: () => `r${i++}`,
  };
  const from = performance.now();
  const { mended } = ended(repairAll(new Set(REMARK_KINDS), deck));
  tell(first, { again: lookedMs, edited, found: found.length, mended, mending: performance.now() - from });
} else if (subject === 'plug') {
  const start = performance.now();
  state = convert(document, [{ kind: 'map', name: null, map: { ...map, body: 'slide' } }], state);
  const first = performance.now() - start;
  let i = 0;
  const again = await best(6, () => {
    state = convert(document, [{ kind: 'map', name: null, map: { ...map, body: i++ % 2 ? 'slide' : 'notes' } }], state);
  });
  tell(first, { again });
}
