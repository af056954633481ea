/** A worker thread: the core, packing and hashing. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { deflateRawSync, gunzipSync, gzipSync } from 'node:zlib';
import {
  beginning,
  blockText,
  convert,
  DEFLATE_SETTINGS,
  detectType,
  disarm,
  DOCUMENT_TYPES,
  documentWords,
  drawSlide,
  editPictures,
  joinDocuments,
  NoSuchPart,
  openDocument,
  ReadError,
  readTemplate,
  sceneSlide,
  secondsOf,
  takePicture,
  timeOf,
  type DocumentModel,
  type DocumentType,
  type Picture,
  type PictureData,
  type TemplateModel,
} from '@alvex/core';
import { writeOutput } from '@alvex/output';
import { withPictureColors } from '@alvex/raster';
import type { DeckCover } from '@alvex/contract';
import { zipSync } from 'fflate';
import { packDeck, unpackDeck } from './deck-archive.ts';
import { withTodaysIds } from './former-ids.ts';
import type { Job } from './pool.ts';
import type { FileToRead, Outcome, PictureFile, TaskName, Tasks } from './tasks.ts';

type Progress = (done: number) => void;
type Runners = {
  readonly [N in TaskName]: (
    input: Tasks[N]['input'],
    progress: Progress,
  ) => Tasks[N]['output'] | Promise<Tasks[N]['output']>;
};

const RUNNERS: Runners = {
  read,
  async template({ bytes }) {
    const { bytes: kept, ...removed } = disarm(bytes, (part) => deflateRawSync(part, DEFLATE_SETTINGS));
    const { model, pictures } = await withPictureColors(readTemplate(kept, { slides: true }));
    return {
      packed: pack(model),
      pictures: pictures.map(pictureFile),
      hashes: [sha256(kept)],
      bytes: kept,
      removed,
      made: model.made ?? [],
    };
  },
  pictures: ({ packed }) => (unpacked(packed) as { readonly pictures: readonly Picture[] }).pictures,
  unpack: ({ packed }) => gunzipSync(packed),
  hash: ({ bytes }) => sha256(bytes),
  picture({ bytes, name }) {
    const taken = takePicture(bytes, name);
    if (typeof taken === 'string') return { fault: taken };
    const { bytes: _, ...picture } = taken;
    return picture;
  },
  zip: ({ files, level }) =>
    // Always the same date: the same files give the same archive.
    zipSync(Object.fromEntries(files.map(({ name, bytes }) => [name, bytes])), {
      level,
      mtime: new Date('1980-01-01T00:00:00'),
    }),
  packDeck,
  unpackDeck: ({ bytes }) => unpackDeck(bytesOf(bytes)),
  carryIds: ({ entries, readings, format }) =>
    withTodaysIds(
      entries,
      readings.map(({ former, today }) => ({
        former: former === undefined ? undefined : (unpacked(former) as DocumentModel),
        today: unpacked(today) as DocumentModel,
      })),
      format,
    ),
  cover({ packed, edits, template }) {
    const models = new Map(template === null ? [] : [[template.hash, unpacked(template.packed) as TemplateModel]]);
    const { pages, theme, decisions } = convert(unpacked(packed) as DocumentModel, edits, undefined, models);
    const [first] = pages;
    const drawing = first === undefined ? null : drawSlide(sceneSlide(first, 1, theme), theme);
    const seconds = Math.round(secondsOf(timeOf(pages), decisions.pace));
    return pack({ drawing, slides: pages.length, seconds } satisfies DeckCover);
  },
  write,
};

const PROGRESS_STEP = 0.02;

export default async function run<N extends TaskName>({
  name,
  input,
  port,
}: Job<N>): Promise<Outcome<Tasks[N]['output']>> {
  let told = 0;
  const progress = (done: number): void => {
    if (done - told < PROGRESS_STEP) return;
    told = done;
    port?.postMessage(done);
  };
  try {
    return { ok: true, value: await RUNNERS[name](input, progress) };
  } catch (error) {
    if (error instanceof ReadError) return { ok: false, failure: { code: error.code, place: error.place } };
    throw error;
  } finally {
    port?.close();
  }
}

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
const pack = (value: unknown): Uint8Array => gzipSync(JSON.stringify(value), { level: 4 });
const unpacked = (packed: Uint8Array): unknown => JSON.parse(gunzipSync(packed).toString('utf8'));
const pictureFile = ({ id, mime, bytes }: PictureData): PictureFile => ({ id, mime, bytes });

const bytesOf = (given: Uint8Array | string): Uint8Array =>
  typeof given === 'string' ? new Uint8Array(readFileSync(given)) : given;

async function readFile({ bytes: given, type, name }: FileToRead, progress: Progress) {
  const bytes = bytesOf(given);
  const known = DOCUMENT_TYPES.find((candidate) => candidate === type) ?? detectType(bytes, name);
  return { type: known, hash: sha256(bytes), ...(await openDocument(bytes, known, { progress })) };
}

async function read({ files, begin }: Tasks['read']['input'], progress: Progress): Promise<Tasks['read']['output']> {
  const types: DocumentType[] = [];
  const hashes: string[] = [];
  const parts: { name: string; document: DocumentModel }[] = [];
  const pictures = new Map<string, PictureData>();
  for (const [i, file] of files.entries()) {
    const {
      type,
      hash,
      document,
      pictures: own,
    } = await readFile(file, (part) => progress((i + part) / files.length)).catch((error: unknown) => {
      // Of several files the author has to be told which.
      if (error instanceof ReadError && files.length > 1)
        throw new ReadError(error.code, { file: file.name, ...error.place }, { cause: error });
      throw error;
    });
    types.push(type);
    hashes.push(hash);
    parts.push({ name: file.name, document });
    for (const picture of own) pictures.set(picture.id, picture);
  }
  const [only] = parts;
  const document = parts.length === 1 && only !== undefined ? only.document : joinDocuments(parts);
  return {
    types,
    title: document.title ?? onlyHeading(document),
    words: documentWords(document),
    beginning: begin ? beginning(document) : [],
    packed: pack(document),
    pictures: [...pictures.values()].map(pictureFile),
    hashes,
  };
}

/** Of a document that has one heading, and so no title above its parts: that heading. */
function onlyHeading({ blocks }: DocumentModel): string | null {
  const headings = blocks.filter((block) => block.kind === 'heading' && block.left === undefined);
  const [only] = headings;
  return headings.length === 1 && only !== undefined ? blockText(only).trim() || null : null;
}

