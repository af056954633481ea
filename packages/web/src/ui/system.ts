/** The look of the interface, in one place: tokens and global styles. Recipes of single controls stand in recipes.ts. */
import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';

const color = (light: string, dark: string) => ({ value: { _light: light, _dark: dark } });

const config = defineConfig({
  theme: {
    tokens: {
      fonts: {
        body: { value: "'IBM Plex Sans', var(--other-scripts)" },
        heading: { value: "'Source Serif 4', var(--other-scripts), serif" },
        mono: { value: "'JetBrains Mono', var(--other-scripts), monospace" },
      },
      fontSizes: {
        xs: { value: '11px' },
        sm: { value: '12px' },
        md: { value: '13px' },
        lg: { value: '15px' },
        xl: { value: '19px' },
        '2xl': { value: '28px' },
      },
      radii: { sm: { value: '2px' } },
    },
    semanticTokens: {
      colors: {
        paper: color('#F6F3EA', '#161C19'),
        card: color('#FDFCF8', '#1D2521'),
        ink: color('#1C2622', '#ECE7DA'),
        soft: color('#57625C', '#A9B3AA'),
        pale: color('#676C62', '#8E978F'),
        line: color('#D9D3C3', '#37423C'),
        hole: color('#8C8775', '#7B857D'),
        pine: color('#1F5A4A', '#7FC0A9'),
        pineText: color('#FFFFFF', '#10201A'),
        pineWash: color('#E3ECE6', '#24352E'),
        amber: color('#C98A12', '#E0AB45'),
        amberText: color('#7A5200', '#F0C678'),
        amberWash: color('#FBF0D6', '#3A2F17'),
        red: color('#A4352A', '#F0938A'),
        redWash: color('#F8E4E0', '#3D211D'),
      },
    },
  },
  globalCss: {
    'html, body, #root': { height: '100%' },
    body: { bg: 'paper', color: 'ink', fontFamily: 'body', fontSize: 'md', lineHeight: '1.45', margin: 0 },
    '*, *::before, *::after': { boxSizing: 'border-box' },
    'h1, h2, h3, p, ul, ol, figure': { margin: 0, padding: 0 },
    // What is drawn is placed from the left, whichever way the page is read.
    svg: { direction: 'ltr' },
    a: { color: 'pine' },
    'button, input, textarea, select': { font: 'inherit', color: 'inherit', accentColor: '{colors.pine}' },
    ':focus-visible': { outline: '2px solid {colors.pine}', outlineOffset: '2px' },
    html: {
      '@media (prefers-contrast: more)': {
        '--chakra-colors-soft': 'var(--chakra-colors-ink)',
        '--chakra-colors-pale': 'var(--chakra-colors-ink)',
        '--chakra-colors-line': 'var(--chakra-colors-hole)',
      },
    },
    // Where colours are the reader's own, what is chosen is told by a line.
    '[aria-pressed="true"], [aria-selected="true"], [aria-current="page"]': {
      '@media (forced-colors: active)': { outline: '2px solid Highlight' },
    },
    '[role="radio"][aria-checked="true"]': {
      '@media (forced-colors: active)': { forcedColorAdjust: 'none', background: 'Highlight' },
    },
    '::selection': { bg: 'pineWash', color: 'ink' },
  },
});

export const system = createSystem(defaultBaseConfig, config);
