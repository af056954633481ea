/** A deck of 1,000 slides: from scratch, one edit, one plug, all in core. */
import { beginning, convert, plain, presetMap, readDocument, type Converted } from '../../packages/core/src/index.ts';
import { drawPage } from '../../packages/web/src/worker/draw.ts';
import { deckSource } from '../deck-source.ts';
import { best, tell } from '../measure.ts';

const { document } = await readDocument(new TextEncoder().encode(deckSource(1000)), 'markdown');
const [, , subject] = process.argv;
const map = presetMap('talk', document);
let state: Converted = convert(document, []);

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
