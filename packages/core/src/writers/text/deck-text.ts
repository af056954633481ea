/** A deck as text: its title, sections and slides in order, with what stands on each and what is said. */
import { runsText, type Runs } from '../../content/index.ts';
import type { Content, Deck, Note, Slide } from '../../deck/index.ts';

export interface TextSlide {
  /** Of its heading: below the title of a cover, and below its section's. */
  readonly depth: 1 | 2 | 3;
  readonly kind: Slide['kind'];
  readonly title: Runs;
  readonly content: readonly Content[];
  readonly notes: readonly Note[];
}
/**
 * Slides that are shown, all of them at one depth, so that it says with which headings slides begin. What is made of the deck itself, as
 * an agenda, follows from the others and is left off.
 */
export function deckText({ slides }: Pick<Deck, 'slides'>): readonly TextSlide[] {
  const shown = slides.filter(
    ({ hidden, matter, kind }) => hidden !== true && (matter === undefined || kind === 'cover'),
  );
  const above = shown[0]?.kind === 'cover' ? 1 : 0;
  const sectioned = shown.some(({ kind }) => kind === 'section') ? 1 : 0;
  const depths: Readonly<Record<Slide['kind'], number>> = {
    cover: 1,
    section: above + 1,
    content: above + sectioned + 1,
  };
  return shown.map((slide): TextSlide => ({
    depth: depths[slide.kind] as TextSlide['depth'],
    kind: slide.kind,
    title: titled(slide),
    content: slide.content,
    notes: slide.notes,
  }));
}

/** Every slide needs a heading, or what stands on it would go to the slide before. */
const titled = ({ title, section }: Slide): Runs =>
  runsText(title.runs).trim() === '' ? [{ text: section ?? '…' }] : title.runs;
