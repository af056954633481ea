/** The text that an ODT holds: its body, with notes and comments, and the heads and feet of its pages. */
import { decodeText } from '../../base/index.ts';
import { ZipReader } from '../../container/index.ts';
import { xmlText, type TextRule } from '../xml-source.ts';

const RULE: TextRule = {
  not: new Set([
    'text:tracked-changes',
    'office:forms',
    'office:scripts',
    'office:binary-data',
    'text:index-title-template',
    'text:table-of-content-source',
    'text:alphabetical-index-source',
    'text:ruby-text',
    'text:note-citation',
    'svg:title',
    'svg:desc',
    'dc:creator',
    'dc:date',
    'dc:language',
    'meta:date-string',
    'meta:creator-initials',
    'loext:sender-initials',
    'table:covered-table-cell',
  ]),
  stop: new Set(['text:p', 'text:h', 'text:s', 'text:tab', 'text:line-break', 'table:table-cell']),
};
const PAGES = /<style:(header|footer)(?:-left|-first)?[\s>][\s\S]*?<\/style:\1(?:-left|-first)?>/g;

export function* odtText(bytes: Uint8Array): Generator<string> {
  const zip = new ZipReader(bytes);
  const content = decodeText(zip.read('content.xml'));
  const body = content.search(/<office:body[\s>]/);
  yield* xmlText(body < 0 ? content : content.slice(body), RULE);
  if (!zip.has('styles.xml')) return;
  for (const [part] of decodeText(zip.read('styles.xml')).matchAll(PAGES)) yield* xmlText(part, RULE);
}
