/** Drawable slides that keep their meaning: boxes with roles, paragraphs with levels, notes, sections. */
import { remembered, type LanguageTag } from '../base/index.ts';
import { nameOfLink, runsText, type FileAbout, type PictureData, type PictureId } from '../content/index.ts';
import { STILL, type LinkGoals, type Motion, type Note, type Slide } from '../deck/index.ts';
import type { PageKey, PartId, SlideId } from '../ids/index.ts';
import type { Box, Page } from '../layout/index.ts';
import { layoutNamed, paletteFor, type Hex, type Layout, type Palette, type Theme } from '../theme/index.ts';

export interface SceneSlide {
  /** Of the slide, which may go on over several of a scene's. */
  readonly id: SlideId;
  readonly key: PageKey;
  readonly kind: Slide['kind'];
  readonly number: number /* 1.. */;
  /** Title of the section that it stands in. */
  readonly section: string | null;
  /** Which of the pages of its slide it is; `continues` also where its slide only goes on with the title of the one before. */
  readonly part: { readonly index: number /* 0.. */; readonly of: number; readonly continues: boolean };
  /** What is written at its foot; empty where nothing is. */
  readonly foot: { readonly footer: string; readonly date: string };
  readonly layout: Layout;
  readonly title: string;
  readonly boxes: readonly Box[];
  readonly notes: readonly Note[];
  /** Not shown when the deck is presented. */
  readonly hidden: boolean;
  /** How it comes on a screen. */
  readonly motion: Motion;
  /** Languages of parts, and under null of the title, where they are not the deck's. */
  readonly languages: ReadonlyMap<PartId | null, LanguageTag>;
  /** Slides that parts lead to: entries of an agenda. */
  readonly leads: ReadonlyMap<PartId, SlideId>;
  /** Colours of its own, in the place of the theme's. */
  readonly colors: OwnColors | null;
}
export interface OwnColors {
  readonly palette: Palette;
  readonly dark: boolean;
}

/** The colours that a slide is drawn in, and that of its ground. */
export interface SlideColors {
  readonly palette: Palette;
  /** Of text, where that is not the same. */
  readonly inks: Palette;
  readonly ground: Hex;
}
export function colorsOf({ colors, layout }: Pick<SceneSlide, 'colors' | 'layout'>, theme: Theme): SlideColors {
  const palette = colors?.palette ?? layout.colors?.fills ?? theme.palette;
  return { palette, inks: layout.colors?.inks ?? palette, ground: layout.paint ?? palette[layout.ground] };
}

export interface SceneSection {
  readonly title: string;
  /** Index of its first slide; it ends where the next begins. */
  readonly from: number;
}

export interface Scene {
  readonly theme: Theme;
  readonly title: string | null;
  readonly author: string | null;
  readonly language: LanguageTag | null;
  /** What the document says of itself. */
  readonly about?: FileAbout | undefined;
  /** File name of the document, by which slides can be found again in a file; without, they are not marked. */
  readonly origin?: string | undefined;
  readonly slides: readonly SceneSlide[];
  /** Where links within the document lead, by the names that they use. */
  readonly goals: LinkGoals;
  readonly sections: readonly SceneSection[];
}

const NO_GOALS: LinkGoals = new Map();

/** The slide that a link within the document leads to. */
export const goalOf = ({ goals }: Pick<Scene, 'goals'>, link: string): SlideId | undefined =>
  goals.size === 0 ? undefined : goals.get(nameOfLink(link) ?? '');

export type PictureSource = (id: PictureId) => PictureData | undefined;

/** @param motion Of the deck. */
export function sceneSlide(page: Page, number: number, theme: Theme, motion = STILL): SceneSlide {
  return {
    id: page.slide.id,
    key: page.key,
    kind: page.slide.kind,
    number,
    section: page.slide.section,
    part: { index: page.index, of: page.count, continues: page.index > 0 || page.slide.continues },
    foot: { footer: theme.look?.foot.footer.text ?? '', date: theme.look?.foot.date.text ?? '' },
    layout: layoutNamed(theme, page.layout),
    title: runsText(page.slide.title.runs),
    boxes: page.boxes,
    notes: page.notes,
    hidden: page.slide.hidden === true,
    motion: page.slide.motion ?? motion,
    languages: languagesOf(page.slide),
    leads: leadsOf(page.slide),
    colors: ownColors(page, theme),
  };
}

const languagesOf = remembered(({ title, content }: Slide): SceneSlide['languages'] => {
  const found = content.flatMap(({ id, lang }) => (lang === undefined ? [] : [[id, lang] as const]));
  return new Map<PartId | null, LanguageTag>(title.lang === undefined ? found : [[null, title.lang], ...found]);
});

const leadsOf = remembered(
  ({ content }: Slide): SceneSlide['leads'] =>
    new Map(
      content.flatMap((part) =>
        part.kind === 'point' && part.leads !== undefined ? [[part.id, part.leads] as const] : [],
      ),
    ),
);

function ownColors({ slide: { colors } }: Page, theme: Theme): OwnColors | null {
  // A template's colours are its own: no palette of ours is laid over a slide of it.
  return colors === undefined || theme.look === undefined || theme.template !== undefined
    ? null
    : { palette: paletteFor(theme.look, colors), dark: colors.dark ?? theme.dark };
}

export function makeScene(
  pages: readonly Page[],
  theme: Theme,
  about: Pick<Scene, 'title' | 'author' | 'language' | 'about' | 'origin'>,
  motion = STILL,
  goals = NO_GOALS,
): Scene {
  const sections: SceneSection[] = [];
  pages.forEach(({ slide, index }, from) => {
    if (slide.kind === 'section' && index === 0) sections.push({ title: runsText(slide.title.runs), from });
  });
  // Sections cover all slides or none: those before the first opener get one named after the deck.
  if (sections.length > 0 && sections[0]!.from > 0) sections.unshift({ title: about.title ?? 'Opening', from: 0 });
  return { theme, ...about, slides: pages.map((page, i) => sceneSlide(page, i + 1, theme, motion)), goals, sections };
}
