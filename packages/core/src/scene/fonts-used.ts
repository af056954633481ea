/** Which faces of the theme's fonts a deck is set in, and with which letters: what a file needs that brings its fonts. */
import type { Chart } from '../charts/index.ts';
import { isShipped, type FaceStyle } from '../fonts/index.ts';
import { runsText, type Runs } from '../content/index.ts';
import type { Theme } from '../theme/index.ts';
import type { Box, Page } from '../layout/index.ts';

export interface FaceUse {
  readonly family: string;
  readonly style: FaceStyle;
  /** Each once, in the order of their numbers. */
  readonly characters: string;
}
export interface EmbeddedFace extends Pick<FaceUse, 'family' | 'style'> {
  /** TrueType or OpenType. */
  readonly bytes: Uint8Array;
}

/** Fonts that do not ship are the receiver's own. Bold and italic are whole families' matter: who writes on wants them too. */
export function fontsUsed(pages: readonly Page[], { fonts }: Pick<Theme, 'fonts'>): readonly FaceUse[] {
  const letters = new Set<string>();
  let [italic, code] = [false, false];
  const take = (runs: Runs): void => {
    for (const letter of runsText(runs)) letters.add(letter);
    italic ||= runs.some((run) => run.italic);
    code ||= runs.some((run) => run.code);
  };
  for (const { boxes } of pages)
    for (const box of boxes) {
      textsIn(box).forEach(take);
      if (box.kind !== 'text') continue;
      italic ||= box.paras.some(({ style }) => style === 'quote');
      code ||= box.paras.some(({ style }) => style === 'code');
    }
  const characters = [...letters].sort((a, b) => a.codePointAt(0)! - b.codePointAt(0)!).join('');
  const families = new Set([fonts.heading, fonts.body, ...(code ? [fonts.mono] : [])]);
  const styles: readonly FaceStyle[] = italic ? ['regular', 'bold', 'italic', 'boldItalic'] : ['regular', 'bold'];
  return [...families]
    .filter(isShipped)
    .flatMap((family) => styles.map((style): FaceUse => ({ family, style, characters })));
}

function textsIn(box: Box): readonly Runs[] {
  switch (box.kind) {
    case 'text':
      return box.paras.map(({ runs }) => runs);
    case 'table':
      return box.cells.map(({ runs }) => runs);
    case 'chart':
      return chartWords(box.chart).map((text) => [{ text }]);
    case 'picture':
    case 'shape':
    case 'connector':
    case 'icon':
      return [];
  }
}

const chartWords = ({ categories, series, settings: { title, acrossTitle, upTitle } }: Chart): readonly string[] => [
  ...categories,
  ...series.map(({ name }) => name),
  ...[title, acrossTitle, upTitle].filter((words) => words !== null),
];
