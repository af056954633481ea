/** Odd values in a template's parts: it is read, or refused in words; nothing that is drawn of it is no number. */
import { expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { usualTemplate } from '../../../demo/src/templates.ts';
import { ReadError } from '../base/index.ts';
import { drawOwnSlide } from '../pipeline/index.ts';
import { random } from '../test/build.ts';
import { libraryTemplate, otherLibrary, ownOutput, paintedTemplate } from '../test/foreign-templates.ts';
import { plainLook } from '../theme/index.ts';
import { readTemplate } from './read-template.ts';
import { templateTheme } from './template-theme.ts';

const ODD = [
  '',
  '-1',
  '0',
  '1e99',
  'NaN',
  'abc',
  '50%',
  '-2147483648',
  '99999999999',
  'phClr',
  'accent9',
  'GGGGGG',
  '*/ 1 0 0',
  'pin 3 2 1',
];
const PARTS = /^ppt\/(?:slideMasters|slideLayouts|slides|theme)\/[^/]+\.xml$/;

/** A few values of attributes, and a few elements, are others. */
function odd(bytes: Uint8Array, chance: () => number): Uint8Array {
  const files = unzipSync(bytes);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(chance() * all.length)]!;
  for (const name of Object.keys(files).filter((one) => PARTS.test(one))) {
    const xml = strFromU8(files[name]!)
      .replace(/ (\w+)="([^"]*)"/g, (whole, key: string) =>
        chance() < 0.03 && !/^(?:id|version|encoding|standalone)$/.test(key) ? ` ${key}="${pick(ODD)}"` : whole,
      )
      .replace(/<a:(\w+)\/>/g, (whole) => (chance() < 0.02 ? '' : whole));
    files[name] = strToU8(xml);
  }
  return zipSync(files);
}

/** Words may say anything. */
const WORDS = new Set(['text', 'alt', 'type', 'index', 'name', 'titles', 'fonts', 'bullet']);
/** Where something is no number; empty where all is well. */
function noNumbers(value: unknown, path = ''): readonly string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  if (typeof value === 'string') return /NaN|Infinity/.test(value) ? [path] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => (WORDS.has(key) ? [] : noNumbers(inner, `${path}/${key}`)));
}

test.each([
  ['usual', usualTemplate()],
  ['painted', paintedTemplate()],
  ['own output', ownOutput('slipway')],
  ['library', await libraryTemplate()],
  ['library B', otherLibrary('library-b')],
  ['library C', otherLibrary('library-c')],
])('%s', (_, bytes) => {
  const chance = random(bytes.length);
  let read = 0;
  for (let round = 0; round < 12; round++) {
    const file = odd(bytes, chance);
    try {
      const { model } = readTemplate(file, { slides: true });
      const drawn = Array.from(
        { length: Math.min(6, model.slides) },
        (__, i) => drawOwnSlide(model, i)?.backdrop ?? [],
      );
      expect(noNumbers({ drawn, ...model, drawings: [] })).toEqual([]);
      const theme = templateTheme(
        model,
        { hash: `${round}`, fileName: 'odd.pptx', layouts: {}, keep: 'none' },
        plainLook('millrace'),
      );
      for (const { colors } of theme.layouts)
        for (const hex of [...Object.values(colors!.inks), ...Object.values(colors!.fills)])
          expect(hex).toMatch(/^[0-9A-F]{6}$/);
      read++;
    } catch (error) {
      if (!(error instanceof ReadError)) throw error;
    }
  }
  expect(read).toBeGreaterThan(5);
});
