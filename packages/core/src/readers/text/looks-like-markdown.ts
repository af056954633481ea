/** Tells Markdown from plain text by what only Markdown writes. */

const SIGNS: readonly RegExp[] = [
  /^#{1,6} \S/m,
  /^```|^~~~/m,
  /^\s{0,3}>\s\S/m,
  /\[[^\]\n]+\]\((?:https?:|#|\.|\/|mailto:)[^)\s]*\)/,
  /!\[[^\]\n]*\]\([^)\s]+\)/,
  /(?:^|[\s(])\*\*[^\s*](?:[^*\n]*[^\s*])?\*\*(?=$|[\s).,;:!?])/m,
  /(?:^|\s)`[^`\n]+`(?=$|[\s.,;:)])/m,
  /^\|?\s*:?-{3,}:?\s*\|/m,
  /^[-*] \[[ x]\] /m,
  /^---\n[\w-]+:[\s\S]*?\n---\n/,
];

/** One heading with `#` or two other signs are enough. */
export function looksLikeMarkdown(text: string): boolean {
  const found = SIGNS.filter((sign) => sign.test(text));
  return found.includes(SIGNS[0]!) || found.length >= 2;
}
