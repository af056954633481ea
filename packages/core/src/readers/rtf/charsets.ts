/** Numbers and words by which RTF names encodings and characters. */

/** `\fcharset` numbers and the encodings that they name. */
export const CHARSETS: Readonly<Record<number, string>> = {
  0: 'windows-1252',
  77: 'macintosh',
  128: 'shift_jis',
  129: 'euc-kr',
  134: 'gbk',
  136: 'big5',
  161: 'windows-1253',
  162: 'windows-1254',
  163: 'windows-1258',
  177: 'windows-1255',
  178: 'windows-1256',
  186: 'windows-1257',
  204: 'windows-1251',
  222: 'windows-874',
  238: 'windows-1250',
};

/** `\ansicpg` numbers whose encodings are not called windows-NUMBER. */
export const CODE_PAGES: Readonly<Record<number, string>> = {
  932: 'shift_jis',
  936: 'gbk',
  949: 'euc-kr',
  950: 'big5',
  10000: 'macintosh',
  65001: 'utf-8',
};

/** Control words and symbols that stand for characters. */
export const SYMBOLS: Readonly<Record<string, string>> = {
  tab: '\t',
  line: '\n',
  emdash: '—',
  endash: '–',
  lquote: '‘',
  rquote: '’',
  ldblquote: '“',
  rdblquote: '”',
  bullet: '•',
  emspace: '\u2003',
  enspace: '\u2002',
  '~': '\u00a0',
  _: '\u2011',
  '\\': '\\',
  '{': '{',
  '}': '}',
};
