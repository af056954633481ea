/** Finds real Markdown among the packages that are installed: READMEs and documentation, long and different ones first. */
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const DEEPEST = 5;
const SHORTEST = 1500; // bytes
const LONGEST = 120_000;

/** Files of a folder and those below it, but for changes and licences. */
export function* filesIn(folder: string, ending: RegExp, depth = 0): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory() && depth < DEEPEST) yield* filesIn(path, ending, depth + 1);
    else if (entry.isFile() && ending.test(entry.name) && !/changelog|history|license/i.test(entry.name)) yield path;
  }
}

/** @returns At most so many, always the same ones for the same packages. */
export function realDocuments(folder: string, most: number): readonly string[] {
  const seen = new Set<string>();
  return [...filesIn(folder, /\.md$/i)]
    .sort()
    .filter((path) => {
      const { size } = statSync(path);
      if (size < SHORTEST || size > LONGEST) return false;
      const text = readFileSync(path, 'utf8');
      // Front matter, elements of HTML and footnotes are not Markdown to the other reader.
      if (/^---\n|<[a-z!/]|\[\^/im.test(text) || seen.has(text)) return false;
      seen.add(text);
      return true;
    })
    .slice(0, most);
}

/** @returns At most so many manuals of Debian's packages, each once; none where none are installed. */
export function pdfManuals(folder: string, most: number): readonly string[] {
  if (!existsSync(folder)) return [];
  const seen = new Set<number>();
  return [...filesIn(folder, /\.pdf$/i)]
    .sort()
    .filter((path) => {
      const { size } = statSync(path);
      if (size > LARGEST_PDF || seen.has(size)) return false;
      seen.add(size);
      return true;
    })
    .slice(0, most);
}
const LARGEST_PDF = 3_000_000; // bytes
