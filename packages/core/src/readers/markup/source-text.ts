/** The text of an HTML page: of its whole tree, but for what is no text in any browser. */
import { parseFragment } from 'parse5';
import { isElement, isText, type Node } from './elements.ts';

const NO_TEXT = new Set(['script', 'style', 'head', 'template', 'noscript', 'title']);
const INLINE = new Set(
  'a abbr b bdi bdo big cite code data del dfn em font i ins kbd label mark q s samp small span strike strong sub sup time tt u var wbr'.split(
    ' ',
  ),
);

export const htmlText = (html: string): Generator<string> => treeText(parseFragment(html).childNodes);

/** @param nodes Of a page, as the parser gave them. */
export function* treeText(nodes: readonly Node[]): Generator<string> {
  let piece = '';
  const pieces: string[] = [];
  const stop = (): void => {
    if (piece !== '') pieces.push(piece);
    piece = '';
  };
  // Not by calls within calls: pages may be nested deep.
  const open: (Node | 'stop')[] = [...nodes].reverse();
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    if (node === 'stop') stop();
    else if (isText(node)) piece += node.value;
    else if (isElement(node) && !NO_TEXT.has(node.tagName)) {
      if (!INLINE.has(node.tagName)) {
        stop();
        open.push('stop');
      }
      for (let i = node.childNodes.length - 1; i >= 0; i--) open.push(node.childNodes[i]!);
    }
  }
  stop();
  yield* pieces;
}
