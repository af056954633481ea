/** A worker thread: the core, and nothing else. */
import { fileURLToPath } from 'node:url';
import { deflateRawSync, gunzipSync, gzipSync } from 'node:zlib';
import {
  convert,
  DEFLATE_SETTINGS,
  detectType,
  documentWords,
  exportPptx,
  foldLog,
  openDocument,
  ReadError,
  DOCUMENT_TYPES,
  type DocumentModel,
  type DocumentType,
  type PictureData,
} from '@alvex/core';
import type { ExportTask, Outcome, ReadDone, ReadTask } from './tasks.ts';

const PROGRESS_STEP = 0.02;

export default async function run(task: ReadTask | ExportTask): Promise<Outcome<ReadDone> | Outcome<Uint8Array>> {
  try {
    return { ok: true, value: task.kind === 'read' ? await read(task) : exportDeck(task) } as
      Outcome<ReadDone> | Outcome<Uint8Array>;
  } catch (error) {
    if (error instanceof ReadError) return { ok: false, failure: { code: error.code, place: error.place } };
    throw error;
  }
}

const PDF_ASSETS = fileURLToPath(new URL('.', import.meta.resolve('pdfjs-dist/package.json')));

async function read({ bytes, type, name, port }: ReadTask): Promise<ReadDone> {
  const known = DOCUMENT_TYPES.find((candidate) => candidate === type) ?? detectType(bytes, name);
  let told = 0;
  const { document, pictures } = await openDocument(bytes, known satisfies DocumentType, {
    pdfAssets: PDF_ASSETS,
    progress: (done) => {
      if (done - told < PROGRESS_STEP) return;
      told = done;
      port?.postMessage(done);
    },
  });
  port?.close();
  return {
    type: known,
    title: document.title,
    words: documentWords(document),
    packed: gzipSync(JSON.stringify(document), { level: 4 }),
    pictures: pictures.map(({ id, mime, bytes: data }) => ({ id, mime, bytes: data })),
  };
}

function exportDeck({ packed, pictures, log }: ExportTask): Uint8Array {
  const document = JSON.parse(gunzipSync(packed).toString('utf8')) as DocumentModel;
  const bytes = new Map(pictures.map((picture) => [picture.id, picture.bytes]));
  const data = document.pictures.flatMap((picture): PictureData[] => {
    const found = bytes.get(picture.id);
    return found === undefined ? [] : [{ ...picture, bytes: found }];
  });
  return exportPptx(data, convert(document, foldLog(log).done), (bytes) => deflateRawSync(bytes, DEFLATE_SETTINGS));
}
