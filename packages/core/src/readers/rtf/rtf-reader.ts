/** Turns the tokens of an RTF file into blocks: groups scope the look, destinations hold what is not text. */
import { unreachable, type Report, type SourcePlace } from '../../base/index.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import { SYMBOLS } from './charsets.ts';
import { Definitions } from './definitions.ts';
import { EncodedBytes } from './encoded-bytes.ts';
import { Fields } from './fields.ts';
import { languageOfNumber } from './languages.ts';
import { RtfPicture } from './rtf-picture.ts';
import { paragraphWord, START, withLook, type Destination, type State } from './state.ts';
import { TextFlow } from './text-flow.ts';

/** Destinations whose words are no text of the document; those that have words of the author's are told. */
const SKIPPED = new Set(
  'colortbl rsidtbl generator themedata colorschememapping datastore latentstyles xmlnstbl filetbl pgptbl objdata nonshppict pnseclvl revtbl fldtype bkmkend atnid atnauthor atntime atnref mmathPr private template wgrffmtfilter ftnsep ftnsepc aftnsep aftnsepc protusertbl picprop sp shprslt'.split(
    ' ',
  ),
);
/** Tables at the head of the file. */
const HEAD: Readonly<Record<string, Destination>> = {
  fonttbl: 'fonts',
  stylesheet: 'styles',
  listtable: 'list-table',
  listoverridetable: 'list-table',
  info: 'info',
};
const HEADERS = new Set('header headerl headerr headerf footer footerl footerr footerf'.split(' '));

export class RtfReader {
  readonly info: { title?: string; author?: string; language?: string } = {};
  readonly #report: Report;
  readonly #pictures: PictureStore;
  readonly #names: PlaceNames;
  readonly #flow: TextFlow;
  #state: State = START;
  readonly #stack: State[] = [];
  readonly #definitions = new Definitions();
  readonly #pending = new EncodedBytes();
  #skipBytes = 0;
  #starred = false;
  readonly #fields = new Fields();
  /** Of a place, while it is read. */
  #name = '';
  #picture: RtfPicture | undefined;
  #told:
    | {
        readonly code: 'comments-left' | 'header-left' | 'footer-left';
        readonly depth: number;
        readonly place: SourcePlace;
        text: string;
      }
    | undefined;
  #unnamedPictures = 0;

  constructor(report: Report, pictures: PictureStore, names: PlaceNames, out: (draft: Draft) => void) {
    this.#report = report;
    this.#pictures = pictures;
    this.#names = names;
    this.#flow = new TextFlow(this.#definitions, report, out);
  }

  get paragraphs(): number {
    return this.#flow.paragraphs;
  }

  open(): void {
    this.#flushBytes();
    this.#stack.push(this.#state);
    this.#starred = false;
  }

