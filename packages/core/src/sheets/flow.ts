/** Sets paragraphs one below the other, on as many sheets as they need. */
import { EMU_PER_POINT, emuFromPt, getOrMake, pt, type Emu } from '../base/index.ts';
import { drawnPiece, drawParagraph, measurePara, placeText, type SetParagraph } from '../scene/index.ts';
import type { Frame, Palette, Theme } from '../theme/index.ts';
import { plain, type Passage, type PassageCell, type Wanted } from './paragraphs.ts';
import type { PlacedSlide, Sheet, SheetText } from './sheet.ts';

export const MARGIN = 56; // points
const FOOT = 30; // points, from the lower edge of the sheet
const SIZES = { section: 16, slide: 12.5, text: 10.5, foot: 8.5 } as const;
/** Of a slide among its text: its share of the width, the room around it, and so much text goes with it. */
const SLIDE_WIDTH = 0.62;
const GAP = 14; // points
const TOGETHER = 48; // points
/** Between the cells of a table. */
const CELL_GAP = 8; // points
const GREY = '5A5A5A';

/** Print is dark on white, whatever the slides are. */
const PRINTED: Palette = {
  ground: 'FFFFFF',
  panel: 'F2F2F2',
  text: '1C1C1C',
  muted: GREY,
  link: '0B4A7A',
  ...{
    accent1: '1C1C1C',
    accent2: '1C1C1C',
    accent3: '1C1C1C',
    accent4: '1C1C1C',
    accent5: '1C1C1C',
    accent6: '1C1C1C',
  },
};

/** The deck's fonts, with levels that suit small type. */
function printedTheme(theme: Theme): Theme {
  const { template: _, ...rest } = theme;
  const levels = theme.levels.map((level, i) => ({
    ...level,
    scale: 1,
    color: 'text' as const,
    bulletColor: 'text' as const,
    indent: 14 * (i + 1),
    hanging: 11,
    spaceBefore: 0.28,
  }));
  return { ...rest, palette: PRINTED, levels: levels as unknown as Theme['levels'] };
}

interface Draft {
  slides: PlacedSlide[];
  texts: SheetText[];
  lines: Sheet['lines'][number][];
}

export class Flow {
  readonly #theme: Theme;
  readonly #title: string;
  readonly #drafts: Draft[] = [];
  readonly width: number;
  readonly height: number;
  #tables = 0;
  /** A slide stands right above: what is below it belongs to it. */
  #belowSlide = false;
  /** Where the next paragraph begins. */
  y = MARGIN;

  constructor([width, height]: readonly [number, number], theme: Theme, title: string) {
    this.width = width;
    this.height = height;
    this.#theme = printedTheme(theme);
    this.#title = title;
  }

  get room(): number {
    return this.width - 2 * MARGIN;
  }
  get bottom(): number {
    return this.height - MARGIN;
  }
  get sheet(): Draft {
    return this.#drafts.at(-1) ?? this.begin();
  }

  /** Begins a sheet. */
  begin(): Draft {
    const draft: Draft = { slides: [], texts: [], lines: [] };
    this.#drafts.push(draft);
    this.y = MARGIN;
    return draft;
  }

