/** Reads OPML outlines (OPML 2.0): the outermost items are headings, and those below them where each has items of its own; all else are list items. */
import { decodeText, ReadError, Report } from '../../base/index.ts';
import { readXmlText } from '../../container/index.ts';
import { plain, safeLink, type Runs } from '../../content/index.ts';
import type { Level } from '../../document/index.ts';
import { cleanRuns } from '../clean-runs.ts';
import { each } from '../account.ts';
import { opmlText } from './source-text.ts';
import { BlockList, readResult, type Draft, type ReadResult } from '../read-result.ts';

interface Node {
  readonly text: string;
  readonly note: string;
  readonly link: string | undefined;
  readonly children: Node[];
}

/** @throws ReadError `bad-xml`, `doctype`, `bomb`, `wrong-type`. */
export function readOpml(bytes: Uint8Array): ReadResult {
  const report = new Report();
  const root: Node = { text: '', note: '', link: undefined, children: [] };
  const open: Node[] = [root];
  const head: Record<string, string> = {};
  let current = '';
  let isOpml = false;
  const declared = /^<\?xml[^>]*encoding\s*=\s*["']([\w-]+)/.exec(String.fromCharCode(...bytes.subarray(0, 200)))?.[1];
  const source = decodeText(bytes, declared);
  readXmlText(source, {
    open(name, a) {
      current = name;
      if (name === 'opml') isOpml = true;
      if (name !== 'outline') return;
      const node: Node = {
        text: a['text'] ?? a['title'] ?? '',
        note: a['_note'] ?? a['note'] ?? a['description'] ?? '',
        link: safeLink(a['url'] ?? a['htmlUrl'] ?? a['xmlUrl'] ?? ''),
        children: [],
      };
      open.at(-1)!.children.push(node);
      open.push(node);
    },
    close(name) {
      current = '';
      if (name === 'outline') open.pop();
    },
    text(text) {
      if (current === 'title' || current === 'ownerName') head[current] = (head[current] ?? '') + text;
    },
  });
  if (!isOpml) throw new ReadError('wrong-type');
  const list = new BlockList();
  let count = 0;
  const runsOf = (text: string, link: string | undefined): Runs => {
    const runs = cleanRuns(plain(stripped(text)), { paragraph: Math.max(1, count) }, report);
    return link === undefined ? runs : runs.map((run) => ({ ...run, link }));
  };
  const walk = (nodes: readonly Node[], rank: number, depth: number): void => {
    // A leaf behind a heading's items would seem to belong to that heading: only where all have items are all headings.
    const heading = depth === 0 && rank <= 6 && (rank === 1 || nodes.every(({ children }) => children.length > 0));
    for (const node of nodes) {
      count++;
      const place = { paragraph: count };
      const runs = runsOf(node.text, node.link);
      const block: Draft = heading
        ? { kind: 'heading', level: rank as Level, runs, place }
        : { kind: 'listItem', depth: depth + 1, ordered: false, runs, place };
      if (runs.length > 0) list.add(block);
      for (const part of node.note.split(/\n\s*\n|\r\n\s*\r\n/))
        if (part.trim() !== '') list.add({ kind: 'paragraph', runs: runsOf(part.trim(), undefined), place });
      walk(node.children, heading ? rank + 1 : rank, heading || runs.length === 0 ? depth : depth + 1);
    }
  };
  walk(root.children, 1, 0);
  if (list.blocks.length === 0) throw new ReadError('empty');
  return readResult(
    list,
    [],
    report,
    { title: head['title'] ?? null, author: head['ownerName'] ?? null },
    each(() => opmlText(source)),
  );
}

/** Some outliners keep simple markup in the attribute. */
const stripped = (text: string): string => text.replace(/<\/?(?:b|i|u|em|strong|code|a|span|br)\b[^>]*>/gi, '');
