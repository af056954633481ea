/**
 * Takes the measures of the fonts that stand in for scripts and signs which the themes' own families do not have, into
 * packages/core/src/fonts/shipped/other-scripts.ts. Run by hand after one was added: node scripts/build-other-scripts.mjs
 */
import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openSync } from 'fontkit';

const root = join(import.meta.dirname, '..');
/** In the order in which a character is looked for. */
const GROUPS = {
  eastAsian: [
    '@fontsource-variable/noto-sans-jp',
    '@fontsource-variable/noto-sans-sc',
    '@fontsource-variable/noto-sans-tc',
    '@fontsource-variable/noto-sans-kr',
  ],
  arabic: ['@fontsource/noto-sans-arabic'],
  hebrew: ['@fontsource/noto-sans-hebrew'],
  devanagari: ['@fontsource/noto-sans-devanagari'],
  thai: ['@fontsource/noto-sans-thai'],
  signs: [
    '@fontsource/noto-sans-symbols',
    '@fontsource/noto-sans-symbols-2',
    '@fontsource/noto-sans-math',
    '@fontsource/noto-emoji',
  ],
};
/** Latin, Greek and Cyrillic are the themes' own. */
const LEAST = 0x590;
const WEIGHTS = { regular: 400, bold: 700 };

function filesOf(name, weight) {
  const folder = join(root, 'node_modules', name, 'files');
  const all = readdirSync(folder).filter((file) => file.endsWith('.woff2'));
  const own = all.filter((file) => file.includes(`-${weight}-normal`));
  // A variable font has one file for all weights, and some have no bold one.
  const found = own.length > 0 ? own : all.filter((file) => /wght-normal|-400-normal/.test(file));
  return found.map((file) => join(folder, file));
}

function measure(names, weight) {
  const advances = new Map();
  let [ascent, descent] = [0, 0];
  for (const name of names)
    for (const file of filesOf(name, weight)) {
      const font = openSync(file);
      ascent = Math.max(ascent, font.hhea.ascent / font.unitsPerEm);
      descent = Math.max(descent, -font.hhea.descent / font.unitsPerEm);
      for (const cp of font.characterSet) {
        if (cp < LEAST || advances.has(cp)) continue;
        const { id } = font.glyphForCodePoint(cp);
        if (id === 0) continue;
        const { advance } = font.hmtx.metrics.get(Math.min(id, font.hhea.numberOfMetrics - 1));
        advances.set(cp, Math.round((advance / font.unitsPerEm) * 1000));
      }
    }
  const spans = [];
  for (const cp of [...advances.keys()].sort((a, b) => a - b)) {
    const last = spans.at(-1);
    if (last !== undefined && last[1] === cp - 1 && last[2] === advances.get(cp)) last[1] = cp;
    else spans.push([cp, cp, advances.get(cp)]);
  }
  // Gaps to the next span and lengths are shorter than places.
  let at = 0;
  const packed = spans.flatMap(([from, to, advance]) => {
    const entry = [from - at, to - from, advance];
    at = to;
    return entry;
  });
  return { ascent: Number(ascent.toFixed(3)), descent: Number(descent.toFixed(3)), spans: packed };
}

if (!existsSync(join(root, 'node_modules/@fontsource'))) throw new Error('The fonts are not installed.');
const lines = Object.entries(WEIGHTS).map(
  ([style, weight]) =>
    `  ${style}: '${JSON.stringify(Object.fromEntries(Object.entries(GROUPS).map(([group, names]) => [group, measure(names, weight)])))}',`,
);
writeFileSync(
  join(root, 'packages/core/src/fonts/shipped/other-scripts.ts'),
  `/** Measures of the Noto fonts for other scripts and signs (SIL Open Font License), as JSON; written by scripts/build-other-scripts.mjs. */\nconst scripts: Readonly<Record<'regular' | 'bold', string>> = {\n${lines.join('\n')}\n};\nexport default scripts;\n`,
);
