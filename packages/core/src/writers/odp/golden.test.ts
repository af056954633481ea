/** Every part of a small presentation, and a slide of each layout: the golden files hold them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { packageLines } from '../../test/package-lines.ts';
import { layoutsScene, millScene, MIRRORED, pictureBytes } from '../../test/scenes.ts';
import { writeOdp } from './index.ts';

const file = (name: string): string => join(GOLDEN, 'odp', `${name}.txt`);

test('a document with one of everything', () => {
  holdTo(
    file('mill'),
    packageLines(writeOdp(millScene(), pictureBytes), (name) => name !== 'styles.xml'),
  );
});

test('a slide of each layout, set from the right', () => {
  const bytes = writeOdp(layoutsScene(MIRRORED, 'two sides'), pictureBytes);
  holdTo(
    file('layouts'),
    packageLines(bytes, (name) => /^content\.xml$|^Object/.test(name)),
  );
});
