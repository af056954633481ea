/** Reads a page of the web, or a piece of one: its text among what stands around it. */
import { parse, parseFragment } from 'parse5';
import { checkDepth, type Node } from './elements.ts';
import { findFurniture } from './furniture.ts';
import { findNotes } from './notes.ts';
import { findTitles } from './page-title.ts';
import { MarkupReader, type MarkupContext } from './read-markup.ts';

/**
 * What stands around the text of a page is marked as left out.
 * @returns Its tree, for the ledger.
 * @throws ReadError `too-deep`.
 */
export function readPage(html: string, context: MarkupContext): readonly Node[] {
  const whole = /<(?:html|body|head)\b/i.test(html);
  const { childNodes } = whole ? parse(html) : parseFragment(html);
  checkDepth(childNodes, context.place);
  new MarkupReader(context, {
    furniture: findFurniture(childNodes),
    notes: findNotes(childNodes),
    told: new Set(),
    titles: findTitles(childNodes),
  }).read(childNodes);
  return childNodes;
}
