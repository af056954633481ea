/** Makes a deck of one document and writes it in every format that is asked for: by itself, or in a thread. */
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { basename, dirname } from 'node:path';
import {
  detectType,
  DOCUMENT_TYPES,
  isPaper,
  isPrint,
  NoSuchPart,
  openDocument,
  placeText,
  ReadError,
  readTemplate,
  type DocumentType,
  type MadeSlides,
  type ReadResult,
  type ReadTemplate,
  type SheetOptions,
  type TemplateUse,
} from '@alvex/core';
import { writeOutput } from '@alvex/output';
import { withPictureColors } from '@alvex/raster';
import type { Output } from './outputs.ts';
import { makeDeck, ruledPictures, type Made, type Recipe } from './recipe.ts';
import { UsageError } from './usage-error.ts';

export interface Job {
  /** `-` is standard input. */
  readonly input: string;
  readonly type?: string | undefined;
  readonly recipe: Recipe;
  readonly outputs: readonly Output[];
}
export interface Done {
  readonly slides: number;
  readonly outputs: readonly { readonly path: string; readonly bytes: number }[];
  /** What its author should know: what was fitted, and what was replaced. */
  readonly said: readonly string[];
}
/** Why nothing was made: it could not be read, or not be written. */
export interface Refused {
  readonly code: string;
  readonly message: string;
}
export type Result = ({ readonly ok: true } & Done) | ({ readonly ok: false } & Refused);

/** The same, with what went wrong as a value: one document does not stop the others. */
export async function tryJob(job: Job): Promise<Result> {
  try {
    return { ok: true, ...(await convertFile(job)) };
  } catch (error) {
    if (error instanceof ReadError) return { ok: false, code: error.code, message: readErrorText(error) };
    if (error instanceof UsageError || error instanceof NoSuchPart)
      return { ok: false, code: 'not-usable', message: error.message };
    if (error instanceof Error && 'code' in error && 'path' in error)
      return { ok: false, code: 'not-written', message: error.message };
    throw error;
  }
}

export function readErrorText(error: ReadError): string {
  const place = placeText(error.place);
  return `${error.message}${place === '' ? '' : ` (${place})`}`;
}

/** @throws ReadError for a document or a template that cannot be read; UsageError for one that is not there. */
export async function convertFile({ input, type, recipe, outputs }: Job): Promise<Done> {
  const { document, pictures } = await readInput(input, type);
  const made = await deckOf(document, recipe, input);
  const { origin, template } = made;
  const own = [...pictures, ...made.pictures, ...ruledPictures(recipe)];
  const written: { path: string; bytes: number }[] = [];
  for (const { format, handout, source, path, only } of outputs) {
    const bytes = await writeOutput(format, made.converted, own, {
      origin,
      template,
      fonts: recipe.fonts ?? false,
      thumbnail: recipe.thumbnail ?? false,
      sheets: { ...sheetOptions(recipe), ...(handout && format === 'pdf' ? { print: 'handout' } : {}) },
      width: recipe.width,
      notes: recipe.notes ?? true,
      handout,
      source,
      only,
    });
    writeWhole(path, bytes);
    written.push({ path, bytes: bytes.length });
  }
  return { slides: made.converted.pages.length, outputs: written, said: made.said };
}

/** No one finds half a file in its place. */
function writeWhole(path: string, bytes: Uint8Array): void {
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(`${path}.part`, bytes);
  renameSync(`${path}.part`, path);
}

interface MadeHere extends Made {
  readonly pictures: ReadTemplate['pictures'];
  readonly template?: Uint8Array | undefined;
  readonly origin?: string | undefined;
  readonly said: readonly string[];
}

/** A deck, on its template where it has one. */
export async function deckOf(document: ReadResult['document'], recipe: Recipe, input: string): Promise<MadeHere> {
  const origin = recipe.as ?? (input === '-' ? undefined : basename(input));
  const path = recipe.into ?? recipe.template;
  if (path === undefined) {
    const made = await makeDeck(document, recipe);
    return { ...made, pictures: [], origin, said: saidOf(made) };
  }
  const template = bytesOf(path);
  const { model, pictures } = await withPictureColors(readTemplate(template));
  const { into, behind } = recipe;
  const before = into === undefined ? undefined : (model.made ?? []).find((one) => one.document === origin);
  const use: TemplateUse = {
    hash: 'template',
    fileName: basename(path),
    layouts: {},
    keep: into === undefined ? 'none' : 'before',
    ...(behind === undefined ? {} : { behind }),
    ...(before === undefined ? {} : { replaces: before.document }),
  };
  const made = await makeDeck(document, recipe, [{ kind: 'template', template: use }], new Map([[use.hash, model]]));
  const replaced = before === undefined ? [] : [replacedText(before)];
  return { ...made, pictures, template, origin, said: [...replaced, ...saidOf(made)] };
}

const saidOf = ({ fitted }: Made): readonly string[] => (fitted === undefined ? [] : [fitted]);

function replacedText({ document, slides, changed }: MadeSlides): string {
  const which = changed.length === 1 ? `slide ${changed[0]! + 1} was` : `${changed.length} of them were`;
  return `${slides.length} ${slides.length === 1 ? 'slide' : 'slides'} made of ${document} before ${slides.length === 1 ? 'is' : 'are'} replaced${changed.length === 0 ? '' : `; ${which} changed since, which is lost`}.`;
}

/** What a PDF shows, and on which paper. */
const sheetOptions = ({ pages, paper }: Recipe): Partial<SheetOptions> => ({
  ...(pages !== undefined && isPrint(pages) ? { print: pages } : {}),
  ...(paper !== undefined && isPaper(paper) ? { paper } : {}),
});

export async function readInput(file: string, type: string | undefined): Promise<ReadResult> {
  if (type !== undefined && !DOCUMENT_TYPES.includes(type as DocumentType))
    throw new UsageError(`There is no type ${type}; there are ${DOCUMENT_TYPES.join(', ')}.`);
  if (file === '-' && type === undefined) throw new UsageError('Say what standard input is: --type NAME');
  const bytes = bytesOf(file);
  return openDocument(bytes, (type as DocumentType | undefined) ?? detectType(bytes, basename(file)));
}

export function bytesOf(file: string): Uint8Array {
  try {
    return readFileSync(file === '-' ? 0 : file);
  } catch (error) {
    throw new UsageError(`The file ${file} cannot be opened: ${(error as Error).message}`);
  }
}
