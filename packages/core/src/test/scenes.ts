/** Scenes in which everything is that writers write, for golden files. */
import type { PictureData, PictureId } from '../content/index.ts';
import type { Slide } from '../deck/index.ts';
import { layOutSlide, type Page } from '../layout/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { makeScene, type Scene } from '../scene/index.ts';
import { dress, LAYOUT_NAMES, type Theme } from '../theme/index.ts';
import { THEMES } from './build.ts';
import { slideFor, STRESS, STRESS_PICTURES } from './stress-slides.ts';
import { mill, MILL } from './whole-document.ts';

const theme = (name: string): Theme => THEMES.find((one) => one.name === name)!;
const ABOUT = {
  title: 'The mill',
  author: 'The Trust',
  language: 'en-GB' as never,
  about: { subject: 'Tides', keywords: 'oak, iron' },
  origin: 'mill.docx',
};

/** The document with one of everything, some of its slides hidden, in motion, in colours and with points that lead on. */
export function millScene(worn = theme('plainsong')): Scene {
  const { slides } = mapDocument(mill, presetMap('lesson', mill));
  const pictures = new Map([[MILL.id, { id: MILL.id, mime: MILL.mime, width: MILL.width, height: MILL.height }]]);
  const last = slides.at(-1)!;
  const dressed = slides.map((slide, i): Slide => ({
    ...slide,
    ...(i === 1 ? { colors: { palette: null, dark: true } } : {}),
    ...(slide === last ? { hidden: true as const, motion: { transition: 'push', points: true } } : {}),
    content: slide.content.map((part) => (part.kind === 'point' && i === 1 ? { ...part, leads: last.id } : part)),
  }));
  const pages = dressed.flatMap((slide) => layOutSlide(slide, { theme: worn, pictures, full: 'continue' }));
  return makeScene(pages, worn, ABOUT);
}

/** A slide in each layout. */
export function layoutsScene(worn: Theme, text: string): Scene {
  const pages = LAYOUT_NAMES.flatMap((layout): readonly Page[] => {
    const slide = { ...slideFor(layout, STRESS[text]!), id: `s${layout}` as Slide['id'] };
    const laid = layOutSlide(slide, { theme: worn, pictures: STRESS_PICTURES, full: 'continue' });
    return laid[0]!.layout === layout ? laid.slice(0, 1) : [];
  });
  return makeScene(pages, worn, ABOUT);
}
const pebble = theme('pebble').look!;
export const MIRRORED = dress({
  ...pebble,
  mirrored: true,
  foot: { ...pebble.foot, footer: { ...pebble.foot.footer, text: 'The Trust' } },
});
/** Every picture of a scene is the same here. */
export const pictureBytes = (id: PictureId): PictureData => ({ ...MILL, id });