  /** @param together Points below it that must stand on the same sheet. */
  put({ para, language, size: own, space: before, ...what }: Wanted, together = 0): void {
    const size = own ?? (what.as === 'heading' ? (what.level === 1 ? SIZES.section : SIZES.slide) : SIZES.text);
    const frame = this.#frame(what.as === 'heading');
    const theme = this.#theme;
    const { lines, lineHeight, setting } = measurePara(para, frame, theme, size);
    const [set] = placeText([para], frame, theme, size);
    if (set === undefined) return;
    const begun = this.sheet;
    const atTop = this.y === MARGIN && begun.texts.length === 0;
    const space =
      atTop || this.#belowSlide
        ? 0
        : what.as === 'heading'
          ? size * (what.level === 1 ? 1.6 : 1.1)
          : (before ?? lineHeight * setting.spaceBefore);
    const atLeast = Math.min(2, Math.max(1, lines.length)) * lineHeight + together;
    this.#belowSlide = false;
    if (!atTop && this.y + space + atLeast > this.bottom) this.begin();
    else this.y += space;
    let from = 0;
    while (from < set.lines.length) {
      const fits = Math.max(1, Math.floor((this.bottom - this.y + 0.01) / lineHeight));
      const to = Math.min(set.lines.length, from + fits);
      const part = portion(set, from, to, this.y - from * lineHeight);
      const pieces = drawParagraph(part, frame, theme, PRINTED).map(drawnPiece);
      this.sheet.texts.push({
        ...what,
        marked: from === 0 && setting.bullet !== null && set.bulletX !== null,
        continues: from > 0,
        language,
        x: MARGIN,
        y: this.y,
        width: this.room,
        height: (to - from) * lineHeight,
        pieces,
      });
      this.y += (to - from) * lineHeight;
      from = to;
      if (from < set.lines.length) this.begin();
    }
  }

  /** A slide, as wide as is left beside nothing; the text below it begins on the same sheet. */
  slide(index: number, ratio: number): void {
    const width = this.room * SLIDE_WIDTH;
    const height = width * ratio;
    const begun = this.sheet;
    const atTop = this.y === MARGIN && begun.texts.length === 0 && begun.slides.length === 0;
    if (!atTop && this.y + GAP + height + TOGETHER > this.bottom) this.begin();
    else if (!atTop) this.y += GAP;
    const x = this.#theme.mirrored === true ? this.width - MARGIN - width : MARGIN;
    this.sheet.slides.push({ index, x, y: this.y, width, height, framed: true });
    this.y += height + GAP / 2;
    this.#belowSlide = true;
  }

  /** A table over the whole width, a line below each row; a row that no sheet has room for goes on over several. */
  table({ slide, language, rows }: Passage & { readonly kind: 'table' }): void {
    const table = this.#tables++;
    const numbers = numberColumns(rows);
    this.#belowSlide = false;
    this.y += GAP / 2;
    rows.forEach(({ header, cells }, row) => {
      const set = this.#setRow(cells, header, numbers);
      const height = Math.max(...set.map(({ lines, lineHeight }) => Math.max(1, lines) * lineHeight));
      if (this.y + CELL_GAP + height > this.bottom && this.y > MARGIN) this.begin();
      let from = set.map(() => 0);
      do {
        if (from.some((line) => line > 0)) this.begin();
        const top = this.y + CELL_GAP / 2;
        const to = set.map(({ lines, lineHeight }, i) =>
          Math.min(lines, from[i]! + Math.max(1, Math.floor((this.bottom - top) / lineHeight))),
        );
        set.forEach(({ column, para, frame, x, width, lineHeight }, i) => {
          const [first, end] = [from[i]!, to[i]!];
          // What has all been said has nothing on the next sheet.
          if (first > 0 && first === end) return;
          const part = para === undefined ? undefined : portion(para, first, end, top - first * lineHeight);
          this.sheet.texts.push({
            ...{ as: 'cell', cell: { table, row, column, header }, level: 1, marked: false, continues: first > 0 },
            ...{ slide, language, x, y: top, width, height: (end - first) * lineHeight },
            pieces: part === undefined ? [] : drawParagraph(part, frame, this.#theme, PRINTED).map(drawnPiece),
          });
        });
        this.y = top + Math.max(...set.map(({ lineHeight }, i) => Math.max(1, to[i]! - from[i]!) * lineHeight));
        this.y += CELL_GAP / 2;
        this.sheet.lines.push({ x: MARGIN, y: this.y, width: this.room });
        from = to;
      } while (set.some(({ lines }, i) => from[i]! < lines));
    });
    this.y += GAP / 2;
  }

  /** The cells of a row, each set in its part of the width. @param numbers Columns that end at the right. */
  #setRow(cells: readonly PassageCell[], header: boolean, numbers: ReadonlySet<number>) {
    const columns = cells.reduce((sum, one) => sum + one.columns, 0);
    const theme = this.#theme;
    let next = 0;
    return cells.map(({ para, columns: span }) => {
      const column = next;
      next += span;
      const width = (this.room / columns) * span - CELL_GAP;
      const from = theme.mirrored === true ? columns - next : column;
      const x = MARGIN + (this.room / columns) * from;
      const usual = this.#frame(header, x, width);
      // Numbers end below each other, and their heads with them.
      const frame: Frame = numbers.has(column) && span === 1 ? { ...usual, align: 'right' } : usual;
      const [set] = placeText([para], frame, theme, SIZES.text);
      const { lineHeight } = measurePara(para, frame, theme, SIZES.text);
      return { column, para: set, lines: set?.lines.length ?? 0, frame, x, width, lineHeight };
    });
  }

