/** Which documents are meant: files, all that can be read in a folder, and what a pattern finds. */
import { statSync } from 'node:fs';
import { basename, isAbsolute, join, relative, resolve } from 'node:path';
import { DOCUMENT_ENDINGS } from '@alvex/core';
import type { Found } from './outputs.ts';
import { UsageError } from './usage-error.ts';

const PATTERN = /[*?{}[\]]/;
const isThere = (path: string): boolean => statSync(path, { throwIfNoEntry: false }) !== undefined;
export const isFolder = (path: string): boolean => statSync(path, { throwIfNoEntry: false })?.isDirectory() === true;
/** Whether a name is one of many files; one that is there is that file, whatever signs are in its name. */
export const isPattern = (name: string, base = '.'): boolean => PATTERN.test(name) && !isThere(resolve(base, name));

/** Where what a name means is found: itself, or the folder at which a pattern begins. */
export function placeOf(name: string, base: string): string {
  const parts = name.split('/');
  const plain = isPattern(name, base)
    ? parts.slice(
        0,
        parts.findIndex((part) => PATTERN.test(part)),
      )
    : parts;
  return resolve(base, plain.join('/') || (isAbsolute(name) ? '/' : '.'));
}

/**
 * @param names As they were given. @param base What they are relative to. @param out Where is written; nothing is read from there.
 * @throws UsageError for what is not there, and where nothing is found.
 */
export async function findInputs(names: readonly string[], base: string, out: string): Promise<readonly Found[]> {
  const found = new Map<string, Found>();
  const add = (path: string, within: string): void => {
    if (!found.has(path)) found.set(path, { path, within });
  };
  for (const name of names) {
    const path = resolve(base, name);
    const start = placeOf(name, base);
    if (isFolder(path))
      for (const one of await inFolder(path, `**/*.{${DOCUMENT_ENDINGS.join(',')}}`, out))
        add(one, relative(path, one));
    else if (isThere(path)) add(path, basename(path));
    else if (start !== path)
      for (const one of await inFolder(start, relative(start, path), out)) add(one, relative(start, one));
    else throw new UsageError(`There is no file ${name}.`);
  }
  if (found.size === 0) throw new UsageError(`There is no document in ${names.join(', ')}.`);
  return [...found.values()];
}

/** In the order of their names, the same everywhere. */
async function inFolder(folder: string, pattern: string, out: string): Promise<readonly string[]> {
  const { glob } = await import('tinyglobby');
  const found = await glob([pattern], {
    cwd: folder,
    caseSensitiveMatch: false,
    // Nothing that a program hides or keeps for itself; files that word processors lock begin with ~$.
    ignore: ['**/node_modules/**', '**/~$*'],
  });
  const within = resolve(out);
  return found
    .map((name) => join(folder, name))
    .filter((path) => within === resolve(folder) || relative(within, path).startsWith('..'))
    .toSorted((a, b) => (a < b ? -1 : a > b ? 1 : 0));
}
