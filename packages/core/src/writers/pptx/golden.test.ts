/** Every part of a small presentation, and a slide of each layout: the golden files hold them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { THEMES } from '../../test/build.ts';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { packageLines } from '../../test/package-lines.ts';
import { layoutsScene, millScene, MIRRORED, pictureBytes } from '../../test/scenes.ts';
import { writeDeck } from './index.ts';

const file = (name: string): string => join(GOLDEN, 'pptx', `${name}.txt`);
const [plainsong] = THEMES.filter(({ name }) => name === 'plainsong');

test('a document with one of everything', () => {
  const bytes = writeDeck(millScene(), pictureBytes, {});
  holdTo(
    file('mill'),
    packageLines(bytes, (name) => !/slideLayouts\/slideLayout(?:[4-9]|\d\d)\.xml/.test(name)),
  );
});

test('a slide of each layout', () => {
  const scene = layoutsScene(plainsong!, 'two sides');
  holdTo(
    file('layouts'),
    packageLines(writeDeck(scene, pictureBytes, {}), (name) => /^ppt\/(slides|charts)\//.test(name)),
  );
});

test('set from the right', () => {
  const scene = layoutsScene(MIRRORED, 'numbers of a list');
  holdTo(
    file('mirrored'),
    packageLines(writeDeck(scene, pictureBytes, {}), (name) =>
      /^ppt\/slides\/slide\d*[147]\.xml$|slideMaster1\.xml$|slideLayout3\.xml$/.test(name),
    ),
  );
});
