/** What a template draws on its layouts and slides, as SVG. */
import { useId } from 'react';
import type { BackdropItem, Gradient } from '@alvex/core';
import { pictureUrl } from '../api/client.ts';

interface Props {
  readonly items: readonly BackdropItem[];
  readonly deck: string;
}

export function Backdrop({ items, deck }: Props) {
  const id = useId();
  return (
    <g>
      {items.map((item, i) => (
        <Item key={i} item={item} deck={deck} id={`${id}${i}`} />
      ))}
    </g>
  );
}

function Item({ item, deck, id }: { readonly item: BackdropItem; readonly deck: string; readonly id: string }) {
  switch (item.kind) {
    case 'shape': {
      const { d, fill, opacity, stroke, strokeWidth, dashes } = item;
      const shaded = fill !== null && typeof fill !== 'string';
      return (
        <>
          {shaded && <Shade id={id} gradient={fill} />}
          <path
            d={d}
            fill={fill === null ? 'none' : shaded ? `url(#${id})` : `#${fill}`}
            fillOpacity={opacity}
            fillRule="evenodd"
            stroke={stroke === null ? undefined : `#${stroke}`}
            strokeWidth={strokeWidth}
            strokeDasharray={dashes}
          />
        </>
      );
    }
    case 'picture': {
      const { picture, alt, box, cut, opacity, matrix, clip } = item;
      const [x, y, width, height] = box;
      const [left, top, right, bottom] = cut;
      const full = { width: width / (1 - left - right), height: height / (1 - top - bottom) };
      return (
        <g clipPath={clip === undefined ? undefined : `url(#${id})`}>
          {clip !== undefined && (
            <clipPath id={id}>
              <path d={clip} />
            </clipPath>
          )}
          <g transform={matrix === undefined ? undefined : `matrix(${matrix.join(' ')})`} opacity={opacity}>
            <svg x={x} y={y} width={width} height={height} overflow="hidden">
              <image
                href={pictureUrl(deck, picture)}
                x={-left * full.width}
                y={-top * full.height}
                width={full.width}
                height={full.height}
                preserveAspectRatio="none"
              >
                <title>{alt}</title>
              </image>
            </svg>
          </g>
        </g>
      );
    }
    case 'text':
      return (
        <text
          x={item.x}
          y={item.y}
          fontSize={item.size}
          fontWeight={item.bold ? 700 : 400}
          fontStyle={item.italic ? 'italic' : 'normal'}
          fill={`#${item.color}`}
          transform={item.matrix === undefined ? undefined : `matrix(${item.matrix.join(' ')})`}
          xmlSpace="preserve"
          style={{ fontFamily: `'${item.family}', var(--other-scripts)` }}
        >
          {item.text}
        </text>
      );
  }
}

function Shade({ id, gradient }: { readonly id: string; readonly gradient: Gradient }) {
  const stops = gradient.stops.map(({ at, color, opacity }, i) => (
    <stop key={i} offset={at} stopColor={`#${color}`} stopOpacity={opacity} />
  ));
  if ('from' in gradient) {
    const [[x1, y1], [x2, y2]] = [gradient.from, gradient.to];
    return (
      <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={x1} y1={y1} x2={x2} y2={y2}>
        {stops}
      </linearGradient>
    );
  }
  const [cx, cy] = gradient.middle;
  return (
    <radialGradient id={id} gradientUnits="userSpaceOnUse" cx={cx} cy={cy} r={gradient.radius}>
      {stops}
    </radialGradient>
  );
}
