/** Takes text out of XML by its signs alone, without a parser, so that readers are checked by something that is not like them. */

const ENTITIES: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" };

export const decodeEntities = (text: string): string =>
  text.includes('&')
    ? text.replace(/&(?:#x([\da-f]+)|#(\d+)|(\w+));/gi, (all, hex?: string, decimal?: string, name?: string) => {
        if (name !== undefined) return ENTITIES[name] ?? all;
        const code = hex === undefined ? Number(decimal) : parseInt(hex, 16);
        return code <= 0x10ffff ? String.fromCodePoint(code) : '';
      })
    : text;

const DECLARED = new Map<string, RegExp>();

/** The prefix that a file gives a namespace, with its colon; the usual one where it gives none. */
export function prefixOf(xml: string, namespaces: RegExp, usual: string): string {
  let pattern = DECLARED.get(namespaces.source);
  if (pattern === undefined)
    DECLARED.set(
      namespaces.source,
      (pattern = new RegExp(`xmlns(:[\\w.-]+)?\\s*=\\s*["'](?:${namespaces.source})["']`)),
    );
  const declared = pattern.exec(xml.slice(0, 20_000));
  if (declared === null) return `${usual}:`;
  return declared[1] === undefined ? '' : `${declared[1].slice(1)}:`;
}

/** Where a piece of text stands: `stop` says that a word ends there. */
export interface TextRule {
  /** Elements whose own text counts; absent: all text. */
  readonly text?: ReadonlySet<string>;
  /** Elements whose text, at any depth, does not. */
  readonly not: ReadonlySet<string>;
  /** Elements at whose begin and end a word ends. */
  readonly stop: ReadonlySet<string>;
}

const TAG =
  /<!--[\s\S]*?-->|<!\[CDATA\[([\s\S]*?)\]\]>|<(\/?)([^\s/>!?]+)(?:"[^"]*"|'[^']*'|[^>"'])*?(\/?)>|<[!?][^>]*>|([^<]+)/g;

/** The text of an XML file in pieces; a piece ends where a word must. */
export function* xmlText(xml: string, rule: TextRule): Generator<string> {
  let not = 0;
  let piece = '';
  let within = false;
  for (const [all, cdata, end, name, empty, text] of xml.matchAll(TAG)) {
    if (name !== undefined) {
      if (rule.not.has(name) && empty !== '/') not += end === '/' ? -1 : 1;
      if (rule.text !== undefined) within = end !== '/' && empty !== '/' && rule.text.has(name);
      if (rule.stop.has(name) && piece !== '') {
        yield piece;
        piece = '';
      }
    } else if (not <= 0 && (within || rule.text === undefined))
      piece += cdata ?? (text === undefined ? '' : decodeEntities(all));
  }
  if (piece !== '') yield piece;
}
