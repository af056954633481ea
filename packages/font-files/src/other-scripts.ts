/** Parts of the fonts that draw what the themes' families do not have; the same ones as on the screen, in the same order (web/src/ui/other-scripts.css). */
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { create } from 'fontkit';
import { getOrMake } from '@alvex/core';

export interface FontFile {
  /** Lasting: of the file that it is, or is a part of. */
  readonly name: string;
  /** TrueType. */
  readonly bytes: Uint8Array;
  readonly has: (codePoint: number) => boolean;
}

export function fontFile(name: string, bytes: Uint8Array): FontFile {
  const font = create(bytes);
  const known = new Map<number, boolean>();
  return { name, bytes, has: (codePoint) => getOrMake(known, codePoint, () => font.hasGlyphForCodePoint(codePoint)) };
}

interface Family {
  readonly name: string;
  /** One file for all weights; else one for each, some of which have only the regular. */
  readonly weights: 'variable' | 'both' | 'regular';
}
const family = (name: string, weights: Family['weights']): Family => ({ name, weights });

const SCRIPTS = ['arabic', 'hebrew', 'devanagari', 'thai'].map((name) => family(`noto-sans-${name}`, 'both'));
const SIGNS = ['noto-sans-symbols', 'noto-sans-symbols-2', 'noto-sans-math', 'noto-emoji'].map((name) =>
  family(name, 'regular'),
);
const [JAPANESE, SIMPLIFIED, TRADITIONAL, KOREAN] = ['jp', 'sc', 'tc', 'kr'].map((name) =>
  family(`noto-sans-${name}`, 'variable'),
) as [Family, Family, Family, Family];

/** The same characters have other shapes in each of these languages. */
function familiesFor(language: string | null): readonly Family[] {
  const tag = (language ?? '').toLowerCase();
  const han = /^zh-(hant|tw|hk)/.test(tag)
    ? [TRADITIONAL, SIMPLIFIED, JAPANESE, KOREAN]
    : tag.startsWith('zh')
      ? [SIMPLIFIED, TRADITIONAL, JAPANESE, KOREAN]
      : tag.startsWith('ko')
        ? [KOREAN, JAPANESE, SIMPLIFIED, TRADITIONAL]
        : [JAPANESE, SIMPLIFIED, TRADITIONAL, KOREAN];
  return [...SCRIPTS, ...han, ...SIGNS];
}

/** Characters that stand between letters of any script, and those that shape their neighbours. */
export const BETWEEN = ' \u00a0\u200c\u200d\u25cc';

/**
 * Fonts for characters that a theme's families lack, in the order in which they are tried. What none of ours has is in none of them.
 * @param language Of the deck.
 */
export async function otherFaces(
  characters: Iterable<string>,
  bold: boolean,
  language: string | null,
): Promise<readonly FontFile[]> {
  const wanted = new Set(characters);
  if (wanted.size === 0) return [];
  const { default: subsetFont } = await import('subset-font');
  const faces: FontFile[] = [];
  for (const { name, weights } of familiesFor(language))
    for (const [part, ranges] of await partsOf(name, weights)) {
      if (wanted.size === 0) return faces;
      const own = [...wanted].filter((sign) => within(ranges, sign.codePointAt(0)!));
      if (own.length === 0) continue;
      const weight = weights === 'variable' ? 'wght' : bold && weights === 'both' ? '700' : '400';
      const path = join(folderOf(name, weights), 'files', `${name}-${part}-${weight}-normal.woff2`);
      if (!existsSync(path)) continue;
      const bytes = await subsetFont(await readFile(path), own.join('') + BETWEEN, {
        targetFormat: 'truetype',
        ...(weights === 'variable' ? { variationAxes: { wght: bold ? 700 : 400 } } : {}),
      });
      const file = fontFile(`${name}-${part}-${bold ? 'bold' : 'regular'}`, bytes);
      const found = own.filter((sign) => file.has(sign.codePointAt(0)!));
      if (found.length === 0) continue;
      for (const sign of found) wanted.delete(sign);
      faces.push(file);
    }
  return faces;
}

type Ranges = readonly (readonly [from: number, to: number])[];
const known = new Map<string, readonly (readonly [part: string, ranges: Ranges])[]>();

/** Files of a family, each with the characters for which it is made. */
async function partsOf(name: string, weights: Family['weights']): Promise<readonly (readonly [string, Ranges])[]> {
  const found = known.get(name);
  if (found !== undefined) return found;
  const list = JSON.parse(await readFile(join(folderOf(name, weights), 'unicode.json'), 'utf8')) as Record<
    string,
    string
  >;
  const parts = Object.entries(list).map(
    ([part, ranges]) => [part.replace(/[[\]]/g, ''), ranges.split(',').map(rangeOf)] as const,
  );
  known.set(name, parts);
  return parts;
}

/** `U+600-6ff`, `U+25cc`. */
function rangeOf(text: string): readonly [number, number] {
  const [from, to] = text.replace(/^U\+/i, '').split('-') as [string, string?];
  return [parseInt(from, 16), parseInt(to ?? from, 16)];
}

const within = (ranges: Ranges, codePoint: number): boolean =>
  ranges.some(([from, to]) => codePoint >= from && codePoint <= to);

const require = createRequire(import.meta.url);
const folderOf = (name: string, weights: Family['weights']): string =>
  dirname(require.resolve(`@fontsource${weights === 'variable' ? '-variable' : ''}/${name}/package.json`));
