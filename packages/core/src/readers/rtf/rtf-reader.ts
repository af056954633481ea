/** Turns the tokens of an RTF file into blocks: groups scope the look, destinations hold what is not text. */
import {
  decodeUtf8,
  textDecoder,
  unreachable,
  type Report,
  type SourcePlace,
  type TextDecoding,
} from '../../base/index.ts';
import { safeLink, type Run } from '../../content/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { GatheredText } from '../gathered-text.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import { hiddenBlock } from '../hidden-text.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import { ofScript } from '../spoken.ts';
import { SYMBOLS } from './charsets.ts';
import { Definitions } from './definitions.ts';
import { languageOfNumber } from './languages.ts';
import { ListCounters, paragraphBlock } from './paragraph-block.ts';
import { freshParagraph, START, withLook, type ParagraphState, type State } from './state.ts';
import { TableRows } from './table-rows.ts';

/** Destinations whose words are no text of the document; those that have words of the author's are told. */
const SKIPPED = new Set(
  'colortbl rsidtbl generator themedata colorschememapping datastore latentstyles xmlnstbl filetbl pgptbl objdata nonshppict pnseclvl revtbl fldtype bkmkend atnid atnauthor atntime atnref mmathPr private template wgrffmtfilter ftnsep ftnsepc aftnsep aftnsepc protusertbl picprop sp shprslt'.split(
    ' ',
  ),
);
const HEADERS = new Set('header headerl headerr headerf footer footerl footerr footerf'.split(' '));

