/** Real files of every format, each in a folder with what its stages should give. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export interface Fixture {
  readonly name: string;
  /** Where its golden files stand. */
  readonly folder: string;
  readonly file: string;
  readonly bytes: Uint8Array;
}

const root = join(import.meta.dirname, '../../fixtures');
const demo = join(import.meta.dirname, '../../../demo/files');

/** A folder without an input of its own is named after the demo document that it is about. */
export const FIXTURES: readonly Fixture[] = readdirSync(root).map((name): Fixture => {
  const folder = join(root, name);
  const own = readdirSync(folder).find((file) => file.startsWith('input.'));
  const file = own ?? readdirSync(demo).find((one) => one.replace(/\.\w+$/, '') === name)!;
  return { name, folder, file, bytes: new Uint8Array(readFileSync(join(own === undefined ? demo : folder, file))) };
});
