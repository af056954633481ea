/** Draws a slide where it stands on a page, and says what its parts are, in the order in which they are read. */
import {
  describeChart,
  type DrawnBox,
  type DrawnParts,
  type DrawnPiece,
  type DrawnText,
  type SceneSlide,
} from '@alvex/core';
import { byLink } from '../drawn.ts';
import type { Images } from './images.ts';
import { paintBackdrop, paintPicture, paintShape } from './paint.ts';
import { artifact, into, type Element, type Reading } from './structure.ts';
import type { Typesetter } from './typesetter.ts';

export interface Tools {
  readonly doc: PDFKit.PDFDocument;
  readonly type: Typesetter;
  readonly images: Images;
  /** Name of the place where a slide begins; undefined for one that is not in the file. */
  readonly placeOf: (slide: SceneSlide['id']) => string | undefined;
}

/** @param level Of the heading that its title is. */
export function drawSlidePage(
  tools: Tools,
  slide: SceneSlide,
  parts: DrawnParts,
  level: 1 | 2,
  reading: Reading,
): void {
  const { doc, type, images } = tools;
  const { width, height } = parts.size;
  doc.save().rect(0, 0, width, height).clip();
  artifact(doc, () => {
    doc.rect(0, 0, width, height).fill(`#${parts.ground}`);
    for (const item of parts.backdrop) paintBackdrop(doc, item, images, type);
    for (const picture of parts.behind) paintPicture(doc, picture, images);
    for (const shape of parts.marks) paintShape(doc, shape);
  });
  // Shapes stand behind pictures, and these behind words: what is one element may be drawn in two turns.
  const figures = parts.boxes.map((box) => figureOf(tools, box, slide));
  parts.boxes.forEach(({ shapes }, i) => {
    if (shapes.length === 0) return;
    const draw = (): void => shapes.forEach((shape) => paintShape(doc, shape));
    const figure = figures[i];
    if (figure === undefined) artifact(doc, draw);
    else into(doc, figure, 'Figure', draw);
  });
  parts.boxes.forEach(({ pictures }, i) => {
    const figure = figures[i];
    for (const picture of pictures) {
      const draw = (): void => paintPicture(doc, picture, images);
      if (figure === undefined) artifact(doc, draw);
      else into(doc, figure, 'Figure', draw);
    }
  });
  parts.boxes.forEach((box, i) => {
    const figure = figures[i];
    if (figure !== undefined) {
      for (const { pieces } of box.texts)
        into(doc, figure, 'Figure', () => pieces.forEach((piece) => writePiece(tools, piece)));
      reading.add(figure);
    } else if (box.box.kind === 'table') tableOf(tools, box, slide, reading);
    else if (box.box.kind === 'text') textOf(tools, box, slide, level, reading);
  });
  artifact(doc, () => {
    for (const { pieces, anchor } of parts.foot) for (const piece of pieces) type.write(piece, anchor);
    const { number } = parts;
    if (number !== null)
      type.write({ ...number, text: String(slide.number), bold: false, italic: false }, number.anchor);
  });
  doc.restore();
}

/** A picture or a chart with what it shows; undefined for what is no figure, or only adorns. */
function figureOf({ doc }: Tools, { box }: DrawnBox, { title, languages }: SceneSlide): Element | undefined {
  if (box.kind !== 'picture' && box.kind !== 'chart') return undefined;
  const alt = box.kind === 'chart' ? describeChart(box.chart, title) : box.alt;
  if (alt === null || alt.trim() === '') return undefined;
  const lang = languages.get(box.part);
  return doc.struct('Figure', { alt, ...(lang === undefined ? {} : { lang }) });
}

