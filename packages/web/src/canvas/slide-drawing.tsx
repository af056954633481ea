/** Draws a slide as SVG from drawing data; the paragraphs on it can be chosen and opened for writing. */
import { memo, type KeyboardEvent, type MouseEvent } from 'react';
import { pictureUrl } from '../api/client.ts';
import type { DrawnPiece, DrawnText, Drawing } from '../worker/protocol.ts';

export const SLIDE_POINTS = { width: 960, height: 540 };

export interface SlideActions {
  /** Called with `title` or a part's id. */
  readonly choose: (target: string) => void;
  readonly write: (target: string) => void;
}

interface Props {
  readonly drawing: Drawing | undefined;
  readonly deck: string;
  readonly number: number;
  readonly label: string;
  /** Parts that are marked as chosen. */
  readonly chosen?: ReadonlySet<string> | undefined;
  /** Text that is being written elsewhere, and so not drawn. */
  readonly hidden?: string | undefined;
  readonly actions?: SlideActions | undefined;
}

function pieceText(piece: DrawnPiece, key: number) {
  const decoration = piece.strike ? 'line-through' : piece.link ? 'underline' : undefined;
  return (
    <text
      key={key}
      x={piece.x}
      y={piece.y}
      fontFamily={`'${piece.family}'`}
      fontSize={piece.size}
      fontWeight={piece.bold ? 700 : 400}
      fontStyle={piece.italic ? 'italic' : 'normal'}
      fill={`#${piece.color}`}
      textDecoration={decoration}
      xmlSpace="preserve"
      style={{ fontVariantLigatures: 'none', textRendering: 'geometricPrecision' }}
    >
      {piece.text}
    </text>
  );
}

function Paragraph({
  text,
  chosen,
  actions,
}: {
  readonly text: DrawnText;
  readonly chosen: boolean;
  readonly actions: SlideActions | undefined;
}) {
  const { target } = text;
  const pieces = text.pieces.map(pieceText);
  if (target === null || actions === undefined) return <g>{pieces}</g>;
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    actions.write(target);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Write: ${text.pieces.map((piece) => piece.text).join(' ')}`}
      data-target={target}
      onClick={(event) => {
        event.stopPropagation();
        actions.choose(target);
      }}
      onDoubleClick={() => actions.write(target)}
      onKeyDown={onKeyDown}
      style={{ cursor: 'text' }}
    >
      <rect
        x={text.x - 6}
        y={text.y - 2}
        width={text.width + 12}
        height={text.height + 4}
        fill={chosen ? '#C98A12' : '#000'}
        fillOpacity={chosen ? 0.16 : 0}
      />
      {pieces}
    </g>
  );
}

export const SlideDrawing = memo(function SlideDrawing({
  drawing,
  deck,
  number,
  label,
  chosen,
  hidden,
  actions,
}: Props) {
  const { width, height } = SLIDE_POINTS;
  const choosePicture = (event: MouseEvent, part: string) => {
    if (actions === undefined) return;
    event.stopPropagation();
    actions.choose(part);
  };
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      style={{ display: 'block' }}
      role={actions === undefined ? 'img' : 'group'}
      aria-label={label}
    >
      <rect
        width={width}
        height={height}
        fill={drawing === undefined ? 'var(--chakra-colors-card)' : `#${drawing.ground}`}
      />
      {drawing?.shapes.map((shape, i) => (
        <rect key={i} x={shape.x} y={shape.y} width={shape.width} height={shape.height} fill={`#${shape.color}`} />
      ))}
      {drawing?.pictures.map((picture) => (
        <image
          key={picture.part}
          href={pictureUrl(deck, picture.picture)}
          x={picture.x}
          y={picture.y}
          width={picture.width}
          height={picture.height}
          preserveAspectRatio="none"
          onClick={(event) => choosePicture(event, picture.part)}
        >
          <title>{picture.alt ?? 'Picture without a description'}</title>
        </image>
      ))}
      {drawing?.texts.map((text, i) =>
        text.target !== null && text.target === hidden ? null : (
          <Paragraph
            key={i}
            text={text}
            chosen={text.target !== null && (chosen?.has(text.target) ?? false)}
            actions={actions}
          />
        ),
      )}
      {drawing?.number && (
        <text
          x={drawing.number.right}
          y={drawing.number.y}
          textAnchor="end"
          fontFamily={`'${drawing.number.family}'`}
          fontSize={drawing.number.size}
          fill={`#${drawing.number.color}`}
        >
          {number}
        </text>
      )}
    </svg>
  );
});
