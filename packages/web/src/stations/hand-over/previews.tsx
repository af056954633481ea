/** How a file begins, small: a slide of it, or its first lines on paper. */
import { Box } from '@chakra-ui/react';
import type { FormatName } from '@alvex/core';
import { SLIDE_POINTS, SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { useAnswer } from '../../state/use-answer.ts';

/** @param number Of the page; the first that is shown where it is not said. */
export function SlidePreview({ deck, number }: { readonly deck: string; readonly number?: number | null }) {
  const { answer } = useAnswer({ what: 'drawn', number: number ?? null });
  const { width, height } = SLIDE_POINTS;
  return (
    <Box border="1px solid" borderColor="line" lineHeight={0} css={{ aspectRatio: `${width} / ${height}` }}>
      {answer !== null && <SlideDrawing drawing={answer.drawing} deck={deck} number={number ?? 1} label="" />}
    </Box>
  );
}

const PAPER = { width: 210, height: 270, edge: 16, line: 10.5 };

interface ExcerptProps {
  readonly format: FormatName;
  readonly source?: boolean;
  readonly only?: number | null;
}

export function ExcerptPreview({ format, source = false, only = null }: ExcerptProps) {
  const { answer } = useAnswer({ what: 'excerpt', format, source, only });
  const looks = format === 'docx' || format === 'odt' || format === 'html';
  return (
    <Box border="1px solid" borderColor="line" lineHeight={0} w="104px">
      <svg viewBox={`0 0 ${PAPER.width} ${PAPER.height}`} width="100%">
        <rect width={PAPER.width} height={PAPER.height} fill="#FFFFFF" />
        <g fill="#222222" fontFamily={looks ? 'inherit' : 'monospace'} style={{ whiteSpace: 'pre' }}>
          {(answer ?? []).map(({ text, level }, i) => (
            <text
              key={i}
              x={PAPER.edge}
              y={PAPER.edge + (i + 1) * PAPER.line}
              fontSize={level === 0 ? 8 : level === 1 ? 11 : 9.5}
              fontWeight={level > 0 ? 700 : 400}
            >
              {text}
            </text>
          ))}
        </g>
        <rect x={PAPER.width - PAPER.edge / 2} width={PAPER.edge / 2} height={PAPER.height} fill="#FFFFFF" />
        <rect y={PAPER.height - PAPER.edge / 2} width={PAPER.width} height={PAPER.edge / 2} fill="#FFFFFF" />
      </svg>
    </Box>
  );
}
