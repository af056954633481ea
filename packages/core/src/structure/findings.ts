/** Looks through a document for what will make poor slides, each with the repairs that can be made of it. */
import { findTitle, type DocumentModel, type Heading } from '../document/index.ts';
import type { Finding, FindingOptions } from './finding.ts';
import { beforeFirst, headingFindings } from './heading-findings.ts';
import { contentsLists, runningHeads } from './page-findings.ts';
import { privateParts } from './private-parts.ts';
import { textFindings, typedLists } from './text-findings.ts';

export function findings(document: DocumentModel, options: FindingOptions): readonly Finding[] {
  const blocks = document.blocks.filter(({ left }) => left === undefined);
  const title = findTitle(document.blocks);
  const headings = blocks.filter((block): block is Heading => block.kind === 'heading');
  const found = [
    ...headingFindings(document, blocks, headings, title, options),
    ...beforeFirst(blocks, headings, title),
    ...textFindings(blocks),
    ...typedLists(blocks),
    ...contentsLists(blocks),
    ...runningHeads(blocks),
    ...privateParts(document, headings, options),
  ];
  const places = new Map(document.blocks.map(({ id }, i) => [id, i]));
  return found.sort((a, b) => places.get(a.block)! - places.get(b.block)!);
}
