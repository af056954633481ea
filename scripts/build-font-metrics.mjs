/**
 * Takes the measures of the shipped fonts out of their files, once, into packages/core/src/fonts/shipped/: advances and
 * pair kerning (OpenType GPOS lookup type 2) for the characters of Latin, Greek and Cyrillic text.
 * Run by hand after a font was added or brought up to date: node scripts/build-font-metrics.mjs
 */
import { readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openSync } from 'fontkit';

const FAMILIES = {
  'source-serif-4': 'Source Serif 4',
  'source-sans-3': 'Source Sans 3',
  'fira-sans': 'Fira Sans',
  'open-sans': 'Open Sans',
  'eb-garamond': 'EB Garamond',
  'ibm-plex-sans': 'IBM Plex Sans',
  'jetbrains-mono': 'JetBrains Mono',
  montserrat: 'Montserrat',
  'playfair-display': 'Playfair Display',
  lora: 'Lora',
  // As wide, letter for letter, as fonts that stand on most computers.
  arimo: 'Arimo',
  tinos: 'Tinos',
  carlito: 'Carlito',
  caladea: 'Caladea',
  gelasio: 'Gelasio',
};
const STYLES = { regular: '400Regular', bold: '700Bold', italic: '400Regular_Italic', boldItalic: '700Bold_Italic' };
const wanted = (cp) => (cp >= 0x20 && cp < 0x530) || (cp >= 0x1e00 && cp < 0x2300) || (cp >= 0xfb00 && cp < 0xfb07);
/** Signs that drawings are made of, which stand in code alone. */
const DRAWN = 'jetbrains-mono';
const drawn = (cp) => cp >= 0x2300 && cp < 0x2600;

// Pairs beyond these change no line of ordinary text and would double the size.
const kerned = (cp) => cp < 0x180 || (cp >= 0x386 && cp < 0x460) || (cp >= 0x2010 && cp < 0x2040);

function metrics(file, isWanted) {
  const font = openSync(file);
  const cps = font.characterSet.filter(isWanted).sort((a, b) => a - b);
  const glyphOf = new Map(cps.map((cp) => [cp, font.glyphForCodePoint(cp)]));
  const byGlyph = new Map();
  for (const [cp, glyph] of glyphOf) if (kerned(cp)) byGlyph.set(glyph.id, [...(byGlyph.get(glyph.id) ?? []), cp]);
  const advances = [];
  let run = null;
  let last = -2;
  for (const cp of cps) {
    if (cp !== last + 1) advances.push((run = [cp]));
    run.push(advance(font, glyphOf.get(cp).id));
    last = cp;
  }
  return {
    unitsPerEm: font.unitsPerEm,
    ascent: Math.max(font.hhea.ascent, font['OS/2'].winAscent),
    descent: Math.max(-font.hhea.descent, font['OS/2'].winDescent),
    lineGap: font.hhea.lineGap,
    advances,
    kerning: kerning(font, byGlyph),
  };
}

/** From `hmtx` itself: fontkit also reads the outline, which some fonts have none of for a space. */
function advance({ hmtx, hhea }, glyph) {
  return hmtx.metrics.get(Math.min(glyph, hhea.numberOfMetrics - 1)).advance;
}

const SCRIPTS = ['latn', 'grek', 'cyrl'];

/** Lookups of a font with the scripts whose text they kern. A script that the font does not name has the default's. */
function lookupsByScript({ featureList, scriptList }) {
  const lookups = new Map();
  for (const script of SCRIPTS) {
    const named = (tag) => scriptList.find((one) => one.tag === tag)?.script.defaultLangSys;
    for (const i of (named(script) ?? named('DFLT'))?.featureIndexes ?? []) {
      const { tag, feature } = featureList[i];
      if (tag !== 'kern') continue;
      for (const index of feature.lookupListIndexes) lookups.set(index, (lookups.get(index) ?? new Set()).add(script));
    }
  }
  return [...lookups].sort(([a], [b]) => a - b);
}

