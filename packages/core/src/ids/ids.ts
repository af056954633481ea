/** The ids of blocks, slides, parts, notes and pages: how each is made of others. Nobody else joins or takes apart ids. */

export type BlockId = string & { readonly id: 'block' };
export type SlideId = string & { readonly id: 'slide' };
/** Of a point, text, table or picture on a slide. The same part keeps its id when the deck is made again. */
export type PartId = string & { readonly id: 'part' };
export type NoteId = string & { readonly id: 'note' };
/** A part or a note: what can be moved about on slides. */
export type MovableId = PartId | NoteId;
/** Of a page: one drawn slide. */
export type PageKey = string & { readonly id: 'page' };

/**
 * Lower-case letters and digits are the document's, capitals an author's own. Marks part what an id is made of:
 * `~2` tells the second of equal blocks, `+` a block that was divided, `/` and `.` a part or a note of a block,
 * `!` an author's note on a slide, `:` what is copied and a page, `~` at the end what a rule speaks.
 */
const MARK = {
  equal: '~',
  divided: '+',
  within: '/',
  row: '.',
  written: '!',
  copy: ':',
  page: ':',
  relieved: '~',
} as const;

// Blocks.
/** The block with so many equals before it. */
export const equalBlock = (first: BlockId, before: number): BlockId =>
  before === 0 ? first : (`${first}${MARK.equal}${before + 1}` as BlockId);
/** The same block once more, where its id is taken. */
export const anotherBlock = (block: BlockId): BlockId => `${block}${MARK.equal}` as BlockId;
/** A later piece of a block that was divided; `h` for a heading put before it. */
export const dividedBlock = (block: BlockId, piece: number | 'h'): BlockId =>
  `${block}${MARK.divided}${piece}` as BlockId;

// Slides.
/** `s`: a block is its title. `i`: its first block stands there without one. `c`: it was cut there. */
export type SlideStart = 's' | 'i' | 'c';
export const slideAt = (start: SlideStart, block: BlockId): SlideId => `${start}${block}` as SlideId;
export const matterSlide = (matter: string): SlideId => `m-${matter}` as SlideId;
/** The matter that a slide holds; undefined for all other slides. */
export const matterOf = (slide: SlideId): string | undefined => (slide.startsWith('m-') ? slide.slice(2) : undefined);

// Parts.
export const partOf = (block: BlockId): PartId => block as string as PartId;
/** A sentence of a block that is shown in pieces. */
export const partWithin = (block: BlockId, piece: number): PartId => `${block}${MARK.within}${piece}` as PartId;
/** A point of front or back matter, which repeats what stands elsewhere. */
export const matterPart = (matter: string, of: SlideId | PartId | number): PartId =>
  `m-${matter}${MARK.within}${of}` as PartId;
/** A slide's title, where it became a point of another slide. */
export const titlePart = (slide: SlideId): PartId => `${slide}${MARK.row}title` as PartId;
export const copiedPart = (slide: SlideId, part: PartId): PartId => `${slide}${MARK.copy}${part}` as PartId;

// Notes.
/** A row of a block that is spoken; the first has the block's id. */
export const noteOf = (block: BlockId, row = 0): NoteId => (row === 0 ? block : `${block}${MARK.row}${row}`) as NoteId;
/** A row of a part that is spoken instead of shown. */
export const noteOfPart = (part: PartId, row = 0): NoteId => (row === 0 ? part : `${part}${MARK.row}${row}`) as NoteId;
/** The same, where a rule for full slides speaks it. */
export const relievedNote = (part: PartId, row = 0): NoteId => `${noteOfPart(part, row)}${MARK.relieved}` as NoteId;
/** The part that a rule speaks by a note; undefined for all other notes. */
export const relievedPart = (note: NoteId): PartId | undefined =>
  note.endsWith(MARK.relieved) ? (note.slice(0, -MARK.relieved.length) as PartId) : undefined;
/** The title of a slide that is too long to be shown whole. */
export const titleNote = (slide: SlideId): NoteId => `${slide}${MARK.row}title` as NoteId;
/** A note that the author wrote: the so manyth on its slide. */
export const writtenNote = (slide: SlideId, number: number): NoteId => `${slide}${MARK.written}${number}` as NoteId;
export const isWrittenNote = (note: NoteId): boolean => note.includes(MARK.written);
export const copiedNote = (slide: SlideId, note: NoteId): NoteId => `${slide}${MARK.copy}${note}` as NoteId;

// Pages.
export const pageKey = (slide: SlideId, index: number): PageKey => `${slide}${MARK.page}${index}` as PageKey;

// An author's own.
/** @param random Letters and digits that no other id has. */
export const ownId = (random: string): SlideId & PartId => `A${random.toUpperCase()}` as never;

/** The block that an id of a slide, part or note is made of. @param there Blocks that the document has: an id alone does not tell. */
export function blockIn(id: SlideId | PartId | NoteId, there: ReadonlySet<string>): BlockId | undefined {
  const plain = id.replace(/^.*:/, '').replace(/[/!.].*$/, '');
  return [plain, plain.slice(1), plain.replace(/~$/, '')].find((one) => there.has(one)) as BlockId | undefined;
}

/** What an id is made of, as far as ids of other blocks stand in it. */
export interface IdMap {
  readonly block: (id: BlockId) => BlockId;
  readonly slide: (id: SlideId) => SlideId;
  readonly part: (id: PartId) => PartId;
  readonly note: (id: NoteId) => NoteId;
}

/** @param ids Blocks that have another id now: the old, the new. @returns How every id that is made of them is called now. */
export function mapIds(ids: ReadonlyMap<string, string>): IdMap {
  const block = (id: string): string => {
    const own = ids.get(id);
    if (own !== undefined) return own;
    const [, first, rest] = /^(.+?)(\+.*|~)$/.exec(id) ?? [];
    return first === undefined ? id : block(first) + rest!;
  };
  const slide = (id: string): string => (/^[sic]/.test(id) ? id.charAt(0) + block(id.slice(1)) : id);
  const part = (id: string): string => {
    const [, copy, copied] = /^([^:]+):(.+)$/.exec(id) ?? [];
    if (copy !== undefined) return `${slide(copy)}:${part(copied!)}`;
    const [, matter, of] = /^(m-[a-z-]+\/)(.+)$/.exec(id) ?? [];
    // An agenda's point is of a slide, a key point of a part.
    if (matter !== undefined) return matter + (matter === 'm-agenda/' ? slide(of!) : part(of!));
    const [, titled] = /^(.+)\.title$/.exec(id) ?? [];
    if (titled !== undefined) return `${slide(titled)}.title`;
    const whole = ids.get(id);
    if (whole !== undefined) return whole;
    const [, first, rest] = /^(.+?)((?:[/.]\d+)*~?)$/.exec(id)!;
    return block(first!) + rest!;
  };
  const note = (id: string): string => {
    const [, on, number] = /^([^:!]+)(!\d+)$/.exec(id) ?? [];
    if (on !== undefined) return slide(on) + number!;
    const [, copy, copied] = /^([^:]+):(.+)$/.exec(id) ?? [];
    return copy === undefined ? part(id) : `${slide(copy)}:${note(copied!)}`;
  };
  return { block, slide, part, note } as unknown as IdMap;
}
