/** Strokes over a slide. */
import { chakra } from '@chakra-ui/react';
import { GOES, pathOf, STAYS, type Stroke } from './strokes.ts';

const Over = chakra('svg', {
  base: {
    position: 'absolute',
    inset: 0,
    width: '100%',
    height: '100%',
    pointerEvents: 'none',
    overflow: 'hidden',
    '& path': { fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round', vectorEffect: 'non-scaling-stroke' },
    '& [data-lifted]': {
      opacity: 0,
      '@media (prefers-reduced-motion: no-preference)': {
        transition: `opacity ${GOES}ms linear ${STAYS - GOES}ms`,
      },
      '@media (prefers-reduced-motion: reduce)': { transition: `opacity 0s ${STAYS - GOES}ms` },
    },
  },
});

export function StrokesDrawing({ strokes }: { readonly strokes: readonly Stroke[] }) {
  return (
    <Over viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
      {strokes.map((stroke) => (
        <g key={stroke.id} data-stroke="" {...(stroke.lifted ? { 'data-lifted': '' } : {})}>
          {/* Seen on dark and on light alike. */}
          <path d={pathOf(stroke)} stroke="#FFFFFF" strokeOpacity={0.5} style={{ strokeWidth: '0.9vmin' }} />
          <path d={pathOf(stroke)} stroke="#B4451F" style={{ strokeWidth: '0.6vmin' }} />
        </g>
      ))}
    </Over>
  );
}