/** What share of the way it is until slides are laid out. */
const LAID_OUT = 0.4;

async function write(
  {
    format,
    packed,
    pictures,
    edits,
    template,
    fonts,
    thumbnail,
    sheets,
    width,
    notes,
    handout,
    source,
    origin,
    only,
  }: Tasks['write']['input'],
  progress: Progress,
): Promise<Tasks['write']['output']> {
  const document = unpacked(packed) as DocumentModel;
  progress(0.05);
  const bytes = new Map(pictures.map((picture) => [picture.id, picture.bytes]));
  const read = template === null ? null : await withPictureColors(readTemplate(template.bytes));
  const models = new Map(template === null || read === null ? [] : [[template.hash, read.model]]);
  progress(0.1);
  const converted = convert(document, edits, undefined, models);
  progress(LAID_OUT);
  const known = new Map(
    [...converted.document.pictures, ...editPictures(edits)].map((picture) => [picture.id, picture]),
  );
  const data = [...known.values()].flatMap((picture): PictureData[] => {
    const found = bytes.get(picture.id);
    return found === undefined ? [] : [{ ...picture, bytes: found }];
  });
  // What a template draws is in its own file already, and has to be drawn elsewhere.
  const all = [...data, ...(read?.pictures ?? [])];
  const choices = { origin, template: template?.bytes, fonts, thumbnail, sheets, width, notes, handout, source, only };
  const writing = (done: number): void => progress(LAID_OUT + done * (1 - LAID_OUT));
  return writeOutput(format, converted, all, { ...choices, progress: writing }).catch((error: unknown) => {
    if (error instanceof NoSuchPart) return error.message;
    throw error;
  });
}
