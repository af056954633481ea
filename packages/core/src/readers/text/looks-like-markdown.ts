/** Tells Markdown from plain text: what only Markdown writes is weighed against what only plain text does. */

/** Signs of Markdown, each with what it weighs once and how often it counts. */
const MARKDOWN: readonly (readonly [RegExp, number, number])[] = [
  [/^#{1,6} \S.*$/gm, 2, 6],
  [/^(?:```|~~~)[\w{ -]*$/gm, 1, 4],
  [/^\s{0,3}> \S/gm, 0.5, 2],
  [/\[[^\]\n]{1,300}\]\((?:https?:|#|\.|\/|mailto:)[^)\s]{0,500}\)/g, 1.5, 4],
  [/!\[[^\]\n]{0,300}\]\([^)\s]{1,500}\)/g, 2, 4],
  [/(?:^|[\s(])\*\*[^\s*](?:[^*\n]{0,300}[^\s*])?\*\*(?=$|[\s).,;:!?])/gm, 1, 3],
  [/(?:^|\s)`[^`\n]{1,300}`(?=$|[\s.,;:)])/gm, 1, 3],
  [/^\|?[ \t]*:?-{3,100}:?[ \t]*\|[-| :\t]*$/gm, 2, 2],
  [/^[-*] \[[ x]\] /gm, 2, 2],
  [/^---\n[\w-]+:[\s\S]{0,5000}?\n---\n/g, 2, 1],
  [/^\[[^\]\n]{1,80}\]: *(?:https?:|\.|\/)\S+/gm, 1.5, 3],
];

/** Signs of plain text that Markdown would read as something else. */
const TEXT: readonly (readonly [RegExp, number, number])[] = [
  // Underlines of other signs than Markdown's two, and rules above a title.
  [/^\S[^\n]{1,80}\n([~^*+."`:'])\1{3,}[ \t]*$/gm, 1, 6],
  [/^([=-])\1{3,}\n\S[^\n]{0,80}\n\1{4,}[ \t]*$/gm, 1, 4],
  // Numbered headings between blank lines.
  [/\n\n\d{1,2}(?:\.\d{1,2}){1,4}\.?[ \t]+\p{Lu}[^\n]{2,70}\n\n/gu, 1, 4],
  [/(?:\.[ ]?){5,}[ ]*\d{1,4}[ \t]*$/gm, 1, 3],
  [/\f/g, 2, 2],
];
/** Share of filled lines outside of fences that stand four columns in or more, from which on the text itself is indented. */
const INDENTED = 0.4;

/** Characters that are looked at, in pieces from the whole document. */
const SEEN = 64 * 1024;

const weigh = (text: string, signs: typeof MARKDOWN): number => {
  let sum = 0;
  for (const [sign, weight, most] of signs) {
    sign.lastIndex = 0;
    for (let i = 0; i < most && sign.exec(text) !== null; i++) sum += weight;
  }
  return sum;
};

export function looksLikeMarkdown(text: string): boolean {
  const seen = sample(text.replaceAll('\r\n', '\n'));
  const markdown = weigh(seen, MARKDOWN);
  if (markdown < 2) return false;
  const lines = seen
    .replace(/^(```|~~~)[\s\S]*?^\1/gm, '')
    .split('\n')
    .filter((line) => line.trim() !== '' && !/^\s*(?:[-*+]|\d+\.)\s/.test(line));
  const indented = lines.filter((line) => /^(?: {4}|\t)/.test(line)).length;
  return markdown > weigh(seen, TEXT) + (indented > lines.length * INDENTED ? 4 : 0);
}

/** The begin, and as much from the middle and the end. */
function sample(text: string): string {
  if (text.length <= SEEN) return text;
  const third = Math.floor(SEEN / 3);
  const middle = Math.floor(text.length / 2);
  return [text.slice(0, third), text.slice(middle, middle + third), text.slice(-third)].join('\n');
}
