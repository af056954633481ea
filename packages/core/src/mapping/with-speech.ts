/** Says of the parts of slides in what language and direction they are written, where that is not the document's or what their letters tell. */
import { firstStrong, remembered, type Direction, type LanguageTag } from '../base/index.ts';
import { runsText, type Runs } from '../content/index.ts';
import type { Content, Note, Slide } from '../deck/index.ts';
import { blockIndex, type DocumentModel } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';

interface Speech {
  readonly lang?: LanguageTag;
  readonly direction?: Direction;
}
type SpeechOf = (blocks: readonly BlockId[], runs: Runs) => Speech | undefined;

/** @returns The same slides where the document says nothing of that kind. */
export function withSpeech(slides: readonly Slide[], document: DocumentModel): readonly Slide[] {
  const { byId, spoken } = speechIn(document);
  if (spoken.size === 0) return slides;
  const of: SpeechOf = ([first], runs) => {
    if (first === undefined || !spoken.has(first)) return undefined;
    const { lang, direction } = byId(first)!;
    const against = direction !== undefined && (firstStrong(runsText(runs)) ?? direction) !== direction;
    if (lang === undefined && !against) return undefined;
    return { ...(lang === undefined ? {} : { lang }), ...(against ? { direction } : {}) };
  };
  return slides.map((slide) => told(slide, of));
}

/** Blocks that say a language or a direction of their own. */
const speechIn = remembered((document: DocumentModel) => {
  const { blocks } = document;
  const { places } = blockIndex(document);
  const spoken = new Set(
    blocks.filter(({ lang, direction }) => lang !== undefined || direction !== undefined).map(({ id }) => id),
  );
  return { spoken, byId: (id: BlockId) => blocks[places.get(id) ?? -1] };
});

// A slide that comes out the same is the same, so that nothing of it is laid out again.
const known = new WeakMap<Slide, Slide>();
function told(slide: Slide, of: SpeechOf): Slide {
  let result = known.get(slide);
  if (result === undefined) known.set(slide, (result = withParts(slide, of)));
  return result;
}

function withParts(slide: Slide, of: SpeechOf): Slide {
  const title = of(slide.title.blocks, slide.title.runs);
  const say = <P extends Content | Note>(part: P): P => {
    const speech = of(part.blocks, 'runs' in part ? part.runs : []);
    return speech === undefined ? part : { ...part, ...speech };
  };
  const [content, notes] = [slide.content.map(say), slide.notes.map(say)];
  const same =
    content.every((part, i) => part === slide.content[i]) && notes.every((note, i) => note === slide.notes[i]);
  if (title === undefined && same) return slide;
  return { ...slide, title: title === undefined ? slide.title : { ...slide.title, ...title }, content, notes };
}
