/** What can be written, by the names that the command line and project files use, and where it goes. */
import { basename, extname, join } from 'node:path';
import { fileKind, outputFormat, type FormatName } from '@alvex/core';
import { UsageError } from './usage-error.ts';

/** Decks as every format has them; the handout, and the document itself, are of other kinds. */
export const OUTPUT_NAMES = [
  ...(['pptx', 'odp', 'pdf', 'html', 'png', 'svg', 'md', 'txt', 'opml', 'csv'] as const),
  ...(['docx', 'handout.docx', 'handout.pdf', 'odt', 'document.md', 'document.html'] as const),
] as const;
export type OutputName = (typeof OUTPUT_NAMES)[number];
export const isOutputName = (name: string): name is OutputName => (OUTPUT_NAMES as readonly string[]).includes(name);

/** What a file is of, beside its format. */
export interface Kind {
  readonly handout: boolean;
  /** The document, in the place of its deck. */
  readonly source: boolean;
}
export interface Output extends Kind {
  readonly format: FormatName;
  readonly path: string;
  /** The number of one slide or table, where the file is of one alone. */
  readonly only?: number | undefined;
}

const formatOf = (name: OutputName): FormatName => (name.split('.').at(-1) ?? name) as FormatName;
const endingOf = (name: OutputName, only: number | undefined): string =>
  name.includes('.') ? name : fileKind(formatOf(name), only).ending;

/**
 * One file whose ending says what it is; undefined for none of ours.
 * @param only Which slide or table, where the file is of one; the first where it is not said.
 * @throws UsageError where one is asked for and the file is not of one.
 */
export function namedOutput(path: string, kind: Kind, only: number | undefined): Output | undefined {
  const found = outputFormat(path);
  if (found === undefined) return undefined;
  const { format, one } = found;
  if (only !== undefined && !one) throw new UsageError('--only is for a name that ends in png, svg or csv.');
  return { format, ...kind, path, ...(one ? { only: only ?? 1 } : {}) };
}

/** An input with where it stands in the folder or the pattern that it was found by. */
export interface Found {
  readonly path: string;
  /** From that folder. */
  readonly within: string;
}

/** An input with the formats that it is written in. */
export interface Wanted {
  readonly found: Found;
  readonly names: readonly OutputName[];
  /** See `Output`. */
  readonly only?: number | undefined;
}

/**
 * Where each of many inputs is written, in every format: under its own name, and below the same folders. Where two
 * would be called the same, they keep the endings that they have.
 * @throws UsageError where a document would be written over.
 */
export function plannedOutputs<W extends Wanted>(
  inputs: readonly W[],
  folder: string,
): readonly (W & { readonly outputs: readonly Output[] })[] {
  const bare = ({ within }: Found): string => join(within, '..', basename(within, extname(within)));
  const counts = new Map<string, number>();
  for (const { found } of inputs) counts.set(bare(found), (counts.get(bare(found)) ?? 0) + 1);
  const documents = new Set(inputs.map(({ found }) => found.path));
  return inputs.map((input) => {
    const { found, names, only } = input;
    const name = counts.get(bare(found)) === 1 ? bare(found) : found.within;
    const outputs = names.map((one): Output => ({
      format: formatOf(one),
      handout: one.startsWith('handout.'),
      source: one.startsWith('document.'),
      path: join(folder, `${name}.${endingOf(one, only)}`),
      only,
    }));
    const whole = names.find((one) => fileKind(formatOf(one), 1) === fileKind(formatOf(one), undefined));
    if (only !== undefined && whole !== undefined)
      throw new UsageError(`--only is for png, svg and csv; ${whole} is of the whole deck.`);
    const over = outputs.find(({ path }) => documents.has(path));
    if (over !== undefined) throw new UsageError(`${over.path} is a document itself. Write into another folder.`);
    return { ...input, outputs };
  });
}
