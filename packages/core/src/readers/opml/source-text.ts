/** The text of an OPML outline: what its items are called, and the notes on them. */
import { decodeEntities } from '../xml-source.ts';

const ITEM = /<outline(?=[\s/>])((?:"[^"]*"|'[^']*'|[^>"'])*)>/g;
const attributeIn = (attributes: string, names: readonly string[]): string => {
  for (const name of names) {
    const found = new RegExp(`(?:^|\\s)${name}\\s*=\\s*(?:"([^"]*)"|'([^']*)')`).exec(attributes);
    if (found !== null) return decodeEntities(found[1] ?? found[2]!);
  }
  return '';
};

export function* opmlText(xml: string): Generator<string> {
  for (const [, attributes] of xml.matchAll(ITEM)) {
    yield attributeIn(attributes!, ['text', 'title']).replace(/<[^>]*>/g, ' ');
    yield attributeIn(attributes!, ['_note', 'note', 'description']).replace(/<[^>]*>/g, ' ');
  }
}
