/** A worker thread: the core, and nothing else. */
import { deflateRawSync, gunzipSync, gzipSync } from 'node:zlib';
import {
  convert,
  DEFLATE_SETTINGS,
  detectType,
  documentWords,
  exportPptx,
  foldLog,
  readDocument,
  ReadError,
  DOCUMENT_TYPES,
  type DocumentModel,
  type DocumentType,
  type PictureData,
} from '@alvex/core';
import type { ExportTask, Outcome, ReadDone, ReadTask } from './tasks.ts';

const PROGRESS_STEP = 0.02;

export default function run(task: ReadTask | ExportTask): Outcome<ReadDone> | Outcome<Uint8Array> {
  try {
    return { ok: true, value: task.kind === 'read' ? read(task) : exportDeck(task) } as
      Outcome<ReadDone> | Outcome<Uint8Array>;
  } catch (error) {
    if (error instanceof ReadError) return { ok: false, failure: { code: error.code, place: error.place } };
    throw error;
  }
}

function read({ bytes, type, name, port }: ReadTask): ReadDone {
  const known = DOCUMENT_TYPES.find((candidate) => candidate === type) ?? detectType(bytes, name);
  let told = 0;
  const { document, pictures } = readDocument(bytes, known satisfies DocumentType, {
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
  return exportPptx(document, data, convert(document, foldLog(log).done), (bytes) =>
    deflateRawSync(bytes, DEFLATE_SETTINGS),
  );
}
