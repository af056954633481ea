/**
 * What many write in Markdown besides CommonMark: attributes in braces behind headings, pictures and fences, boxes between lines of colons, and
 * quotes that open with the kind of a notice. The marks are taken away, the words stay.
 */
import type { MarkdownIt, StateBlock, StateCore, Token } from 'markdown-it';

const ONE = String.raw`(?:#[^\s{}"']+|\.[^\s{}"']+|-|[\w-]+=(?:"[^"]*"|'[^']*'|[^\s{}"']+))`;
const ATTRIBUTES = String.raw`\{:?\s*(${ONE}(?:\s+${ONE})*)\s*\}`;
const BEHIND = new RegExp(String.raw`(?:^|\s+)${ATTRIBUTES}\s*$`);
const BESIDE = new RegExp(String.raw`^${ATTRIBUTES}`);
const WHOLE = new RegExp(String.raw`^\s*${ATTRIBUTES}\s*$`);
const BOX = new RegExp(
  String.raw`^(:{3,})\s*(?:${ATTRIBUTES}|\[?([\w-]+)\]?(?:\[([^\]]*)\]|\s+([^{]*?))?\s*(?:${ATTRIBUTES})?)?\s*:*$`,
);
/** Characters of a line that opens a box, and of what stands behind words. */
const LONGEST = 300;
const NOTICE = /^\[!(\w+)\][-+]?\s*/;

export function dialects(parser: MarkdownIt): void {
  // A line of colons ends what stands above it.
  parser.block.ruler.before('fence', 'box', boxLine, { alt: ['paragraph', 'reference', 'blockquote', 'list'] });
  parser.core.ruler.push('attributes', takeAttributes);
}

/** A line that opens or closes a box; what it says of the box stands above what the box holds. */
function boxLine(state: StateBlock, line: number, _end: number, silent: boolean): boolean {
  const start = state.bMarks[line]! + state.tShift[line]!;
  if (state.sCount[line]! - state.blkIndent >= 4 || !state.src.startsWith(':::', start)) return false;
  const text = state.src.slice(start, state.eMarks[line]!);
  const match = text.length > LONGEST ? null : BOX.exec(text);
  if (match === null) return false;
  if (silent) return true;
  state.line = line + 1;
  const named = /\btitle=(?:"([^"]*)"|'([^']*)')/.exec(match[2] ?? match[6] ?? '');
  const title = (match[4] ?? match[5] ?? named?.[1] ?? named?.[2] ?? '').trim();
  if (title !== '') {
    state.push('paragraph_open', 'p', 1).map = [line, line + 1];
    const inline = state.push('inline', '', 0);
    inline.content = title;
    inline.map = [line, line + 1];
    inline.children = [];
    state.push('paragraph_close', 'p', -1);
  }
  return true;
}

function takeAttributes({ tokens }: StateCore): void {
  tokens.forEach((token, i) => {
    if (token.type === 'fence') token.info = languageOf(token.info);
    if (token.type !== 'inline' || token.children === null) return;
    const before = tokens[i - 1];
    if (before?.type === 'heading_open') headingAttributes(before, token, token.children);
    else if (tokens[i - 2]?.type === 'blockquote_open') takeNotice(token.children);
    takeBesidePictures(token.children);
  });
}

/** `# Costs {#costs .first}`: the name of the place is the heading's. */
function headingAttributes(heading: Token, inline: Token, children: readonly Token[]): void {
  const last = children.at(-1);
  if (last?.type !== 'text') return;
  const from = Math.max(0, last.content.length - LONGEST);
  const match = BEHIND.exec(last.content.slice(from));
  // A heading that is nothing but braces is meant to be read.
  if (match === null || (children.length === 1 && from + match.index === 0)) return;
  last.content = last.content.slice(0, from + match.index);
  inline.content = inline.content.slice(0, inline.content.lastIndexOf('{')).trimEnd();
  const name = /(?:^|\s)#(\S+)/.exec(match[1]!)?.[1];
  if (name !== undefined) heading.attrSet('id', name);
}

/** `![A pond](pond.png){width=50%}` */
function takeBesidePictures(children: readonly Token[]): void {
  children.forEach((child, i) => {
    if (child.type !== 'text' || children[i - 1]?.type !== 'image') return;
    child.content = child.content.replace(BESIDE, '');
  });
}

/** `> [!NOTE]`: the kind of the notice stands before it as a word. */
function takeNotice(children: Token[]): void {
  const [first, second] = children;
  const match = first?.type === 'text' ? NOTICE.exec(first.content) : null;
  if (match === null) return;
  const rest = first!.content.slice(match[0].length);
  first!.content = `${match[1]}: ${rest}`;
  if (rest === '' && second?.type === 'softbreak') children.splice(1, 1);
}

/** A fence's language is its first word, or its first class: ```` ```{.python #sum} ````. */
const languageOf = (info: string): string =>
  info.length > LONGEST ? info : (WHOLE.exec(info)?.[1]?.match(/(?:^|\s)\.(\S+)/)?.[1] ?? info.replace(BEHIND, ''));
