/** What tells slides of one title apart: what they stand below, or what is on them. */
import { getOrMake, remembered } from '../base/index.ts';
import { plain, readWords, runsText, type Runs } from '../content/index.ts';
import type { Slide } from '../deck/index.ts';
import type { DocumentModel, Heading } from '../document/index.ts';
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
    const said = firstFree(slide, names, document, taken) ?? numbered(slide, turn);
    const text = runsText(said).trim();
    taken.add(text);
    return getOrMake(renamed(slide), text, () => ({ ...slide, title: { ...slide.title, runs: said } }));
  });
}
// The same slide every time, down to its identity, so that nothing is laid out anew.
const renamed = remembered((_: Slide) => new Map<string, Slide>());

type Name = (slide: Slide, document: DocumentModel) => string | undefined;

function firstFree(
  slide: Slide,
  names: readonly Name[],
  document: DocumentModel,
  taken: ReadonlySet<string>,
): Runs | undefined {
  for (const name of names) {
    const found = named(slide, name(slide, document)).find((runs) => !taken.has(runsText(runs).trim()));
    if (found !== undefined) return found;
  }
  return undefined;
}

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
  const parent = parents(document).get(title.blocks[0] ?? '');
  if (parent === undefined) return undefined;
  const text = ended(runsText(parent.runs));
  return text === document.title || readWords(text) > LONGEST_NAME ? undefined : text;
}

/** The heading that each heading stands below. */
const parents = remembered(({ blocks }: DocumentModel): ReadonlyMap<string, Heading> => {
  const above: Heading[] = [];
  const found = new Map<string, Heading>();
  for (const block of blocks) {
    if (block.kind !== 'heading') continue;
    const parent = above.findLast(({ level }) => level < block.level);
    if (parent !== undefined) found.set(block.id, parent);
    if (block.left !== undefined) continue;
    while (above.length > 0 && above.at(-1)!.level >= block.level) above.pop();
    above.push(block);
  }
  return found;
});

/** Its first short point; of one that has none what its text is about. */
const contentName: Name = (slide, document) =>
  getOrMake(contentNames(document), slide, () => nameOfContent(slide, document) ?? null) ?? undefined;
const contentNames = remembered((_: DocumentModel) => new WeakMap<Slide, string | null>());

function nameOfContent({ content, notes }: Slide, document: DocumentModel): string | undefined {
  const texts = content.flatMap((part) => ('runs' in part && part.kind === 'point' ? [runsText(part.runs)] : []));
  const said = texts.length > 0 ? texts : notes.map(({ runs }) => runsText(runs));
  const short = texts.find((text) => readWords(text) <= LONGEST_NAME);
  if (short !== undefined) return ended(short);
  return texts.length === 1 ? undefined : titleFrom(said, documentLanguage(document))[0];
}
