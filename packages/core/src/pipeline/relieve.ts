/** Takes text off a slide that holds too much, where the rule says so: running text is spoken, or sentences are chosen and trimmed. */
import { countWords, runsText, type Picture, type PictureId } from '../content/index.ts';
import { DENSITIES, type Content, type FullRule, type Note, type Slide } from '../deck/index.ts';
import { RELIEVED, spokenInstead } from '../edits/index.ts';
import { layOutSlide } from '../layout/index.ts';
import { keptRuns, shorten, type Language } from '../shorten/index.ts';
import type { Theme } from '../theme/index.ts';

export interface ReliefOptions {
  readonly theme: Theme;
  readonly full: FullRule;
  readonly pictures: ReadonlyMap<PictureId, Picture>;
  readonly language: Language;
}

const known = new WeakMap<Slide, { readonly key: string; readonly relieved: Slide }>();

/** @returns The same slide where it fits, or where the rule leaves its text alone. */
export function relieve(slide: Slide, options: ReliefOptions): Slide {
  const rule = slide.full ?? options.full;
  if ((rule !== 'notes' && rule !== 'shorten') || slide.kind !== 'content' || slide.content.length === 0) return slide;
  const key = `${options.theme.name} ${rule}`;
  const before = known.get(slide);
  if (before?.key === key) return before.relieved;
  const relieved = fits(slide, options)
    ? slide
    : rule === 'notes'
      ? speakProse(slide, options)
      : shortened(slide, options);
  known.set(slide, { key, relieved });
  return relieved;
}

/** Whether the text alone takes one page; pictures and tables have pages of their own whatever the rule. */
function fits(slide: Slide, options: ReliefOptions): boolean {
  const content = slide.content.filter((part) => 'runs' in part);
  return content.length === 0 || layOutSlide({ ...slide, content, full: 'continue' }, options).length === 1;
}

const PROSE = 25; // words; a point that is longer is running text

const isProse = (part: Content): boolean =>
  part.kind === 'text' ? part.style !== 'code' : part.kind === 'point' && countWords(runsText(part.runs)) > PROSE;

/** Speaks running text from the last to the first, until the rest fits. What remains is continued. */
function speakProse(slide: Slide, options: ReliefOptions): Slide {
  let relieved = slide;
  for (const part of slide.content.toReversed()) {
    if (!isProse(part)) continue;
    relieved = spokenInstead(relieved, part, RELIEVED).slide;
    if (fits(relieved, options)) break;
  }
  return relieved;
}

const SHORT = 8; // words; what is shorter is left alone

/** Shortens by one density after another until the rest fits. */
function shortened(slide: Slide, options: ReliefOptions): Slide {
  let relieved = slide;
  for (const density of DENSITIES) {
    if (density === 'words') break;
    const long = slide.content.filter(
      (part) => 'runs' in part && part.kept === undefined && isPlain(part) && countWords(runsText(part.runs)) > SHORT,
    );
    const kept = shorten(
      long.map((part) => ('runs' in part ? runsText(part.runs) : '')),
      density,
      options.language,
    );
    relieved = slide;
    long.forEach((part, i) => {
      relieved = withKept(relieved, part, kept[i]!.flat());
    });
    if (fits(relieved, options)) break;
  }
  return relieved;
}

const isPlain = (part: Content): boolean => part.kind === 'point' || (part.kind === 'text' && part.style === 'body');

/** Shows what was kept of a part and speaks all of it. */
function withKept(slide: Slide, part: Content, kept: readonly (readonly [number, number])[]): Slide {
  if (!('runs' in part)) return slide;
  if (kept.length === 0) return spokenInstead(slide, part, RELIEVED).slide;
  const runs = keptRuns(part.runs, kept, undefined);
  if (runsText(runs) === runsText(part.runs)) return slide;
  const whole: Note = {
    kind: 'paragraph',
    depth: 0,
    ordered: false,
    id: `${part.id}${RELIEVED}`,
    runs: part.runs,
    blocks: part.blocks,
    anchor: part.id,
  };
  const own = slide.notes.findIndex((note) => note.anchor === part.id);
  const at = own >= 0 ? own : slide.notes.length;
  return {
    ...slide,
    content: slide.content.map((one) => (one === part ? { ...part, runs, kept } : one)),
    notes: slide.said?.includes(part.id) === true ? slide.notes : slide.notes.toSpliced(at, 0, whole),
  };
}
