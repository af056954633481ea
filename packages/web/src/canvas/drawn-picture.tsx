/** A picture on a slide: cut, toned and rounded as its author chose. */
import { CORNER, isToned, LUMINANCE, toneLine, type DrawnPicture } from '@alvex/core';
import { useId, type MouseEvent } from 'react';
import { pictureUrl } from '../api/client.ts';
import { t } from '../words/words.ts';

interface Props {
  readonly picture: DrawnPicture;
  readonly deck: string;
  readonly onClick?: (event: MouseEvent) => void;
}

export function PictureDrawing({ picture, deck, onClick }: Props) {
  const id = useId();
  const { x, y, width, height, cut, corners, alt } = picture;
  const [left, top, right, bottom] = cut;
  const full = { width: width / (1 - left - right), height: height / (1 - top - bottom) };
  const toned = isToned(picture);
  return (
    <g onClick={onClick} data-picture={picture.part ?? undefined}>
      {corners === 'round' && (
        <clipPath id={`${id}c`}>
          <rect x={x} y={y} width={width} height={height} rx={Math.min(width, height) * CORNER} />
        </clipPath>
      )}
      {toned && <Tone id={`${id}t`} picture={picture} />}
      <g clipPath={corners === 'round' ? `url(#${id}c)` : undefined}>
        {picture.ground && <rect x={x} y={y} width={width} height={height} fill={`#${picture.ground}`} />}
        <svg x={x} y={y} width={width} height={height} overflow="hidden">
          <image
            href={pictureUrl(deck, picture.picture)}
            x={-left * full.width}
            y={-top * full.height}
            width={full.width}
            height={full.height}
            preserveAspectRatio="none"
            filter={toned ? `url(#${id}t)` : undefined}
          >
            <title>{alt ?? t('Picture without a description')}</title>
          </image>
        </svg>
      </g>
    </g>
  );
}

const GREY = `${`${LUMINANCE.join(' ')} 0 0 `.repeat(3)}0 0 0 1 0`;
const channel = (hex: string, at: number): number => parseInt(hex.slice(at * 2, at * 2 + 2), 16) / 255;

/** Grey, or from one colour to another; then brighter and with more contrast, by lines through the middle. */
function Tone({ id, picture }: { readonly id: string; readonly picture: DrawnPicture }) {
  const { filter, tint } = picture;
  const light = { type: 'linear', ...toneLine(picture) } as const;
  const between = (at: number) =>
    ({ type: 'table', tableValues: tint!.map((hex) => channel(hex, at)).join(' ') }) as const;
  return (
    <filter id={id} colorInterpolationFilters="sRGB" x="0" y="0" width="1" height="1">
      {filter !== 'none' && <feColorMatrix type="matrix" values={GREY} />}
      {tint !== null && (
        <feComponentTransfer>
          <feFuncR {...between(0)} />
          <feFuncG {...between(1)} />
          <feFuncB {...between(2)} />
        </feComponentTransfer>
      )}
      <feComponentTransfer>
        <feFuncR {...light} />
        <feFuncG {...light} />
        <feFuncB {...light} />
      </feComponentTransfer>
    </filter>
  );
}
