/** What the names of elements say (HTML Standard, "The elements of HTML"). */
import { ELEMENT_MARKS, type Mark } from '../inline-runs.ts';
import type { InlineStyle } from './inline-style.ts';

/** Subtrees that are not text. */
export const LEFT_OUT = new Set('script style head template noscript input'.split(' '));
/** Subtrees that are drawn; words in them are told of. */
export const DRAWN = new Set('svg object canvas'.split(' '));
/** Subtrees of controls, whose labels are told of. */
export const CONTROLS = new Set('button select textarea'.split(' '));
export const MEDIA = new Set('iframe embed video audio'.split(' '));
export const BLOCKS = new Set(
  'address article aside blockquote body center dd details dialog div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hgroup hr html li main nav ol p pre section summary table td th caption tr ul'.split(
    ' ',
  ),
);
/** What says something of the whole page. */
export const PAGE = new Set(['html', 'body']);
/** What holds the text, and is read even where a style hides it. */
export const WHOLE = new Set(['html', 'body', 'main', 'article']);

export function marksOf(name: string, { bold, italic, strike, mono }: InlineStyle): readonly Mark[] {
  const own = ELEMENT_MARKS[name];
  const marks: Mark[] = [];
  // Editors wrap whole pages in a bold element whose style says that it is not bold.
  if (own !== undefined && !(own === 'bold' && bold === false) && !(own === 'italic' && italic === false))
    marks.push(own);
  if (bold && own !== 'bold' && !/^h[1-6]$/.test(name)) marks.push('bold');
  if (italic && own !== 'italic') marks.push('italic');
  if (strike && own !== 'strike') marks.push('strike');
  if (mono && own !== 'code' && name !== 'pre' && !BLOCKS.has(name)) marks.push('code');
  return marks;
}
