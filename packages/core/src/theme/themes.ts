/** The themes that ship. */
import { buildLayouts, mark } from './build-layouts.ts';
import type { ColorName, LevelStyle, TextStyle, Theme } from './theme.ts';

const BODY_SIZES = [24, 22, 20, 18];
const TITLE_SIZES = [34, 30, 26, 24];

const style = (
  font: TextStyle['font'],
  sizes: readonly number[],
  color: ColorName,
  bold = false,
  lineSpacing = 1,
): TextStyle => ({ font, sizes, color, bold, lineSpacing });

function levels(bullets: string, first: ColorName, bulletColor: ColorName): Theme['levels'] {
  return [1, 0.84, 0.76, 0.7, 0.7].map((scale, i): LevelStyle => ({
    scale,
    color: i === 0 ? first : 'text',
    bullet: bullets[i % bullets.length]!,
    bulletColor,
    indent: 18 + i * 20,
    hanging: 18,
    spaceBefore: i === 0 ? 0.32 : 0.14,
  })) as unknown as Theme['levels'];
}

/** Quiet paper: a book serif over a fine rule. */
const millrace: Theme = {
  name: 'millrace',
  label: 'Millrace',
  character: 'Quiet paper, a book serif, one fine rule.',
  dark: false,
  palette: {
    ground: 'FFFDF8',
    text: '1C2622',
    panel: 'EFE9DA',
    muted: '55615B',
    accent1: '1F5A4A',
    accent2: 'B4632B',
    accent3: '2F5D8A',
    accent4: '8A6D1B',
    accent5: '7A3E5E',
    accent6: '4D6B2F',
    link: '1B5C8C',
  },
  fonts: { heading: 'Source Serif 4', body: 'Source Sans 3', mono: 'JetBrains Mono' },
  levels: levels('•–·', 'text', 'accent1'),
  table: { sizes: [16, 14, 12, 11], headColor: 'panel', headText: 'text', rule: 'muted' },
  layouts: buildLayouts({
    grid: {
      left: 0.85,
      right: 0.85,
      titleTop: 0.5,
      titleHeight: 1.05,
      bodyTop: 1.85,
      bodyBottom: 6.75,
      gutter: 0.5,
      titleAnchor: 'bottom',
    },
    title: style('heading', TITLE_SIZES, 'accent1', true, 0.92),
    body: style('body', BODY_SIZES, 'text'),
    cover: {
      title: style('heading', [52, 46, 40, 34], 'accent1', true, 0.92),
      subtitle: style('body', [22, 20, 18], 'muted'),
      top: 1.75,
      ground: 'ground',
    },
    section: { title: style('heading', [44, 38, 34, 30], 'accent1', true, 0.92), top: 2.2, ground: 'panel' },
    number: style('body', [11], 'muted'),
    marks: {
      cover: [mark('accent1', 0.85, 4.08, 1.6, 0.045)],
      section: [mark('accent1', 0.85, 4.52, 1.6, 0.045)],
      content: [mark('accent1', 0.85, 1.62, 11.633, 0.018)],
    },
  }),
};

/** Bright and upright: a coloured edge, a plain sans. */
const slipway: Theme = {
  name: 'slipway',
  label: 'Slipway',
  character: 'White, upright, a broad coloured edge.',
  dark: false,
  palette: {
    ground: 'FFFFFF',
    text: '14202B',
    panel: 'E7EEF3',
    muted: '4A5B68',
    accent1: '0F4C75',
    accent2: 'C2410C',
    accent3: '2E7D5B',
    accent4: '7A5AA6',
    accent5: '9A6B00',
    accent6: '8C2F4B',
    link: '0B5FA5',
  },
  fonts: { heading: 'Fira Sans', body: 'Open Sans', mono: 'JetBrains Mono' },
  levels: levels('▪–·', 'text', 'accent2'),
  table: { sizes: [16, 14, 12, 11], headColor: 'accent1', headText: 'ground', rule: 'accent1' },
  layouts: buildLayouts({
    grid: {
      left: 1.0,
      right: 0.7,
      titleTop: 0.45,
      titleHeight: 1.1,
      bodyTop: 1.75,
      bodyBottom: 6.75,
      gutter: 0.5,
      titleAnchor: 'middle',
    },
    title: style('heading', [32, 28, 26, 24], 'accent1', true, 0.95),
    body: style('body', [22, 20, 18], 'text'),
    cover: {
      title: style('heading', [50, 44, 38, 32], 'ground', true, 0.95),
      subtitle: style('body', [22, 20, 18], 'panel'),
      top: 1.6,
      ground: 'accent1',
    },
    section: { title: style('heading', [42, 36, 32, 28], 'accent1', true, 0.95), top: 2.0, ground: 'panel' },
    number: style('body', [11], 'muted'),
    marks: {
      cover: [mark('accent2', 0, 0, 0.32, 7.5)],
      section: [mark('accent1', 0, 0, 0.32, 7.5)],
      content: [mark('accent1', 0, 0, 0.32, 7.5)],
    },
  }),
};

/** Dark stage: garamond by lamplight. */
const lamplight: Theme = {
  name: 'lamplight',
  label: 'Lamplight',
  character: 'Dark stage, warm light, an old-style serif.',
  dark: true,
  palette: {
    ground: '171A21',
    text: 'F3EBDD',
    panel: '262B36',
    muted: 'B9B3A6',
    accent1: 'F0B35A',
    accent2: '7FC4B8',
    accent3: 'E58A6C',
    accent4: '9DB4E8',
    accent5: 'C8D27A',
    accent6: 'D79BC0',
    link: '9CC9F0',
  },
  fonts: { heading: 'EB Garamond', body: 'IBM Plex Sans', mono: 'JetBrains Mono' },
  levels: levels('•◦·', 'text', 'accent1'),
  table: { sizes: [16, 14, 12, 11], headColor: 'panel', headText: 'accent1', rule: 'muted' },
  layouts: buildLayouts({
    grid: {
      left: 1.1,
      right: 1.1,
      titleTop: 0.55,
      titleHeight: 1.1,
      bodyTop: 1.9,
      bodyBottom: 6.7,
      gutter: 0.5,
      titleAnchor: 'bottom',
    },
    title: style('heading', [38, 34, 30, 26], 'accent1', false, 0.9),
    body: style('body', [22, 20, 18], 'text'),
    cover: {
      title: style('heading', [60, 52, 46, 38], 'accent1', false, 0.9),
      subtitle: style('body', [22, 20, 18], 'muted'),
      top: 1.7,
      ground: 'ground',
    },
    section: { title: style('heading', [50, 44, 38, 32], 'accent1', false, 0.9), top: 2.0, ground: 'panel' },
    number: style('body', [11], 'muted'),
    marks: {
      cover: [mark('accent1', 1.1, 4.02, 11.133, 0.02), mark('accent2', 1.1, 4.07, 11.133, 0.02)],
      section: [mark('accent1', 1.1, 4.32, 11.133, 0.02)],
      content: [mark('panel', 0, 0, 0.6, 7.5), mark('accent1', 0.6, 0, 0.02, 7.5)],
    },
  }),
};

export const THEMES: readonly Theme[] = [millrace, slipway, lamplight];
export const DEFAULT_THEME = millrace;

export const themeNamed = (name: string | undefined): Theme | undefined => THEMES.find((theme) => theme.name === name);