  sheets(): readonly Sheet[] {
    return this.#drafts.map((draft, i) => ({
      width: this.width,
      height: this.height,
      ...draft,
      foot: this.#foot(i + 1, this.#drafts.length),
    }));
  }

  #foot(number: number, of: number): Sheet['foot'] {
    const frame: Frame = { ...this.#frame(false), y: emuFromPt(this.height - FOOT - SIZES.foot) };
    const { lines } = measurePara(plain(this.#title), frame, this.#theme, SIZES.foot);
    const [first] = lines;
    const title = first === undefined ? '' : this.#title.slice(first.start, first.end);
    const [begin, end] = this.#theme.mirrored === true ? (['right', 'left'] as const) : (['left', 'right'] as const);
    const set = [
      ...placeText([plain(title)], { ...beside(frame, begin), align: begin }, this.#theme, SIZES.foot),
      ...placeText([plain(`${number} / ${of}`)], { ...frame, align: end }, this.#theme, SIZES.foot),
    ];
    return set.flatMap((para) => drawParagraph(para, frame, this.#theme, { ...PRINTED, text: GREY }).map(drawnPiece));
  }

  #frame(strong: boolean, x = MARGIN, width = this.room): Frame {
    return {
      role: 'body',
      anchor: 'top',
      align: this.#theme.mirrored === true ? 'right' : 'left',
      x: emuFromPt(x),
      y: 0 as Emu,
      width: emuFromPt(width),
      height: emuFromPt(this.height),
      style: {
        font: strong ? 'heading' : 'body',
        bold: strong,
        color: 'text',
        sizes: [pt(SIZES.text)],
        lineSpacing: 1.12,
      },
    };
  }
}

const NUMBER = 80 * EMU_PER_POINT;
/** Without the room of the sheet's number at its other end. */
const beside = (frame: Frame, begin: 'left' | 'right'): Frame => ({
  ...frame,
  x: (frame.x + (begin === 'left' ? 0 : NUMBER)) as Emu,
  width: (frame.width - NUMBER) as Emu,
});

/** Some lines of a paragraph, so far down; its mark stands before the first. */
function portion(set: SetParagraph, from: number, to: number, down: number): SetParagraph {
  const lines = set.lines
    .slice(from, to)
    .map((line) => ({ ...line, baseline: (line.baseline + emuFromPt(down)) as Emu }));
  return { ...set, lines, bulletX: from === 0 ? set.bulletX : null };
}

/** Columns whose cells below the head are numbers, but for a few. */
function numberColumns(rows: (Passage & { readonly kind: 'table' })['rows']): ReadonlySet<number> {
  const counts = new Map<number, { numbers: number; filled: number }>();
  for (const { header, cells } of rows) {
    if (header) continue;
    let column = 0;
    for (const { para, columns } of cells) {
      const text = para.runs
        .map((run) => run.text)
        .join('')
        .trim();
      const count = getOrMake(counts, column, () => ({ numbers: 0, filled: 0 }));
      if (text !== '') count.filled++;
      if (/^[^\p{L}]*\d[^\p{L}]*$/u.test(text)) count.numbers++;
      column += columns;
    }
  }
  return new Set([...counts].flatMap(([at, { numbers, filled }]) => (numbers > filled * MOSTLY ? [at] : [])));
}
const MOSTLY = 0.75;
