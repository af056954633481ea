/** A printed page, small. */
import { Box } from '@chakra-ui/react';
import type { Sheet } from '@alvex/core';
import { pieceText, SlideDrawing } from '../../canvas/slide-drawing.tsx';
import type { Drawing } from '../../worker/shown.ts';

interface Props {
  readonly sheet: Sheet;
  readonly drawings: readonly Drawing[];
  readonly deck: string;
}

const UPRIGHT = 96; // pixels wide
const LYING = 150;

export function SheetDrawing({ sheet, drawings, deck }: Props) {
  const { width, height, slides, texts, lines, foot } = sheet;
  const onPaper = height > width;
  return (
    <Box
      flex="none"
      w={`${onPaper ? UPRIGHT : LYING}px`}
      border="1px solid"
      borderColor="line"
      lineHeight={0}
      aria-hidden="true"
    >
      <svg viewBox={`0 0 ${width} ${height}`} width="100%">
        <rect width={width} height={height} fill="#FFFFFF" />
        {slides.map((slide, i) => (
          <g key={slide.index}>
            <svg x={slide.x} y={slide.y} width={slide.width} height={slide.height}>
              <SlideDrawing drawing={drawings[i]} deck={deck} number={slide.index + 1} label="" />
            </svg>
            {slide.framed && (
              <rect x={slide.x} y={slide.y} width={slide.width} height={slide.height} fill="none" stroke="#9A9A9A" />
            )}
          </g>
        ))}
        {texts.map(({ pieces }, i) => (
          <g key={i}>{pieces.map((piece, at) => pieceText(piece, at))}</g>
        ))}
        {lines.map((line, i) => (
          <path key={i} d={`M${line.x} ${line.y}h${line.width}`} stroke="#B5B5B5" />
        ))}
        {foot.map((piece, i) => pieceText(piece, i))}
      </svg>
    </Box>
  );
}
