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

// Where marks are placed over letters changes no advance.
const shaped = (font, text) => font.layout(text, { mark: false, mkmk: false, abvm: false, blwm: false });
const thousandths = (font, ...cps) => Math.round((shaped(font, sign(...cps)).advanceWidth / font.unitsPerEm) * 1000);
const fontWith = (group, weight, cp) =>
  filesOf(GROUPS[group][0], weight)
    .map((file) => openSync(file))
    .find((font) => font.hasGlyphForCodePoint(cp));
const range = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => from + i);
const sign = String.fromCodePoint;

const JOINER = 0x200d;
const BEH = 0x628;
const SPACE = 0x20;
const DAL = 0x62f;
const LAM = 0x644;
const ALEFS = [0x622, 0x623, 0x625, 0x627];

/** Of each Arabic letter that joins: its code point, its advance behind a letter that does not join it, at the end of a word, and at the beginning and in the middle where it joins what follows. */
function arabicForms(weight) {
  const font = fontWith('arabic', weight, LAM);
  const advance = (...cps) => thousandths(font, ...cps);
  // A letter joins where beh beside it has another form than alone.
  const glyphs = (...cps) => shaped(font, sign(...cps)).glyphs.map(({ id }) => id);
  const alone = new Set(glyphs(BEH, SPACE, JOINER, SPACE, BEH));
  const beginning = glyphs(BEH, JOINER).find((id) => !alone.has(id));
  const end = glyphs(JOINER, BEH).find((id) => !alone.has(id));
  const letters = [...range(0x620, 0x6ff), ...range(0x750, 0x77f)].filter(
    (cp) => font.hasGlyphForCodePoint(cp) && /\p{L}/u.test(sign(cp)),
  );
  const forms = letters.flatMap((cp) => {
    if (!glyphs(BEH, cp).includes(beginning)) return [];
    const ends = [cp, advance(DAL, cp) - advance(DAL), advance(JOINER, cp)];
    return [glyphs(cp, BEH).includes(end) ? [...ends, advance(cp, JOINER), advance(JOINER, cp, JOINER)] : ends];
  });
  // Letters that do not join the next one are set nearer to some.
  const kerning = forms.flatMap(([first, , , joins]) => {
    if (joins !== undefined) return [];
    const pairs = forms.flatMap(([second, behind]) => {
      const nearer = advance(first, second) - advance(first) - behind;
      return nearer === 0 ? [] : [second, nearer];
    });
    return pairs.length === 0 ? [] : [[first, ...pairs]];
  });
  const widths = (alef) => [alef, advance(LAM, alef), advance(JOINER, LAM, alef)];
  return { forms, kerning, lamAlef: ALEFS.map(widths) };
}

const VIRAMA = 0x94d;
const CONSONANTS = range(0x915, 0x939);

/**
 * What two Devanagari consonants with a virama between them take more than they take alone: for each first one, the usual value,
 * then each second one with which it is otherwise, and the value there.
 */
function devanagariConjuncts(weight) {
  const font = fontWith('devanagari', weight, VIRAMA);
  return CONSONANTS.map((first) => {
    const more = CONSONANTS.map((second) => [
      second,
      thousandths(font, first, VIRAMA, second) - thousandths(font, first) - thousandths(font, second),
    ]);
    const counts = new Map();
    for (const [, value] of more) counts.set(value, (counts.get(value) ?? 0) + 1);
    const [usual] = [...counts].reduce((best, one) => (one[1] > best[1] ? one : best));
    return [first, usual, ...more.filter(([, value]) => value !== usual).flat()];
  });
}

if (!existsSync(join(root, 'node_modules/@fontsource'))) throw new Error('The fonts are not installed.');
const lines = Object.entries(WEIGHTS).map(
  ([style, weight]) =>
    `  ${style}: '${JSON.stringify(Object.fromEntries(Object.entries(GROUPS).map(([group, names]) => [group, measure(names, weight)])))}',`,
);
const joined = Object.entries(WEIGHTS).map(
  ([style, weight]) =>
    `  ${style}: '${JSON.stringify({ ...arabicForms(weight), conjuncts: devanagariConjuncts(weight) })}',`,
);
writeFileSync(
  join(root, 'packages/core/src/fonts/shipped/other-scripts.ts'),
  `/** Measures of the Noto fonts for other scripts and signs (SIL Open Font License), as JSON; written by scripts/build-other-scripts.mjs. */\nconst scripts: Readonly<Record<'regular' | 'bold', string>> = {\n${lines.join('\n')}\n};\nexport default scripts;\n\n/** What letters take where they join. */\nexport const joins: typeof scripts = {\n${joined.join('\n')}\n};\n`,
);
