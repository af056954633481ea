/** What can be written, by the names that the command line and project files use, and where it goes. */
import { basename, extname, join } from 'node:path';
import { FORMATS, outputFormat, type FormatName } from '@alvex/core';
import { UsageError } from './usage-error.ts';

/** Decks as every format has them; the handout, and the document itself, are of other kinds. */
export const OUTPUT_NAMES = [
  ...(['pptx', 'odp', 'pdf', 'html', 'png', 'md', 'txt', 'opml'] as const),
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
}

const formatOf = (name: OutputName): FormatName => (name.split('.').at(-1) ?? name) as FormatName;
export const endingOf = (name: OutputName): string => (name.includes('.') ? name : FORMATS[formatOf(name)].ending);

/** One file whose ending says what it is; undefined for none of ours. */
export function namedOutput(path: string, kind: Kind): Output | undefined {
  const format = outputFormat(path);
  return format === undefined ? undefined : { format, ...kind, path };
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
    const { found, names } = input;
    const name = counts.get(bare(found)) === 1 ? bare(found) : found.within;
    const outputs = names.map((one): Output => ({
      format: formatOf(one),
      handout: one.startsWith('handout.'),
      source: one.startsWith('document.'),
      path: join(folder, `${name}.${endingOf(one)}`),
    }));
    const over = outputs.find(({ path }) => documents.has(path));
    if (over !== undefined) throw new UsageError(`${over.path} is a document itself. Write into another folder.`);
    return { ...input, outputs };
  });
}
