/** Characters of symbol fonts (ECMA-376-1 §17.3.3.30), whose codes stand in a private area, as the characters that they look like. */

// Adobe's encoding of the Symbol font.
const GREEK: Readonly<Record<string, string>> = {
  A: 'ΑΒΧΔΕΦΓΗΙϑΚΛΜΝΟΠΘΡΣΤΥςΩΞΨΖ',
  a: 'αβχδεφγηιϕκλμνοπθρστυϖωξψζ',
};
const SYMBOL: Readonly<Record<number, string>> = {
  0x22: '∀',
  0x24: '∃',
  0x2d: '−',
  0xa3: '≤',
  0xa5: '∞',
  0xab: '↔',
  0xac: '←',
  0xad: '↑',
  0xae: '→',
  0xaf: '↓',
  0xb0: '°',
  0xb1: '±',
  0xb3: '≥',
  0xb4: '×',
  0xb6: '∂',
  0xb7: '•',
  0xb8: '÷',
  0xb9: '≠',
  0xba: '≡',
  0xbb: '≈',
  0xc7: '∩',
  0xc8: '∪',
  0xce: '∈',
  0xd6: '√',
  0xd7: '⋅',
  0xde: '⇒',
  0xe5: '∑',
  0xf2: '∫',
};
const DINGBATS: Readonly<Record<number, string>> = {
  0x4a: '☺',
  0x4c: '☹',
  0x6c: '●',
  0x6e: '■',
  0x6f: '□',
  0x71: '❑',
  0x75: '◆',
  0x76: '❖',
  0x9f: '•',
  0xa7: '▪',
  0xa8: '☐',
  0xd8: '➢',
  0xdf: '←',
  0xe0: '→',
  0xe1: '↑',
  0xe2: '↓',
  0xe8: '➔',
  0xf0: '⇨',
  0xfb: '✗',
  0xfc: '✓',
  0xfd: '☒',
  0xfe: '☑',
};

/** @returns undefined for a character that means nothing without its font. */
export function symbolCharacter(font: string, code: number): string | undefined {
  if (!Number.isFinite(code) || code < 0x20 || code > 0x10ffff) return undefined;
  if (code < 0xe000 || code > 0xf8ff) return String.fromCodePoint(code);
  const at = code & 0xff;
  if (/wingdings/i.test(font)) return DINGBATS[at];
  if (!/symbol/i.test(font)) return undefined;
  const letter = String.fromCharCode(at);
  if (/[A-Z]/.test(letter)) return GREEK['A']![at - 65];
  if (/[a-z]/.test(letter)) return GREEK['a']![at - 97];
  return SYMBOL[at] ?? (at < 0x7f ? letter : undefined);
}