export class RtfReader {
  paragraphs = 0;
  readonly info: { title?: string; author?: string; language?: string } = {};
  readonly #report: Report;
  readonly #pictures: PictureStore;
  readonly #names: PlaceNames;
  readonly #out: (draft: Draft) => void;
  #state: State = START;
  readonly #stack: State[] = [];
  #paragraph = freshParagraph();
  #text = new GatheredText();
  #before: Draft[] = [];
  #after: Draft[] = [];
  readonly #definitions = new Definitions();
  readonly #table = new TableRows();
  #pending: number[] = [];
  #pendingDecoder: string | undefined;
  readonly #decoders = new Map<string, TextDecoding>();
  #skipBytes = 0;
  #starred = false;
  #link: { depth: number; instruction: string; target: string | undefined }[] = [];
  /** Of a place, while it is read. */
  #name = '';
  #picture: { format: string; hex: string; data: Uint8Array | undefined } | undefined;
  /** Notes and text boxes that are open: text of their own within a paragraph. */
  readonly #asides: {
    readonly kind: 'note' | 'box';
    readonly depth: number;
    readonly host: {
      readonly text: GatheredText;
      readonly paragraph: ParagraphState;
      readonly before: Draft[];
      readonly after: Draft[];
    };
    readonly drafts: Draft[];
  }[] = [];
  #told:
    | {
        readonly code: 'comments-left' | 'header-left' | 'footer-left';
        readonly depth: number;
        readonly place: SourcePlace;
        text: string;
      }
    | undefined;
  #noteNumber = 0;
  #unnamedPictures = 0;
  readonly #counters = new ListCounters();

  constructor(report: Report, pictures: PictureStore, names: PlaceNames, out: (draft: Draft) => void) {
    this.#report = report;
    this.#pictures = pictures;
    this.#names = names;
    this.#out = out;
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
    if (this.#asides.at(-1)?.depth === depth) this.#endAside();
    if (this.#link.at(-1)?.depth === depth) this.#link.pop();
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
    for (let i = from; i < bytes.length; i++) this.#pending.push(bytes[i]!);
    // Escaped bytes of one character come one by one.
    this.#pendingDecoder ??= this.#currentEncoding();
    if (this.#pending.length > 65_536) this.#flushBytes();
  }

  data(bytes: Uint8Array): void {
    if (this.#picture !== undefined && this.#state.destination === 'picture') this.#picture.data = bytes;
  }

  word(name: string, value: number | undefined): void {
    if (name !== '*') this.#flushBytes();
    if (name === '*') {
      this.#starred = true;
      return;
    }
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
    while (this.#asides.length > 0) this.#endAside();
    if (this.#hasText) this.#endParagraph();
    this.#endTable();
  }

  get #hasText(): boolean {
    return !this.#text.empty || this.#text.hidden !== '' || this.#before.length > 0 || this.#after.length > 0;
  }

  #place(): SourcePlace {
    return { paragraph: Math.max(1, this.paragraphs) };
  }

  #set(change: Partial<State>): void {
    this.#state = { ...this.#state, ...change };
  }

  /** A control word that opens a destination. @returns Whether it was one. */
  #destination(name: string, starred: boolean): boolean {
    if (this.#state.destination === 'skip') return true;
    switch (name) {
      case 'fonttbl':
        this.#set({ destination: 'fonts' });
        return true;
      case 'stylesheet':
        this.#set({ destination: 'styles' });
        return true;
      case 'listtable':
      case 'listoverridetable':
        this.#set({ destination: 'list-table' });
        return true;
      case 'pict':
        this.#picture = { format: '', hex: '', data: undefined };
        this.#set({ destination: 'picture' });
        return true;
      case 'shppict':
        return true;
      case 'fldinst':
        this.#link.push({ depth: this.#stack.length - 1, instruction: '', target: undefined });
        this.#set({ destination: 'instruction' });
        return true;
      case 'bkmkstart':
        this.#name = '';
        this.#set({ destination: 'name' });
        return true;
      case 'fldrslt':
        if (this.#link.length > 0) this.#link.at(-1)!.target = linkOf(this.#link.at(-1)!.instruction);
        return true;
      case 'footnote':
      case 'shptxt':
        this.#startAside(name === 'footnote' ? 'note' : 'box');
        return true;
      case 'info':
        this.#set({ destination: 'info' });
        return true;
      case 'listtext':
      case 'pntext':
        this.#set({ destination: 'list-text' });
        this.#paragraph.listText = '';
        return true;
      case 'annotation':
        this.#tell('comments-left');
        return true;
    }
    if (HEADERS.has(name)) {
      this.#tell(name.startsWith('header') ? 'header-left' : 'footer-left');
      return true;
    }
    if (name === 'object') this.#report.add('object-not-read', this.#place());
    // The result of an object is what the reader of the page sees of it.
    if (name === 'object' || name === 'result') return true;
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
        if (this.#picture && /^(pngblip|jpegblip|emfblip|wmetafile|dibitmap|wbitmap|macpict)$/.test(name))
          this.#picture.format = name;
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
    const paragraph = this.#paragraph;
    const { destination } = this.#state;
    // What a comment, a head or the text of a mark is made of changes nothing around it.
    if (destination === 'told' || destination === 'list-text') {
      if (this.#told !== undefined && /^(par|line|cell)$/.test(name)) this.#told.text += ' ';
      return;
    }
    switch (name) {
      case 'par':
      case 'sect':
        this.#endParagraph();
        return;
      case 'pard':
        this.#paragraph = { ...freshParagraph(), listText: paragraph.listText };
        return;
      case 's':
        paragraph.style = value ?? 0;
        return;
      case 'outlinelevel':
        paragraph.outline = value;
        return;
      case 'qc':
        paragraph.align = 'center';
        return;
      case 'qr':
        paragraph.align = 'right';
        return;
      case 'rtlpar':
      case 'ltrpar':
        paragraph.direction = name === 'rtlpar' ? 'rtl' : 'ltr';
        return;
      case 'deflang': {
        const language = languageOfNumber(value);
        if (language !== undefined) this.info.language = language;
        return;
      }
      case 'ls':
        paragraph.list = value;
        return;
      case 'ilvl':
        paragraph.depth = Math.min((value ?? 0) + 1, 9);
        return;
      case 'page':
        (this.#text.empty ? this.#before : this.#after).push(draftBreak('page', this.#place()));
        return;
      case 'intbl':
        paragraph.inTable = true;
        return;
      case 'cell':
        this.#endCell();
        return;
      case 'row':
        this.#table.endRow(this.#place());
        return;
      default:
        this.#table.word(name);
    }
  }

  #currentEncoding(): string {
    return this.#definitions.encodingOf(this.#state.font);
  }

  #flushBytes(): void {
    if (this.#pending.length === 0) return;
    const bytes = Uint8Array.from(this.#pending);
    const label = this.#pendingDecoder ?? this.#currentEncoding();
    this.#pending = [];
    this.#pendingDecoder = undefined;
    let decoder = this.#decoders.get(label);
    if (decoder === undefined) {
      try {
        decoder = textDecoder(label);
      } catch {
        decoder = textDecoder('windows-1252');
      }
      this.#decoders.set(label, decoder);
    }
    this.#append(bytes.every((byte) => byte < 0x80) ? decodeUtf8(bytes) : decoder.decode(bytes));
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
        if (this.#picture) this.#picture.hex += text;
        return;
      case 'instruction':
        if (this.#link.length > 0) this.#link.at(-1)!.instruction += text;
        return;
      case 'name':
        this.#name += text;
        return;
      case 'info':
        if (infoKey === 'title') this.info.title = (this.info.title ?? '') + text;
        if (infoKey === 'author') this.info.author = (this.info.author ?? '') + text;
        return;
      case 'list-text':
        this.#paragraph.listText += text;
        return;
      case 'told':
        if (this.#told !== undefined) this.#told.text += text;
        return;
      case 'note':
      case 'text':
        this.#appendText(text);
    }
  }

  #appendText(text: string): void {
    const { bold, italic, strike, hidden, deleted, caps, position, size, font } = this.#state;
    if (deleted) return;
    if (hidden) {
      this.#text.hidden += text;
      return;
    }
    const style = this.#definitions.style(this.#paragraph.style);
    const mono = this.#definitions.isMono(font);
    const link = this.#link.at(-1)?.target;
    const look: Omit<Run, 'text'> = {
      ...(bold && !style?.bold ? { bold: true } : {}),
      ...(italic ? { italic: true } : {}),
      ...(strike ? { strike: true } : {}),
      ...(position === undefined ? {} : { position }),
      ...(link === undefined ? {} : { link }),
    };
    const { language, asian } = this.#state;
    this.#text.spoken.add(text, ofScript({ latin: language, asian }, text));
    this.#text.append(text, look, size, bold, caps, mono);
  }

  #endParagraph(): void {
    this.paragraphs++;
    const gathered = { paragraph: this.#paragraph, text: this.#text, place: this.#place() };
    this.#text.spoken.direction = this.#paragraph.direction;
    const spoken = this.#text.spoken.take();
    const made = paragraphBlock(gathered, this.#definitions, this.#counters, this.#report);
    const block = made === undefined ? undefined : { ...made, ...spoken };
    const hidden = hiddenBlock(this.#text.hidden, !this.#text.empty, this.#place(), this.#report);
    const drafts = [...this.#before, hidden, block, ...this.#after].filter((draft) => draft !== undefined);
    [this.#text, this.#before, this.#after] = [new GatheredText(), [], []];
    this.#paragraph.listText = '';
    const aside = this.#asides.at(-1);
    if (aside !== undefined) aside.drafts.push(...drafts);
    else if (this.#paragraph.inTable) this.#table.add(drafts);
    else {
      this.#endTable();
      for (const draft of drafts) this.#out(draft);
    }
  }

  #endCell(): void {
    if (this.#asides.length > 0) return;
    this.#paragraph.inTable = true;
    if (this.#hasText) this.#endParagraph();
    this.#table.endCell();
  }

  #endTable(): void {
    for (const draft of this.#table.take(this.#place(), this.#report)) this.#out(draft);
  }

  #startAside(kind: 'note' | 'box'): void {
    const host = { text: this.#text, paragraph: this.#paragraph, before: this.#before, after: this.#after };
    this.#asides.push({ kind, depth: this.#stack.length, host, drafts: [] });
    [this.#text, this.#before, this.#after] = [new GatheredText(), [], []];
    this.#paragraph = freshParagraph();
    this.#set({ destination: 'note' });
  }

  #endAside(): void {
    const aside = this.#asides.at(-1);
    if (aside === undefined) return;
    if (this.#hasText) this.#endParagraph();
    this.#asides.pop();
    const { kind, host, drafts } = aside;
    ({ text: this.#text, paragraph: this.#paragraph, before: this.#before, after: this.#after } = host);
    if (kind === 'box') {
      this.#after.push(...drafts);
      return;
    }
    const runs = cellRuns(drafts, []);
    if (runs.length > 0)
      this.#after.push({ kind: 'footnote', label: `${++this.#noteNumber}`, runs, place: this.#place() });
  }

  /** What follows in this group is no text of the document, and told. */
  #tell(code: 'comments-left' | 'header-left' | 'footer-left'): void {
    this.#set({ destination: 'told' });
    this.#told ??= { code, depth: this.#stack.length, place: code === 'comments-left' ? this.#place() : {}, text: '' };
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
    const place = this.#place();
    const name = `picture ${++this.#unnamedPictures}`;
    const bytes = picture.data ?? fromHex(picture.hex);
    let id;
    if (picture.format === 'pngblip' || picture.format === 'jpegblip')
      id = this.#pictures.take(name, () => bytes, place);
    else this.#report.add('picture-format', place, { name });
    const draft: Draft = { kind: 'picture', alt: null, place, ...(id === undefined ? {} : { picture: id }) };
    (this.#text.empty ? this.#before : this.#after).push(draft);
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

function linkOf(instruction: string): string | undefined {
  const match = /HYPERLINK\s+(?:\\l\s+)?"([^"]+)"|HYPERLINK\s+(\S+)/i.exec(instruction);
  if (match === null) return undefined;
  const target = match[1] ?? match[2]!;
  return safeLink(/\\l/.test(instruction) ? `#${target}` : target);
}

function fromHex(text: string): Uint8Array {
  const digits = text.replace(/[^0-9a-f]/gi, '');
  const bytes = new Uint8Array(digits.length >> 1);
  for (let i = 0; i < bytes.length; i++) bytes[i] = parseInt(digits.slice(2 * i, 2 * i + 2), 16);
  return bytes;
}
