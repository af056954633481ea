/** Every part of a document and of a handout: the golden files hold them, an element a line. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { packageLines } from '../../test/package-lines.ts';
import { MILL, mill } from '../../test/whole-document.ts';
import { WRITTEN } from '../../test/written.ts';
import { writeDocx } from './index.ts';

const file = (name: string): string => join(GOLDEN, 'docx', `${name}.txt`);
const pictures = (id: string) => (id === MILL.id ? MILL : undefined);

test('a document with every trait that a block may have', () => {
  holdTo(
    file('written'),
    packageLines(writeDocx(WRITTEN, pictures), () => true),
  );
});

test('a handout: contents, a picture of a slide before its passage, blocks that are left out', () => {
  const [, , gates, text] = mill.blocks;
  const bytes = writeDocx(mill, pictures, {
    contents: 'Contents',
    before: new Map([[gates!.id, [{ picture: MILL.id, alt: 'The slide “Gates”' }]]]),
    without: new Set([text!.id]),
  });
  holdTo(
    file('handout'),
    packageLines(bytes, (name) => /document\.xml/.test(name)),
  );
});
