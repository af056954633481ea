/** A picture whose edges are cut off, and whose point that must stay in sight is set, on the picture itself. */
import { chakra } from '@chakra-ui/react';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { PictureDress } from '@alvex/core';
import { t } from '../../words/words.ts';
import { cutTo, movedBy, placeOn, type Crop, type Edge, type Share } from './crop.ts';

const Whole = chakra('div', {
  base: { position: 'relative', lineHeight: 0, border: '1px solid', borderColor: 'line', touchAction: 'none' },
});
/** What is cut off, darkened. */
const Off = chakra('span', { base: { position: 'absolute', bg: 'rgba(0, 0, 0, 0.6)', pointerEvents: 'none' } });
const Target = chakra('button', {
  base: { position: 'absolute', inset: 0, bg: 'transparent', border: 0, p: 0, cursor: 'crosshair' },
});
const Point = chakra('span', {
  base: {
    position: 'absolute',
    w: '14px',
    h: '14px',
    border: '2px solid',
    borderColor: 'amber',
    borderRadius: '50%',
    boxShadow: '0 0 0 1px #000000, inset 0 0 0 1px #000000',
    transform: 'translate(-7px, -7px)',
    pointerEvents: 'none',
  },
});
/** What an edge is moved by; its keys are the numbers beside it. */
const Handle = chakra('span', {
  base: {
    position: 'absolute',
    bg: '#FFFFFF',
    border: '1px solid #000000',
    borderRadius: '2px',
    transform: 'translate(-50%, -50%)',
    _before: { content: '""', position: 'absolute', inset: '-8px' },
  },
});

const EDGES: readonly Edge[] = [0, 1, 2, 3];
const STEP = 0.05;
const STEPS: Readonly<Record<string, Share>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

interface Props {
  readonly url: string;
  readonly dress: PictureDress;
  readonly set: (change: Partial<PictureDress>) => void;
}

export function PictureCrop({ url, dress, set }: Props) {
  // What is under the hand; it stands until what it was made of has become it.
  const [held, setHeld] = useState<{ readonly of: string; readonly crop: Crop; readonly focus: Share } | null>(null);
  const before = JSON.stringify(dress);
  if (held !== null && held.of !== before) setHeld(null);
  const { crop, focus } = held?.of === before ? held : dress;
  const [left, top, right, bottom] = crop;
  const share = (event: PointerEvent<HTMLElement>): Share =>
    placeOn(event.currentTarget.closest('[data-whole]')!.getBoundingClientRect(), event);
  const hold = (event: PointerEvent<HTMLElement>, change: (at: Share) => Partial<{ crop: Crop; focus: Share }>) => {
    if (event.type === 'pointerdown') {
      if (event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
    } else if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    setHeld({ of: before, crop, focus, ...change(share(event)) });
  };
  const letGo = (as: PictureDress['as']) => {
    if (held?.of === before) set({ crop, focus, as });
  };
  const byKey = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    set({ as: 'fill', focus: movedBy(dress.focus, step) });
  };
  const at = (edge: Edge): { readonly left: string; readonly top: string } => {
    const across = edge === 0 ? left : edge === 2 ? 1 - right : (left + 1 - right) / 2;
    const down = edge === 1 ? top : edge === 3 ? 1 - bottom : (top + 1 - bottom) / 2;
    return { left: `${across * 100}%`, top: `${down * 100}%` };
  };
  return (
    <Whole data-whole="">
      <img src={url} alt="" draggable={false} style={{ maxHeight: 150, maxWidth: 220, userSelect: 'none' }} />
      <Off style={{ left: 0, top: 0, bottom: 0, width: `${left * 100}%` }} />
      <Off style={{ right: 0, top: 0, bottom: 0, width: `${right * 100}%` }} />
      <Off style={{ left: `${left * 100}%`, right: `${right * 100}%`, top: 0, height: `${top * 100}%` }} />
      <Off style={{ left: `${left * 100}%`, right: `${right * 100}%`, bottom: 0, height: `${bottom * 100}%` }} />
      <Target
        type="button"
        aria-label={t('What must stay in sight: {left} % from the left, {top} % from the top; arrows move it', {
          left: Math.round(focus[0] * 100),
          top: Math.round(focus[1] * 100),
        })}
        title={t('Press or drag to what must stay in sight; drag the edges to cut them off')}
        onPointerDown={(event) => hold(event, (to) => ({ focus: to }))}
        onPointerMove={(event) => hold(event, (to) => ({ focus: to }))}
        onPointerUp={() => letGo('fill')}
        onPointerCancel={() => setHeld(null)}
        onKeyDown={byKey}
      />
      {(dress.as === 'fill' || focus !== dress.focus) && (
        <Point style={{ left: `${focus[0] * 100}%`, top: `${focus[1] * 100}%` }} />
      )}
      {EDGES.map((edge) => (
        <Handle
          key={edge}
          aria-hidden="true"
          data-edge={edge}
          style={{
            ...at(edge),
            cursor: edge % 2 === 0 ? 'ew-resize' : 'ns-resize',
            width: edge % 2 === 0 ? 6 : 22,
            height: edge % 2 === 0 ? 22 : 6,
          }}
          onPointerDown={(event) => hold(event, (to) => ({ crop: cutTo(crop, edge, to) }))}
          onPointerMove={(event) => hold(event, (to) => ({ crop: cutTo(crop, edge, to) }))}
          onPointerUp={() => letGo(dress.as)}
          onPointerCancel={() => setHeld(null)}
        />
      ))}
    </Whole>
  );
}
