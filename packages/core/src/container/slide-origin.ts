/** A mark on the slides that are made here, by which a later run finds and replaces them: an extension of our own in their `p:extLst` (ECMA-376-1 §19.3.1.38). */
import crc32 from 'crc-32';
import { nodeAt, nodesNamed, type XmlNode } from './xml-tree.ts';
import { xmlText } from './xml-text.ts';

const URI = '{6E1F4B0C-52D7-4C39-9A8E-0B7D43F1A2C6}';
const NAMESPACE = 'urn:alvex:slide';

export interface SlideOrigin {
  /** File name of the document that it was made of. */
  readonly document: string;
  /** Whether its words are no longer those that it was made with. */
  readonly changed: boolean;
}

/** @param slide The slide's own XML, as it is written. */
export const originMark = (document: string, slide: string): string =>
  `<p:extLst><p:ext uri="${URI}"><alvex:slide xmlns:alvex="${NAMESPACE}" document="${xmlText(document)}" words="${sumOf(writtenWords(slide))}"/></p:ext></p:extLst>`;

/** @param slide The root of its part. @returns undefined for a slide that was not made here. */
export function originOf(slide: XmlNode): SlideOrigin | undefined {
  const mark = nodesNamed(nodeAt(slide, 'p:extLst'), 'p:ext').find(({ attributes }) => attributes.uri === URI)
    ?.children[0];
  const document = mark?.attributes.document;
  if (mark?.namespace !== NAMESPACE || document === undefined) return undefined;
  return { document, changed: mark.attributes.words !== sumOf(wordsIn(slide)) };
}

/** Letters alone: other programs part runs and space otherwise. Fields (the slide's number) are filled by whoever shows them. */
const sumOf = (words: string): string => (crc32.str(words.replace(/\s/g, '')) >>> 0).toString(16);

const writtenWords = (xml: string): string =>
  [...xml.replace(/<a:fld\b.*?<\/a:fld>/gs, '').matchAll(/<a:t>([^<]*)<\/a:t>/g)]
    .map(([, text]) => unescaped(text!))
    .join('');

function wordsIn(node: XmlNode): string {
  if (node.name === 'a:fld') return '';
  if (node.name === 'a:t') return node.content.map((one) => ('text' in one ? one.text : '')).join('');
  return node.children.map(wordsIn).join('');
}

const ENTITIES: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" };
const unescaped = (text: string): string => text.replace(/&(\w+);/g, (whole, name: string) => ENTITIES[name] ?? whole);