  close(): void {
    this.#flushBytes();
    const { destination } = this.#state;
    const depth = this.#stack.length;
    if (destination === 'picture' && this.#stack.at(-1)?.destination !== 'picture') this.#endPicture();
    if (this.#told?.depth === depth) this.#endTold();
    if (destination === 'name') this.#names.add(this.#name.trim());
    if (destination === 'styles') this.#definitions.endStyle();
    this.#flow.endGroup(depth);
    this.#fields.endGroup(depth);
    this.#state = this.#stack.pop() ?? START;
    this.#starred = false;
  }

  bytes(bytes: Uint8Array): void {
    let from = 0;
    if (this.#skipBytes > 0) {
      from = Math.min(this.#skipBytes, bytes.length);
      this.#skipBytes -= from;
    }
    if (this.#state.destination === 'skip' || from === bytes.length) return;
    this.#pending.add(bytes.subarray(from), this.#definitions.encodingOf(this.#state.font));
    if (this.#pending.full) this.#flushBytes();
  }

  data(bytes: Uint8Array): void {
    if (this.#picture !== undefined && this.#state.destination === 'picture') this.#picture.data = bytes;
  }

  word(name: string, value: number | undefined): void {
    if (name === '*') {
      this.#starred = true;
      return;
    }
    this.#flushBytes();
    const starred = this.#starred;
    this.#starred = false;
    if (name === 'u') return this.#unicode(value ?? 0);
    if (this.#skipBytes > 0 && name.length === 1) {
      this.#skipBytes--;
      return;
    }
    if (this.#destination(name, starred)) return;
    if (this.#state.destination === 'skip') return;
    if (this.#definition(name, value)) return;
    const looked = withLook(this.#state, name, value);
    if (looked !== undefined) {
      this.#state = looked;
      return;
    }
    const symbol = SYMBOLS[name];
    if (symbol !== undefined) return this.#append(symbol);
    this.#structure(name, value);
  }

  finish(): void {
    this.#flushBytes();
    this.#flow.finish();
  }

  #set(change: Partial<State>): void {
    this.#state = { ...this.#state, ...change };
  }

  /** A control word that opens a destination. @returns Whether it was one. */
  #destination(name: string, starred: boolean): boolean {
    if (this.#state.destination === 'skip') return true;
    const destination = HEAD[name];
    if (destination !== undefined) {
      this.#set({ destination });
      return true;
    }
    switch (name) {
      case 'pict':
        this.#picture = new RtfPicture();
        this.#set({ destination: 'picture' });
        return true;
      case 'fldinst':
        this.#fields.begin(this.#stack.length - 1);
        this.#set({ destination: 'instruction' });
        return true;
      case 'bkmkstart':
        this.#name = '';
        this.#set({ destination: 'name' });
        return true;
      case 'fldrslt':
        this.#fields.show();
        return true;
      case 'footnote':
      case 'shptxt':
        this.#flow.startAside(name === 'footnote' ? 'note' : 'box', this.#stack.length);
        this.#set({ destination: 'note' });
        return true;
      case 'listtext':
      case 'pntext':
        this.#set({ destination: 'list-text' });
        this.#flow.paragraph.listText = '';
        return true;
      case 'annotation':
        this.#tell('comments-left');
        return true;
    }
    if (HEADERS.has(name)) {
      this.#tell(name.startsWith('header') ? 'header-left' : 'footer-left');
      return true;
    }
    if (name === 'object') this.#report.add('object-not-read', this.#flow.place);
    // The result of an object is what the reader of the page sees of it.
    if (name === 'object' || name === 'result' || name === 'shppict') return true;
    if (SKIPPED.has(name) || (starred && !KNOWN_STARRED.has(name))) {
      this.#set({ destination: 'skip' });
      return true;
    }
    return false;
  }

  /** Control words of the tables at the head of the file. */
  #definition(name: string, value: number | undefined): boolean {
    const { destination } = this.#state;
    switch (destination) {
      case 'fonts':
        this.#definitions.fontWord(name, value);
        return true;
      case 'styles':
        this.#definitions.styleWord(name, value);
        return true;
      case 'list-table':
        this.#definitions.listWord(name, value);
        return true;
      case 'picture':
        this.#picture?.word(name);
        return true;
      case 'info':
        this.#set({ infoKey: name });
        return true;
      case 'instruction':
      case 'name':
        // What is written is its text, all else how it is set.
        return name !== '\\';
      case 'text':
      case 'note':
      case 'skip':
      case 'told':
      case 'list-text':
        return this.#definitions.encodingWord(name, value);
      default:
        return unreachable(destination);
    }
  }

  #structure(name: string, value: number | undefined): void {
    const { destination } = this.#state;
    // What a comment, a head or the text of a mark is made of changes nothing around it.
    if (destination === 'told' || destination === 'list-text') {
      if (this.#told !== undefined && /^(par|line|cell)$/.test(name)) this.#told.text += ' ';
      return;
    }
    switch (name) {
      case 'par':
      case 'sect':
        this.#flow.endParagraph();
        return;
      case 'pard':
        this.#flow.resetParagraph();
        return;
      case 'deflang': {
        const language = languageOfNumber(value);
        if (language !== undefined) this.info.language = language;
        return;
      }
      case 'page':
        this.#flow.beside(draftBreak('page', this.#flow.place));
        return;
      case 'cell':
        this.#flow.endCell();
        return;
      case 'row':
        this.#flow.table.endRow(this.#flow.place);
        return;
      default:
        if (!paragraphWord(this.#flow.paragraph, name, value)) this.#flow.table.word(name);
    }
  }

  #flushBytes(): void {
    const text = this.#pending.take();
    if (text !== '') this.#append(text);
  }

  #unicode(value: number): void {
    this.#flushBytes();
    this.#skipBytes = this.#state.standIns;
    if (this.#state.destination === 'skip') return;
    // Negative: sixteen bits written as a signed number.
    this.#append(String.fromCharCode(value < 0 ? value + 65_536 : value));
  }

  #append(text: string): void {
    const { destination, infoKey } = this.#state;
    switch (destination) {
      case 'skip':
      case 'list-table':
        return;
      case 'fonts':
        this.#definitions.fontName(text);
        return;
      case 'styles':
        this.#definitions.styleName(text);
        return;
      case 'picture':
        this.#picture?.digits(text);
        return;
      case 'instruction':
        this.#fields.write(text);
        return;
      case 'name':
        this.#name += text;
        return;
      case 'info':
        if (infoKey === 'title') this.info.title = (this.info.title ?? '') + text;
        if (infoKey === 'author') this.info.author = (this.info.author ?? '') + text;
        return;
      case 'list-text':
        this.#flow.paragraph.listText += text;
        return;
      case 'told':
        if (this.#told !== undefined) this.#told.text += text;
        return;
      case 'note':
      case 'text':
        this.#flow.append(text, this.#state, this.#fields.link);
    }
  }

  /** What follows in this group is no text of the document, and told. */
  #tell(code: 'comments-left' | 'header-left' | 'footer-left'): void {
    this.#set({ destination: 'told' });
    this.#told ??= {
      code,
      depth: this.#stack.length,
      place: code === 'comments-left' ? this.#flow.place : {},
      text: '',
    };
  }

  #endTold(): void {
    const told = this.#told;
    this.#told = undefined;
    if (told !== undefined && told.text.trim() !== '') this.#report.add(told.code, told.place, { text: told.text });
  }

  #endPicture(): void {
    const picture = this.#picture;
    this.#picture = undefined;
    if (picture === undefined) return;
    const place = this.#flow.place;
    const name = `picture ${++this.#unnamedPictures}`;
    const id = picture.isShown ? this.#pictures.take(name, () => picture.bytes(), place) : undefined;
    if (!picture.isShown) this.#report.add('picture-format', place, { name });
    const draft: Draft = { kind: 'picture', alt: null, place, ...(id === undefined ? {} : { picture: id }) };
    this.#flow.beside(draft);
  }
}

/** Starred destinations that we read. */
const KNOWN_STARRED = new Set([
  'shppict',
  'shpinst',
  'fldinst',
  'bkmkstart',
  'listtable',
  'listoverridetable',
  'cs',
  'ds',
  'footnote',
]);
