/** Handles beside the points of a drawn slide, by which they are dragged; and where they are dropped on it. */
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { branchOfPoint, type PartId, type DrawnText } from '@alvex/core';
import { SLIDE_POINTS } from '../../canvas/slide-drawing.tsx';
import { usePages } from '../../state/pages-store.ts';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { draggedOf, dropParts, takes } from './drag.ts';

const Grip = chakra('div', {
  base: {
    position: 'absolute',
    w: '5px',
    cursor: 'grab',
    opacity: 0,
    bg: 'pine',
    borderRadius: 'sm',
    _groupHover: { opacity: 0.25 },
    _hover: { opacity: '0.8 !important' },
    '@media (hover: none)': { opacity: 0.25 },
  },
});
const percent = (value: number, of: number): string => `${(value / of) * 100}%`;

type PartText = DrawnText & { readonly target: PartId };
const isPartText = (text: DrawnText): text is PartText => text.target !== null && text.target !== 'title';

export function PartGrips({ row, children }: { readonly row: Row; readonly children: ReactNode }) {
  const slide = useRef<HTMLDivElement>(null);
  const drawing = usePages((state) => state.drawings.get(row.key));
  const [at, setAt] = useState<number | null>(null);
  const size = drawing?.size ?? SLIDE_POINTS;
  const texts =
    row.matter !== null
      ? []
      : // A figure may say one point in two places; it is held by the first.
        (drawing?.texts
          .filter(isPartText)
          .filter(
            ({ target }, i, all) =>
              row.content.some(({ id }) => id === target) && all.findIndex((one) => one.target === target) === i,
          ) ?? []);
  const seen = useRef(texts);
  const high = useRef(size.height);
  useEffect(() => {
    seen.current = texts;
    high.current = size.height;
  });
  useEffect(() => {
    const element = slide.current;
    if (element === null) return;
    /** The text before which something is dropped; undefined behind all. */
    const before = (clientY: number): PartText | undefined => {
      const box = element.getBoundingClientRect();
      const y = ((clientY - box.top) / box.height) * high.current;
      return seen.current.find((text) => y < text.y + text.height / 2);
    };
    return dropTargetForElements({
      element,
      canDrop: ({ source }) => draggedOf(source)?.kind === 'parts' && takes(row, draggedOf(source)),
      onDrag: ({ location }) => {
        const text = before(location.current.input.clientY);
        const last = seen.current.at(-1);
        setAt(text?.y ?? (last === undefined ? high.current / 3 : last.y + last.height));
      },
      onDragLeave: () => setAt(null),
      onDrop: ({ source, location }) => {
        setAt(null);
        const dragged = draggedOf(source);
        if (dragged?.kind === 'parts')
          dropParts(row, dragged.parts, before(location.current.input.clientY)?.target ?? null);
      },
    });
  }, [row]);
  return (
    <Box ref={slide} position="relative" className="group">
      {children}
      {texts.map((text) => (
        <PartGrip key={text.target} text={text} size={size} parts={branchOfPoint(row.all, text.target)} />
      ))}
      {at !== null && (
        <Box position="absolute" left="5%" right="5%" h="2px" bg="pine" style={{ top: percent(at, size.height) }} />
      )}
    </Box>
  );
}

interface GripProps {
  readonly text: DrawnText;
  readonly size: { readonly width: number; readonly height: number };
  readonly parts: readonly PartId[];
}

function PartGrip({ text, size, parts }: GripProps) {
  const grip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (grip.current === null) return;
    return draggable({ element: grip.current, getInitialData: () => ({ dragged: { kind: 'parts', parts } }) });
  }, [parts]);
  const left = Math.min(...text.pieces.map(({ x }) => x), text.x);
  return (
    <Grip
      ref={grip}
      title={t('Drag to another place or slide')}
      data-grip={text.target}
      style={{
        left: `calc(${percent(left, size.width)} - 10px)`,
        top: percent(text.y, size.height),
        height: percent(text.height, size.height),
      }}
    />
  );
}
