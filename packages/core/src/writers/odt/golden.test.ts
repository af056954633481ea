/** Every part of a document as OpenDocument text: the golden file holds them, an element a line. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { packageLines } from '../../test/package-lines.ts';
import { MILL } from '../../test/whole-document.ts';
import { WRITTEN } from '../../test/written.ts';
import { writeOdt } from './index.ts';

test('a document with every trait that a block may have', () => {
  holdTo(
    join(GOLDEN, 'odt', 'written.txt'),
    packageLines(
      writeOdt(WRITTEN, (id) => (id === MILL.id ? MILL : undefined)),
      () => true,
    ),
  );
});
