/** A worker thread: the core, and nothing else. */
import { fileURLToPath } from 'node:url';
import { deflateRawSync, gunzipSync, gzipSync } from 'node:zlib';
import {
  convert,
  DEFLATE_SETTINGS,
  detectType,
  documentWords,
  editPictures,
  exportPptx,
  foldLog,
  joinDocuments,
  openDocument,
  ReadError,
  readTemplate,
  DOCUMENT_TYPES,
  type DocumentModel,
  type DocumentType,
  type PictureData,
} from '@alvex/core';
import { scalePictures } from '@alvex/raster';
import type { ExportTask, Outcome, ReadDone, ReadFile, ReadTask, TemplateDone, TemplateTask } from './tasks.ts';

const PROGRESS_STEP = 0.02;

type Done = ReadDone | TemplateDone | Uint8Array;

export default async function run(task: ReadTask | ExportTask | TemplateTask): Promise<Outcome<Done>> {
  try {
    switch (task.kind) {
      case 'read':
        return { ok: true, value: await read(task) };
      case 'export':
        return { ok: true, value: await exportDeck(task) };
      case 'template':
        return { ok: true, value: takeTemplate(task) };
    }
  } catch (error) {
    if (error instanceof ReadError) return { ok: false, failure: { code: error.code, place: error.place } };
    throw error;
  }
}

const PDF_ASSETS = fileURLToPath(new URL('.', import.meta.resolve('pdfjs-dist/package.json')));

async function readFile({ bytes, type, name }: ReadFile, progress: (done: number) => void) {
  const known = DOCUMENT_TYPES.find((candidate) => candidate === type) ?? detectType(bytes, name);
  return { type: known, ...(await openDocument(bytes, known, { pdfAssets: PDF_ASSETS, progress })) };
}

async function read({ files, port }: ReadTask): Promise<ReadDone> {
  let told = 0;
  const types: DocumentType[] = [];
  const parts: { name: string; document: DocumentModel }[] = [];
  const pictures = new Map<string, PictureData>();
  for (const [i, file] of files.entries()) {
    const progress = (part: number): void => {
      const done = (i + part) / files.length;
      if (done - told < PROGRESS_STEP) return;
      told = done;
      port?.postMessage(done);
    };
    const {
      type,
      document,
      pictures: own,
    } = await readFile(file, progress).catch((error: unknown) => {
      // Of several files the author has to be told which.
      if (error instanceof ReadError && files.length > 1)
        throw new ReadError(error.code, { file: file.name, ...error.place }, { cause: error });
      throw error;
    });
    types.push(type);
    parts.push({ name: file.name, document });
    for (const picture of own) pictures.set(picture.id, picture);
  }
  port?.close();
  const document = parts.length === 1 ? parts[0]!.document : joinDocuments(parts);
  return {
    types,
    title: document.title,
    words: documentWords(document),
    packed: gzipSync(JSON.stringify(document), { level: 4 }),
    pictures: [...pictures.values()].map(({ id, mime, bytes }) => ({ id, mime, bytes })),
  };
}

function takeTemplate({ bytes }: TemplateTask): TemplateDone {
  const { model, pictures } = readTemplate(bytes);
  return {
    packed: gzipSync(JSON.stringify(model), { level: 4 }),
    pictures: pictures.map(({ id, mime, bytes: data }) => ({ id, mime, bytes: data })),
  };
}

async function exportDeck({ packed, pictures, log, template }: ExportTask): Promise<Uint8Array> {
  const document = JSON.parse(gunzipSync(packed).toString('utf8')) as DocumentModel;
  const bytes = new Map(pictures.map((picture) => [picture.id, picture.bytes]));
  const edits = foldLog(log).done;
  const models = new Map(template === null ? [] : [[template.hash, readTemplate(template.bytes).model]]);
  const converted = convert(document, edits, undefined, models);
  const known = new Map(
    [...converted.document.pictures, ...editPictures(edits)].map((picture) => [picture.id, picture]),
  );
  const data = [...known.values()].flatMap((picture): PictureData[] => {
    const found = bytes.get(picture.id);
    return found === undefined ? [] : [{ ...picture, bytes: found }];
  });
  return exportPptx(
    await scalePictures(data, converted),
    converted,
    (part) => deflateRawSync(part, DEFLATE_SETTINGS),
    template?.bytes,
  );
}