function textOf(tools: Tools, { box, texts }: DrawnBox, slide: SceneSlide, level: 1 | 2, reading: Reading): void {
  if (box.kind !== 'text') return;
  const { doc } = tools;
  box.paras.forEach((para, i) => {
    const text = texts[i];
    if (text === undefined || text.pieces.length === 0) return;
    const lang = slide.languages.get(para.part);
    const said = lang === undefined ? {} : { lang };
    if (para.style === 'point') {
      const { label, body } = reading.item(para.level, lang);
      const pieces = text.bullet === true ? text.pieces.slice(1) : text.pieces;
      if (text.bullet === true) into(doc, label, 'Lbl', () => writePiece(tools, text.pieces[0]!));
      writeInto(tools, body, 'LBody', pieces);
      return;
    }
    // Numbers of figures mean nothing without their words.
    if (para.part === null && para.style === 'plain') {
      artifact(doc, () => text.pieces.forEach((piece) => writePiece(tools, piece)));
      return;
    }
    const tag =
      para.style === 'title'
        ? `H${level}`
        : para.style === 'quote'
          ? 'BlockQuote'
          : para.style === 'code'
            ? 'Code'
            : 'P';
    // A title that is said again on the next page of its slide is no second heading.
    const kind = para.style === 'title' && slide.part.continues ? 'P' : tag;
    writeInto(tools, reading.add(doc.struct(kind, said)), kind, text.pieces);
  });
}

function tableOf(tools: Tools, { box, texts }: DrawnBox, slide: SceneSlide, reading: Reading): void {
  if (box.kind !== 'table') return;
  const { doc } = tools;
  const lang = slide.languages.get(box.part);
  const table = reading.add(doc.struct('Table', lang === undefined ? {} : { lang }));
  const rows = new Map<number, Element>();
  box.cells.forEach((cell, i) => {
    let row = rows.get(cell.row);
    if (row === undefined) {
      rows.set(cell.row, (row = doc.struct('TR')));
      table.add(row);
    }
    const kind = cell.header ? 'TH' : 'TD';
    const element = doc.struct(kind);
    const attributes = {
      O: 'Table',
      ...(cell.header ? { Scope: 'Column' } : {}),
      ...(cell.rows > 1 ? { RowSpan: cell.rows } : {}),
      ...(cell.columns > 1 ? { ColSpan: cell.columns } : {}),
    };
    (element as unknown as { dictionary: { data: Record<string, unknown> } }).dictionary.data.A = attributes;
    row.add(element);
    writeInto(tools, element, kind, texts[i]?.pieces ?? []);
  });
}

/** Writes pieces as content of an element; links are elements of their own within it. */
export function writeInto(tools: Tools, element: Element, tag: string, pieces: readonly DrawnPiece[]): void {
  const { doc, placeOf } = tools;
  for (const group of byLink(pieces)) {
    const { link, to } = group[0]!;
    const place = to === undefined ? undefined : placeOf(to);
    const outside = link?.startsWith('#') === true ? undefined : link;
    if (outside === undefined && place === undefined) {
      into(doc, element, tag, () => group.forEach((piece) => writePiece(tools, piece)));
      continue;
    }
    const linked = doc.struct('Link');
    element.add(linked);
    into(doc, linked, 'Link', () => group.forEach((piece) => writePiece(tools, piece)));
    const options = { structParent: linked, Contents: new String(group.map(({ text }) => text).join(' ')) } as object;
    for (const { x, y, width, height } of lineRects(group))
      if (outside === undefined) doc.goTo(x, y, width, height, place!, options);
      else doc.link(x, y, width, height, outside, options);
  }
}

/** One rectangle a line. */
function lineRects(pieces: readonly DrawnPiece[]) {
  const lines = new Map<number, { left: number; right: number; size: number }>();
  for (const { x, y, width, size, rtl } of pieces) {
    const left = rtl === true ? x - width : x;
    const line = lines.get(y);
    if (line === undefined) lines.set(y, { left, right: left + width, size });
    else Object.assign(line, { left: Math.min(line.left, left), right: Math.max(line.right, left + width) });
  }
  return [...lines].map(([y, { left, right, size }]) => ({
    x: left,
    y: y - size,
    width: right - left,
    height: size * 1.3,
  }));
}

/** With its line below or through it. */
export function writePiece({ doc, type }: Tools, piece: DrawnPiece, anchor?: DrawnText['anchor']): void {
  type.write(piece, anchor);
  if (!piece.strike && piece.link === undefined) return;
  const left = piece.rtl === true ? piece.x - piece.width : piece.x;
  const y = piece.y + piece.size * (piece.strike ? -0.28 : 0.12);
  doc
    .lineWidth(Math.max(0.4, piece.size / 18))
    .strokeColor(`#${piece.color}`, 1)
    .moveTo(left, y)
    .lineTo(left + piece.width, y)
    .stroke();
}
