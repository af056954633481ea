/** Holds what a stage gives to a file that people can read. */
import { expect } from '@jest/globals';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Where the golden files of stages stand. */
export const GOLDEN = join(import.meta.dirname, '../../golden');

/** @param file Is written anew by `npm run golden`; the difference is to be read before it is kept. */
export function holdTo(file: string, lines: readonly string[]): void {
  const found = `${lines.join('\n')}\n`;
  if (process.env['ALVEX_GOLDEN'] === '1') {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, found);
  }
  expect(existsSync(file)).toBe(true);
  expect(found).toBe(readFileSync(file, 'utf8'));
}

/** Lines under a title, and an empty one behind them. */
export const under = (title: string, lines: readonly string[]): readonly string[] => [`== ${title}`, ...lines, ''];
