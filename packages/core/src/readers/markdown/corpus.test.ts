/** Every Markdown file that other people wrote and npm brought here: the outline is that of an independent CommonMark parser. */
import { expect, test } from '@jest/globals';
import { Parser, type Node } from 'commonmark';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runsText } from '../../content/index.ts';
import { readMarkdown } from './read-markdown.ts';

const root = join(import.meta.dirname, '../../../../../node_modules');
const files = readdirSync(root, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && /\.md$/i.test(entry.name))
  .map((entry) => join(entry.parentPath, entry.name))
  .sort();

const plainText = (text: string): string => text.replace(/\s+/g, ' ').trim();

function commonmarkOutline(source: string): readonly string[] {
  const headings: string[] = [];
  const walker = new Parser().parse(source).walker();
  let heading: Node | undefined;
  let text = '';
  for (let event = walker.next(); event !== null; event = walker.next()) {
    const { node, entering } = event;
    if (node.type === 'heading') {
      if (entering) [heading, text] = [node, ''];
      else headings.push(`${heading!.level} ${plainText(text)}`);
    } else if (heading !== undefined && entering) {
      if (node.type === 'text' || node.type === 'code') text += node.literal ?? '';
      if (node.type === 'softbreak' || node.type === 'linebreak') text += ' ';
      if (node.type === 'image') {
        // A picture in a heading stands beside it, and its description is not its text.
        let depth = 1;
        while (depth > 0) {
          const inner = walker.next()!;
          if (inner.node === node && !inner.entering) depth--;
        }
      }
    }
  }
  return headings;
}

function ourOutline(source: string): readonly string[] {
  return readMarkdown(new TextEncoder().encode(source)).document.blocks.flatMap((block) =>
    block.kind === 'heading' ? [`${block.level} ${plainText(runsText(block.runs))}`] : [],
  );
}

/** What CommonMark does not know and we do: front matter, HTML headings, strikethrough, footnotes. */
const BEYOND = /^---\n|<h[1-6]|~~|\[\^/im;

test('there is a corpus', () => expect(files.length).toBeGreaterThan(200));

test('outlines agree', () => {
  const different: string[] = [];
  let compared = 0;
  for (const file of files) {
    const source = readFileSync(file, 'utf8');
    if (BEYOND.test(source) || source.trim() === '' || source.length > 400_000) continue;
    compared++;
    const [ours, theirs] = [ourOutline(source), commonmarkOutline(source)];
    const at = theirs.findIndex((line, i) => line !== ours[i]);
    if (ours.length !== theirs.length || at >= 0)
      different.push(
        `${file.slice(root.length)}: ${String(ours[Math.max(0, at)])} | ${String(theirs[Math.max(0, at)])}`,
      );
  }
  expect(compared).toBeGreaterThan(150);
  expect(different).toEqual([]);
}, 120_000);
