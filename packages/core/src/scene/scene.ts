/** Drawable slides that keep their meaning: boxes with roles, paragraphs with levels, notes, sections. */
import type { LanguageTag } from '../base/index.ts';
import type { PictureData, PictureId } from '../content/index.ts';
import type { Note } from '../deck/index.ts';
import type { Box, Page } from '../layout/index.ts';
import { layoutNamed, paletteFor, type Layout, type Palette, type Theme } from '../theme/index.ts';
import { runsText } from '../content/index.ts';

export interface SceneSlide {
  readonly key: string;
  readonly number: number /* 1.. */;
  readonly layout: Layout;
  readonly title: string;
  readonly boxes: readonly Box[];
  readonly notes: readonly Note[];
  /** Not shown when the deck is presented. */
  readonly hidden: boolean;
  /** Colours of its own, in the place of the theme's. */
  readonly colors: OwnColors | null;
}
export interface OwnColors {
  readonly palette: Palette;
  readonly dark: boolean;
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
  readonly slides: readonly SceneSlide[];
  readonly sections: readonly SceneSection[];
}

export type PictureSource = (id: PictureId) => PictureData | undefined;

export function sceneSlide(page: Page, number: number, theme: Theme): SceneSlide {
  return {
    key: page.key,
    number,
    layout: layoutNamed(theme, page.layout),
    title: runsText(page.slide.title.runs),
    boxes: page.boxes,
    notes: page.notes,
    hidden: page.slide.hidden === true,
    colors: ownColors(page, theme),
  };
}

function ownColors({ slide: { colors } }: Page, theme: Theme): OwnColors | null {
  // A template's colours are its own: no palette of ours is laid over a slide of it.
  return colors === undefined || theme.look === undefined || theme.template !== undefined
    ? null
    : { palette: paletteFor(theme.look, colors), dark: colors.dark ?? theme.dark };
}

export function makeScene(
  pages: readonly Page[],
  theme: Theme,
  about: Pick<Scene, 'title' | 'author' | 'language'>,
): Scene {
  const sections: SceneSection[] = [];
  pages.forEach(({ slide, index }, from) => {
    if (slide.kind === 'section' && index === 0) sections.push({ title: runsText(slide.title.runs), from });
  });
  // Sections cover all slides or none: those before the first opener get one named after the deck.
  if (sections.length > 0 && sections[0]!.from > 0) sections.unshift({ title: about.title ?? 'Opening', from: 0 });
  return { theme, ...about, slides: pages.map((page, i) => sceneSlide(page, i + 1, theme)), sections };
}
