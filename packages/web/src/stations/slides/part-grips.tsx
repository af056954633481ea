/** Handles beside the points of a drawn slide, by which they are dragged; and where they are dropped on it. */
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { branchOfPoint, type PartId } from '@alvex/core';
import { SLIDE_POINTS } from '../../canvas/slide-drawing.tsx';
import { useDeck } from '../../state/deck-store.ts';
import type { DrawnText, Row } from '../../worker/protocol.ts';
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

export function PartGrips({ row, children }: { readonly row: Row; readonly children: ReactNode }) {
  const slide = useRef<HTMLDivElement>(null);
  const drawing = useDeck((state) => state.drawings.get(row.key));
  const [at, setAt] = useState<number | null>(null);
  const texts =
    row.matter !== null
      ? []
      : (drawing?.texts.filter(({ target }) => row.content.some(({ id }) => id === target)) ?? []);
  const seen = useRef(texts);
  useEffect(() => {
    seen.current = texts;
  });
  useEffect(() => {
    const element = slide.current;
    if (element === null) return;
    /** The text before which something is dropped; undefined behind all. */
    const before = (clientY: number): DrawnText | undefined => {
      const box = element.getBoundingClientRect();
      const y = ((clientY - box.top) / box.height) * SLIDE_POINTS.height;
      return seen.current.find((text) => y < text.y + text.height / 2);
    };
    return dropTargetForElements({
      element,
      canDrop: ({ source }) => draggedOf(source)?.kind === 'parts' && takes(row, draggedOf(source)),
      onDrag: ({ location }) => {
        const text = before(location.current.input.clientY);
        const last = seen.current.at(-1);
        setAt(text?.y ?? (last === undefined ? SLIDE_POINTS.height / 3 : last.y + last.height));
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
        <PartGrip key={text.target} text={text} parts={branchOfPoint(row.all, text.target!)} />
      ))}
      {at !== null && (
        <Box
          position="absolute"
          left="5%"
          right="5%"
          h="2px"
          bg="pine"
          style={{ top: percent(at, SLIDE_POINTS.height) }}
        />
      )}
    </Box>
  );
}

function PartGrip({ text, parts }: { readonly text: DrawnText; readonly parts: readonly PartId[] }) {
  const grip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (grip.current === null) return;
    return draggable({ element: grip.current, getInitialData: () => ({ dragged: { kind: 'parts', parts } }) });
  }, [parts]);
  const left = Math.min(...text.pieces.map(({ x }) => x), text.x);
  return (
    <Grip
      ref={grip}
      title="Drag to another place or slide"
      data-grip={text.target}
      style={{
        left: `calc(${percent(left, SLIDE_POINTS.width)} - 10px)`,
        top: percent(text.y, SLIDE_POINTS.height),
        height: percent(text.height, SLIDE_POINTS.height),
      }}
    />
  );
}
