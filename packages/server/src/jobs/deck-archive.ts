/** The archive of a whole deck: a list of what is in it, its files by their hashes, and what was read of them. */
import { createHash } from 'node:crypto';
import { validateDeckContents } from '@alvex/contract/validate';
import { LIMITS, openZip, ReadError } from '@alvex/core';
import { zipSync } from 'fflate';
import type { PackedFile, Tasks } from './tasks.ts';

/** Stands first, by which the archive is known. */
const LIST = 'alvex.json';
/** Always the same date: the same deck gives the same archive. */
const DATE = new Date('1980-01-01T00:00:00');

const fileName = (hash: string): string => `files/${hash}`;
const readingName = (type: string, original: string): string => `readings/${type}-${original}.json.gz`;

export function packDeck({ contents, files, readings }: Tasks['packDeck']['input']): Uint8Array {
  const list = {
    ...contents,
    files: files.map(({ hash, mime }) => ({ hash, mime })),
    readings: readings.map(({ original, type, reader }) => ({ original, type, reader })),
  };
  return zipSync(
    {
      [LIST]: [Buffer.from(JSON.stringify(list)), { level: 6 }],
      ...Object.fromEntries(files.map(({ hash, bytes }) => [fileName(hash), [bytes, { level: 0 }] as const])),
      ...Object.fromEntries(
        readings.map(({ original, type, packed }) => [readingName(type, original), [packed, { level: 0 }] as const]),
      ),
    } as Parameters<typeof zipSync>[0],
    { mtime: DATE },
  );
}

/** @throws ReadError for an archive that cannot be read. */
export function unpackDeck(bytes: Uint8Array): Tasks['unpackDeck']['output'] {
  const nothing = { files: [], readings: [] };
  if (bytes.length > LIMITS.archiveBytes) throw new ReadError('too-large');
  const zip = openZip(bytes);
  let list: unknown;
  try {
    list = JSON.parse(Buffer.from(zip.read(LIST)).toString('utf8'));
  } catch (error) {
    if (error instanceof ReadError) throw error;
    return { contents: 'Its list of what is in it is damaged.', ...nothing };
  }
  const checked = validateDeckContents(list);
  if (!checked.ok) {
    const { format } = (typeof list === 'object' && list !== null ? list : {}) as { readonly format?: unknown };
    // What a newer Alvex writes may look otherwise.
    if (typeof format === 'number' && format > 1) return { contents: { format } as never, ...nothing };
    return { contents: `Its list of what is in it is damaged: ${checked.fault}.`, ...nothing };
  }
  const contents = checked.value;
  const files: PackedFile[] = [];
  for (const { hash, mime } of contents.files) {
    if (!zip.has(fileName(hash))) return { contents: 'A file that it lists is not in it.', ...nothing };
    const file = zip.read(fileName(hash));
    if (createHash('sha256').update(file).digest('hex') !== hash)
      return { contents: 'A file in it is not what it was.', ...nothing };
    files.push({ hash, mime, bytes: file });
  }
  const here = new Set(contents.files.map(({ hash }) => hash));
  for (const { original } of [contents, ...contents.editions])
    if (!here.has(original)) return { contents: 'A document that it names is not in it.', ...nothing };
  const readings = contents.readings.flatMap(({ original, type, reader }) =>
    zip.has(readingName(type, original))
      ? [{ original, type, reader, packed: zip.read(readingName(type, original)) }]
      : [],
  );
  return { contents, files, readings };
}
