/** Draws a slide as SVG from drawing data; the paragraphs on it can be chosen and opened for writing. */
import { memo, type KeyboardEvent, type MouseEvent } from 'react';
import { groupBy, type DrawnShape, type DrawnPiece, type DrawnText, type PartId, type SlideId } from '@alvex/core';
import type { Drawing } from '../worker/shown.ts';
import { t } from '../words/words.ts';
import { Backdrop } from './backdrop.tsx';
import { PictureDrawing } from './drawn-picture.tsx';

export const SLIDE_POINTS = { width: 960, height: 540 };

export interface SlideActions {
  /** Called with `title` or a part's id. */
  readonly choose: (target: PartId | 'title') => void;
  readonly write: (target: PartId | 'title') => void;
}

interface Props {
  readonly drawing: Drawing | undefined;
  readonly deck: string;
  readonly number: number;
  readonly label: string;
  /** Parts that are marked as chosen. */
  readonly chosen?: ReadonlySet<string> | undefined;
  /** What is meant of a table that is. */
  readonly words?: string | undefined;
  /** Text that is being written elsewhere, and so not drawn. */
  readonly hidden?: string | undefined;
  readonly actions?: SlideActions | undefined;
  /** Of points that come one after the other, how many are seen; all where it is null. */
  readonly upTo?: number | null;
  /** Links can be followed; those within the deck by this. */
  readonly follow?: ((to: SlideId) => void) | undefined;
}

/** Lies behind text and around pictures that are chosen, on slides of any colours. */
const CHOSEN = '#C98A12';
/** Pictures, charts and tables that are chosen; of a table the cells that have the words, where some have. */
const framed = (drawing: Drawing | undefined, chosen: ReadonlySet<string>, words: string | undefined) =>
  drawing === undefined
    ? []
    : [
        ...drawing.pictures.filter(({ part }) => part !== null && chosen.has(part)),
        ...drawing.texts.filter(({ chart }) => chart !== undefined && chosen.has(chart)),
        ...[...groupBy(drawing.texts, ({ table }) => table)].flatMap(([table, cells]) =>
          table === undefined || !chosen.has(table) ? [] : cellsWith(cells, words),
        ),
      ];
type Rectangle = Pick<DrawnText, 'x' | 'y' | 'width' | 'height'>;
function cellsWith(cells: readonly DrawnText[], words: string | undefined): readonly Rectangle[] {
  const having = words === undefined ? [] : cells.filter(({ pieces }) => textOf(pieces).includes(words));
  if (having.length > 0) return having;
  const [x, y] = [Math.min(...cells.map((cell) => cell.x)), Math.min(...cells.map((cell) => cell.y))];
  const right = Math.max(...cells.map((cell) => cell.x + cell.width));
  const bottom = Math.max(...cells.map((cell) => cell.y + cell.height));
  return [{ x, y, width: right - x, height: bottom - y }];
}
const textOf = (pieces: readonly DrawnPiece[]): string => pieces.map(({ text }) => text).join('');

function shapePath(shape: DrawnShape, key: number) {
  const { turned, placed } = shape;
  const transform =
    turned !== undefined
      ? `rotate(${turned.join(' ')})`
      : placed !== undefined
        ? `translate(${placed[0]} ${placed[1]}) scale(${placed[2]})`
        : undefined;
  return (
    <path
      key={key}
      d={shape.d}
      transform={transform}
      fill={shape.fill === null ? 'none' : `#${shape.fill}`}
      stroke={shape.stroke === null ? undefined : `#${shape.stroke}`}
      strokeWidth={shape.strokeWidth}
      fillOpacity={shape.opacity}
      strokeDasharray={shape.dashes}
      strokeLinecap={placed === undefined ? undefined : 'round'}
      strokeLinejoin={placed === undefined ? undefined : 'round'}
    />
  );
}

export function pieceText(piece: DrawnPiece, key: number, anchor?: 'start' | 'end') {
  const decoration = piece.strike ? 'line-through' : piece.link ? 'underline' : undefined;
  return (
    <text
      key={key}
      x={piece.x}
      y={piece.y}
      fontSize={piece.size}
      fontWeight={piece.bold ? 700 : 400}
      fontStyle={piece.italic ? 'italic' : 'normal'}
      fill={`#${piece.color}`}
      textDecoration={decoration}
      textAnchor={anchor}
      direction={piece.rtl ? 'rtl' : undefined}
      xmlSpace="preserve"
      style={{
        fontFamily: `'${piece.family}', var(--other-scripts)`,
        fontVariantLigatures: 'none',
        textRendering: 'geometricPrecision',
      }}
    >
      {piece.text}
    </text>
  );
}

