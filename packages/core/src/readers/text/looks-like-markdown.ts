/** Tells Markdown from plain text by what only Markdown writes. */

const SIGNS: readonly RegExp[] = [
  /^#{1,6} \S/m,
  /^```|^~~~/m,
  /^\s{0,3}>\s\S/m,
  /\[[^\]\n]{1,300}\]\((?:https?:|#|\.|\/|mailto:)[^)\s]{0,500}\)/,
  /!\[[^\]\n]{0,300}\]\([^)\s]{1,500}\)/,
  /(?:^|[\s(])\*\*[^\s*](?:[^*\n]{0,300}[^\s*])?\*\*(?=$|[\s).,;:!?])/m,
  /(?:^|\s)`[^`\n]{1,300}`(?=$|[\s.,;:)])/m,
  /^\|?[ \t]*:?-{3,100}:?[ \t]*\|/m,
  /^[-*] \[[ x]\] /m,
  /^---\n[\w-]+:[\s\S]*?\n---\n/,
];

/** Characters that are looked at. */
const SEEN = 64 * 1024;

/** One heading with `#` or two other signs are enough. */
export function looksLikeMarkdown(text: string): boolean {
  const start = text.slice(0, SEEN);
  const found = SIGNS.filter((sign) => sign.test(start));
  return found.includes(SIGNS[0]!) || found.length >= 2;
}
