/** Reads HTML: a saved page or what a word processor or browser puts on the clipboard. */
import { decodeText, ReadError, Report } from '../../base/index.ts';
import { readMarkup } from '../markup/index.ts';
import { PictureStore } from '../picture-store.ts';
import { BlockList, readResult, type ReadResult } from '../read-result.ts';

/** @throws ReadError `empty` or `bomb`. */
export function readHtml(bytes: Uint8Array): ReadResult {
  const html = decodeText(bytes);
  if (html.trim() === '') throw new ReadError('empty');
  const report = new Report();
  const pictures = new PictureStore(report);
  const list = new BlockList();
  // The clipboard marks what was chosen with comments; the rest is the page around it.
  const chosen = /<!--\s*StartFragment\s*-->([\s\S]*)<!--\s*EndFragment\s*-->/i.exec(html);
  readMarkup(chosen?.[1] ?? html, { report, pictures, place: {}, out: (draft) => list.add(draft) });
  const title = /<title[^>]*>([^<]*)<\/title>/i.exec(html)?.[1] ?? null;
  return readResult(list, pictures.pictures, report, { title });
}
