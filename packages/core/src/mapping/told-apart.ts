/** What tells slides of one title apart: what they stand below, or what is on them. */
import { getOrMake, remembered } from '../base/index.ts';
import { plain, readWords, runsText, type Runs } from '../content/index.ts';
import type { Slide } from '../deck/index.ts';
import { blockIndex, type DocumentModel } from '../document/index.ts';
import { titleFrom } from '../shorten/index.ts';
import { documentLanguage } from './document-language.ts';

const LONGEST_NAME = 7; // words
const LONGEST_TITLE = 64; // characters

/** Slides whose title another before them has too get a name added to it; it stays a title of the document's. */
export function toldApart(slides: readonly Slide[], document: DocumentModel): readonly Slide[] {
  const titles = slides.map(titleOf);
  const taken = new Set(titles);
  const turns = new Map<string, number>();
  return slides.map((slide, at) => {
    const title = titles[at]!;
    const turn = (turns.get(title) ?? 0) + 1;
    turns.set(title, turn);
    if (title === '' || turn === 1) return slide;
    const names = titles[at - 1] === title ? [contentName] : [parentName, contentName];
    const [runs] = [...names.flatMap((name) => named(slide, name(slide, document))), numbered(slide, turn)].filter(
      (one) => !taken.has(runsText(one).trim()),
    );
    const said = runs ?? numbered(slide, turn);
    const text = runsText(said).trim();
    taken.add(text);
    return getOrMake(renamed(slide), text, () => ({ ...slide, title: { ...slide.title, runs: said } }));
  });
}
// The same slide every time, down to its identity, so that nothing is laid out anew.
const renamed = remembered((_: Slide) => new Map<string, Slide>());

const titleOf = ({ title }: Slide): string => runsText(title.runs).trim();
const ended = (text: string): string => text.trim().replace(/[.:;,]$/, '');
const letters = (text: string): string => text.replace(/[^\p{L}\p{N}]+/gu, '').toLowerCase();

function named(slide: Slide, name: string | undefined): readonly Runs[] {
  const own = titleOf(slide);
  if (name === undefined || name === '' || letters(name) === letters(own)) return [];
  if (own.length + name.length <= LONGEST_TITLE) return [[...slide.title.runs, ...plain(`: ${name}`)]];
  // A heading of the document's is not given up for it.
  return slide.title.blocks.length > 0 ? [] : [plain(name)];
}
const numbered = ({ title }: Slide, turn: number): Runs => [...title.runs, ...plain(` (${turn})`)];

/** The heading that the slide's own stands below, but for the document's title. */
function parentName({ title }: Slide, document: DocumentModel): string | undefined {
  const { blocks } = document;
  const at = blockIndex(document).places.get(title.blocks[0] ?? '') ?? -1;
  const own = blocks[at];
  if (own?.kind !== 'heading') return undefined;
  for (let i = at - 1; i >= 0; i--) {
    const block = blocks[i]!;
    if (block.kind !== 'heading' || block.left !== undefined || block.level >= own.level) continue;
    const text = ended(runsText(block.runs));
    return text === document.title || readWords(text) > LONGEST_NAME ? undefined : text;
  }
  return undefined;
}

/** Its first short point; of one that has none what its text is about. */
function contentName({ content, notes }: Slide, document: DocumentModel): string | undefined {
  const texts = content.flatMap((part) => ('runs' in part && part.kind === 'point' ? [runsText(part.runs)] : []));
  const said = texts.length > 0 ? texts : notes.map(({ runs }) => runsText(runs));
  const short = texts.find((text) => readWords(text) <= LONGEST_NAME);
  if (short !== undefined) return ended(short);
  return texts.length === 1 ? undefined : titleFrom(said, documentLanguage(document))[0];
}