function Paragraph({
  text,
  chosen,
  actions,
  follow,
}: {
  readonly text: DrawnText;
  readonly chosen: boolean;
  readonly actions: SlideActions | undefined;
  readonly follow: Props['follow'];
}) {
  const { target } = text;
  const pieces = text.pieces.map((piece, i) =>
    follow !== undefined && piece.to !== undefined ? (
      <a
        key={i}
        href="#"
        onClick={(event) => {
          event.preventDefault();
          // On a slide that is left, it would be pressed again by Space.
          event.currentTarget.blur();
          follow(piece.to!);
        }}
      >
        {pieceText(piece, i, text.anchor)}
      </a>
    ) : follow !== undefined && piece.link !== undefined && !piece.link.startsWith('#') ? (
      <a key={i} href={piece.link} target="_blank" rel="noreferrer noopener">
        {pieceText(piece, i, text.anchor)}
      </a>
    ) : (
      pieceText(piece, i, text.anchor)
    ),
  );
  const ground = (
    <rect
      x={text.x - 6}
      y={text.y - 2}
      width={text.width + 12}
      height={text.height + 4}
      fill={chosen ? CHOSEN : '#000'}
      fillOpacity={chosen ? 0.16 : 0}
    />
  );
  if (target === null || actions === undefined)
    return (
      <g>
        {chosen && ground}
        {pieces}
      </g>
    );
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    actions.write(target);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={t('Write: {text}', { text: text.pieces.map((piece) => piece.text).join(' ') })}
      data-target={target}
      onClick={(event) => {
        event.stopPropagation();
        actions.choose(target);
      }}
      onDoubleClick={() => actions.write(target)}
      // By key; a pointer chooses with its click, until which nothing may move.
      onFocus={({ currentTarget }) => currentTarget.matches(':focus-visible') && actions.choose(target)}
      onKeyDown={onKeyDown}
      style={{ cursor: 'text' }}
    >
      {ground}
      <g aria-hidden="true">{pieces}</g>
    </g>
  );
}

export const SlideDrawing = memo(function SlideDrawing({
  drawing,
  deck,
  number,
  label,
  chosen,
  words,
  hidden,
  actions,
  upTo = null,
  follow,
}: Props) {
  const { width, height } = drawing?.size ?? SLIDE_POINTS;
  const linked =
    follow !== undefined &&
    (drawing?.texts.some(({ pieces }) => pieces.some(({ link, to }) => (to ?? link) !== undefined)) ?? false);
  const choosePart = (event: MouseEvent, part: PartId) => {
    if (actions === undefined) return;
    event.stopPropagation();
    actions.choose(part);
  };
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      style={{ display: 'block' }}
      // Within a picture nothing could be reached.
      role={actions === undefined && !linked ? 'img' : 'group'}
      aria-label={label}
    >
      <rect
        width={width}
        height={height}
        fill={drawing === undefined ? 'var(--chakra-colors-card)' : `#${drawing.ground}`}
      />
      {drawing !== undefined && drawing.backdrop.length > 0 && <Backdrop items={drawing.backdrop} deck={deck} />}
      {drawing?.behind.map((picture, i) => (
        <PictureDrawing key={i} picture={picture} deck={deck} />
      ))}
      {drawing?.shapes.map(shapePath)}
      {drawing?.pictures.map((picture, i) => (
        <PictureDrawing
          key={i}
          picture={picture}
          deck={deck}
          onClick={(event) => picture.part !== null && choosePart(event, picture.part)}
        />
      ))}
      {drawing?.texts.map((text, i) =>
        (text.target !== null && text.target === hidden) || (upTo !== null && (text.step ?? 0) > upTo) ? null : (
          <Paragraph
            key={i}
            text={text}
            chosen={text.target !== null && (chosen?.has(text.target) ?? false)}
            actions={actions}
            follow={follow}
          />
        ),
      )}
      {actions !== undefined && drawing !== undefined && <ChartFields texts={drawing.texts} choose={choosePart} />}
      {chosen !== undefined &&
        framed(drawing, chosen, words).map(({ x, y, width: w, height: h }, i) => (
          <rect key={i} x={x} y={y} width={w} height={h} fill="none" stroke={CHOSEN} strokeWidth={5} />
        ))}
      {drawing?.number && <SlideNumber place={drawing.number} number={number} />}
    </svg>
  );
});

/** Charts have no words of their own to choose them by: all of their place does it. */
function ChartFields({
  texts,
  choose,
}: {
  readonly texts: Drawing['texts'];
  readonly choose: (event: MouseEvent, part: PartId) => void;
}) {
  return texts.map(({ chart, x, y, width, height }, i) =>
    chart === undefined ? null : (
      <rect
        key={i}
        x={x}
        y={y}
        width={width}
        height={height}
        fill="#000"
        fillOpacity={0}
        data-chart={chart}
        onClick={(event) => choose(event, chart)}
      />
    ),
  );
}

function SlideNumber({ place, number }: { readonly place: NonNullable<Drawing['number']>; readonly number: number }) {
  return (
    <text
      x={place.x}
      y={place.y}
      textAnchor={place.anchor}
      fontFamily={`'${place.family}'`}
      fontSize={place.size}
      fill={`#${place.color}`}
    >
      {number}
    </text>
  );
}
