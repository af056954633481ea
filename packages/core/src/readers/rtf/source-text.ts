/** The text of an RTF file outside of its tables and of the destinations that hold none; of it, what is written in ASCII or as Unicode. */
import { rtfTokens } from './tokens.ts';

const NO_TEXT = new Set(
  'fonttbl colortbl stylesheet listtable listoverridetable rsidtbl generator info pict themedata colorschememapping datastore latentstyles xmlnstbl filetbl pgptbl objdata fldinst pnseclvl revtbl bkmkstart bkmkend atnid atnauthor atntime atnref atndate mmathPr template wgrffmtfilter ftnsep ftnsepc aftnsep aftnsepc aftncn ftncn protusertbl picprop sp nonshppict shprslt private fldtype datafield pntxta pntxtb formfield docvar userprops xe tc rxe'.split(
    ' ',
  ),
);
/** Starred destinations that hold text all the same. */
const STARRED_TEXT = new Set(['shpinst', 'footnote', 'annotation', 'shppict']);
const STOPS = new Set([
  'par',
  'cell',
  'row',
  'tab',
  'line',
  'page',
  'sect',
  'footnote',
  'shptxt',
  'annotation',
  'pntext',
]);

interface Group {
  readonly skip: boolean;
  readonly deleted: boolean;
  readonly standIns: number;
}

export function* rtfText(bytes: Uint8Array): Generator<string> {
  const stack: Group[] = [];
  let group: Group = { skip: false, deleted: false, standIns: 1 };
  let starred = false;
  let standIns = 0;
  let piece = '';
  for (const token of rtfTokens(bytes)) {
    switch (token.kind) {
      case 'open':
        stack.push(group);
        starred = false;
        break;
      case 'close':
        group = stack.pop() ?? group;
        starred = false;
        if (stack.length === 0) {
          if (piece !== '') yield piece;
          return;
        }
        break;
      case 'word': {
        const { name, value } = token;
        if (name === 'u') {
          const unit = (value ?? 0) < 0 ? (value ?? 0) + 0x10000 : (value ?? 0);
          if (!group.skip && !group.deleted) piece += String.fromCharCode(unit);
          standIns = group.standIns;
        } else if (name === 'uc') group = { ...group, standIns: value ?? 1 };
        else if (name === 'deleted') group = { ...group, deleted: value !== 0 };
        else if (name === 'plain') group = { ...group, deleted: false };
        else if (NO_TEXT.has(name) || (starred && name !== '*' && !STARRED_TEXT.has(name)))
          group = { ...group, skip: true };
        if (STOPS.has(name) && piece !== '') {
          yield piece;
          piece = '';
        }
        starred = name === '*';
        break;
      }
      case 'bytes': {
        const from = Math.min(standIns, token.bytes.length);
        standIns -= from;
        if (group.skip || group.deleted) break;
        for (let i = from; i < token.bytes.length; i++)
          piece += token.bytes[i]! < 0x80 ? String.fromCharCode(token.bytes[i]!) : '\u00b7';
        break;
      }
      case 'data':
        break;
    }
  }
  if (piece !== '') yield piece;
}