/** Lookups, which all apply; of the subtables of each the first that knows a pair decides it. */
function kerning(font, byGlyph) {
  const gpos = font.GPOS;
  if (!gpos) return [];
  return lookupsByScript(gpos)
    .map(([index, scripts]) => ({
      ...(scripts.size < SCRIPTS.length ? { scripts: [...scripts] } : {}),
      tables: tablesOf(gpos.lookupList.get(index), byGlyph),
    }))
    .filter(({ tables }) => tables.length > 0);
}

function tablesOf(lookup, byGlyph) {
  const cpsOf = (glyphs) => glyphs.flatMap((glyph) => byGlyph.get(glyph) ?? []);
  const found = [];
  for (let table of lookup.subTables) {
    if (lookup.lookupType === 9) table = table.lookupType === 2 ? table.extension : null;
    else if (lookup.lookupType !== 2) table = null;
    if (!table) continue;
    const covered = coverage(table.coverage);
    if (table.version === 1) {
      const lefts = new Map();
      covered.forEach((glyph, i) => {
        const set = table.pairSets.get(i);
        for (const left of cpsOf([glyph])) {
          const row = [];
          for (const record of set)
            for (const right of cpsOf([record.secondGlyph])) row.push(right, record.value1?.xAdvance ?? 0);
          const key = JSON.stringify(row);
          if (row.length > 0) lefts.set(key, [...(lefts.get(key) ?? []), left]);
        }
      });
      if (lefts.size > 0) found.push({ pairs: [...lefts].map(([row, left]) => ({ left, row: JSON.parse(row) })) });
    } else {
      const left = classes(table.classDef1, covered, byGlyph, table.class1Count);
      const right = classes(table.classDef2, [...byGlyph.keys()], byGlyph, table.class2Count);
      const rows = [];
      for (let l = 0; l < table.class1Count; l++) {
        const row = [];
        for (let r = 0; r < table.class2Count; r++) row.push(table.classRecords.get(l).get(r).value1?.xAdvance ?? 0);
        rows.push(row);
      }
      const used = left.map((cps, l) => (cps.length > 0 ? l : -1)).filter((l) => l >= 0);
      const usedRight = right.map((cps, r) => (cps.length > 0 ? r : -1)).filter((r) => r >= 0);
      if (used.length > 0)
        found.push({
          left: used.map((l) => left[l]),
          right: usedRight.map((r) => right[r]),
          values: used.map((l) => usedRight.map((r) => rows[l][r])),
        });
    }
  }
  return found;
}

function coverage(table) {
  if (table.version === 1) return table.glyphs;
  return table.rangeRecords.flatMap((range) =>
    Array.from({ length: range.end - range.start + 1 }, (_, i) => range.start + i),
  );
}

function classes(def, glyphs, byGlyph, count) {
  const of = new Map();
  if (def.version === 1) def.classValueArray.forEach((value, i) => of.set(def.startGlyph + i, value));
  else for (const range of def.classRangeRecord) for (let g = range.start; g <= range.end; g++) of.set(g, range.class);
  const list = Array.from({ length: count }, () => []);
  for (const glyph of glyphs) for (const cp of byGlyph.get(glyph) ?? []) list[of.get(glyph) ?? 0]?.push(cp);
  return list;
}

const root = join(import.meta.dirname, '..');
for (const [slug, name] of Object.entries(FAMILIES)) {
  const folder = join(root, 'node_modules/@expo-google-fonts', slug);
  const lines = [];
  for (const [style, weight] of Object.entries(STYLES)) {
    const at = join(folder, weight);
    const face = JSON.stringify(
      metrics(
        join(
          at,
          readdirSync(at).find((file) => file.endsWith('.ttf')),
        ),
        slug === DRAWN ? (cp) => wanted(cp) || drawn(cp) : wanted,
      ),
    );
    // JSON of numbers and plain keys: nothing in it needs escaping between single quotes.
    lines.push(`  ${style}: '${face}',`);
  }
  writeFileSync(
    join(root, 'packages/core/src/fonts/shipped', `${slug}.ts`),
    `/** Measures of ${name} (SIL Open Font License), each face as JSON; written by scripts/build-font-metrics.mjs. */\nconst faces: Readonly<Record<'regular' | 'bold' | 'italic' | 'boldItalic', string>> = {\n${lines.join('\n')}\n};\nexport default faces;\n`,
  );
  console.log(slug);
}
