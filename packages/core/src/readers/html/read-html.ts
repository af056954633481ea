/** Reads HTML: a saved page or what a word processor or browser puts on the clipboard. */
import { decodeText, ReadError, Report } from '../../base/index.ts';
import { blockText } from '../../document/index.ts';
import { languageOfPage, readPage, titleAbove, titleOfPage, treeText } from '../markup/index.ts';
import { each } from '../account.ts';
import { PictureStore } from '../picture-store.ts';
import { PlaceNames } from '../place-names.ts';
import { BlockList, readResult, type ReadResult } from '../read-result.ts';

/** What the page says of its encoding, in its first 1024 bytes (HTML Standard, "Determining the character encoding"). */
function declaredCharset(bytes: Uint8Array): string | undefined {
  const head = String.fromCharCode(...bytes.subarray(0, 1024));
  return /<meta[^>]+charset\s*=\s*["']?([\w-]+)/i.exec(head)?.[1];
}

interface Fragment {
  /** The page around it, as far as the fragment. */
  readonly above: string;
  readonly html: string;
}

// Looked for piece by piece: one expression for both ends would go over the page again for every beginning.
function fragmentOf(html: string): Fragment | undefined {
  const start = /<!--\s{0,20}StartFragment\s{0,20}-->/i.exec(html);
  if (start === null) return undefined;
  const rest = html.slice(start.index + start[0].length);
  const end = rest.search(/<!--\s{0,20}EndFragment/i);
  return { above: html.slice(0, start.index), html: end < 0 ? rest : rest.slice(0, end) };
}

/** @throws ReadError `empty` or `too-deep`. */
export function readHtml(bytes: Uint8Array): ReadResult {
  const html = decodeText(bytes, declaredCharset(bytes));
  if (html.trim() === '') throw new ReadError('empty');
  const report = new Report();
  const pictures = new PictureStore(report);
  const list = new BlockList();
  const names = new PlaceNames();
  // The clipboard marks what was chosen with comments; the rest is the page around it.
  const chosen = fragmentOf(html);
  const tree = readPage(chosen?.html ?? html, {
    report,
    pictures,
    place: {},
    names,
    out: (draft) => list.add(names.on(draft)),
  });
  const named = (chosen === undefined ? titleOfPage(tree) : titleAbove(chosen.above)) ?? null;
  // Sites put their own name behind that of the page, which its heading has alone.
  const heading = list.blocks.find((block) => block.kind === 'heading' && block.left === undefined);
  const text = heading === undefined ? '' : blockText(heading).trim();
  const title = text !== '' && named?.includes(text) === true ? text : named;
  return readResult(
    list,
    pictures.pictures,
    report,
    { title, language: languageOfPage(tree) ?? null },
    each(() => treeText(tree)),
  );
}
