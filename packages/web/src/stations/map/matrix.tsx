/** The patch matrix: kinds of text down, destinations across, one plug in each row. */
import { chakra } from '@chakra-ui/react';
import { useMemo, useRef, type KeyboardEvent } from 'react';
import {
  blockText,
  DESTINATIONS,
  destinationsOf,
  pointLevel,
  TEXT_KINDS,
  textKindOf,
  type Block,
  type Destination,
  type TextKind,
} from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { listed } from '../../ui/format.ts';
import { DESTINATION_LABELS, KIND_LABELS } from '../../ui/labels.ts';
import { Mark } from '../../ui/mark.tsx';
import { Unseen } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

const Table = chakra('table', {
  base: {
    borderCollapse: 'collapse',
    w: '100%',
    minW: '680px',
    tableLayout: 'fixed',
    '& th': {
      fontWeight: 400,
      fontSize: '10.5px',
      color: 'soft',
      pb: '6px',
      verticalAlign: 'bottom',
      lineHeight: 1.25,
      textAlign: 'center',
      '&:first-of-type': { w: '240px' },
    },
    '& td': { borderTop: '1px solid', borderColor: 'line', h: '40px', textAlign: 'center', p: 0 },
    '& td.kind': { textAlign: 'left' },
  },
});
const Kind = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', columnGap: '12px', pr: '12px', fontSize: 'sm' },
});
const Sample = chakra('span', {
  base: {
    fontFamily: 'heading',
    fontSize: '11px',
    color: 'soft',
    gridColumn: '1 / -1',
    whiteSpace: 'nowrap',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
  },
});
const Hole = chakra('button', {
  base: {
    w: '36px',
    h: '32px',
    border: 0,
    bg: 'transparent',
    cursor: 'pointer',
    display: 'inline-grid',
    placeItems: 'center',
    p: 0,
    '&::before': {
      content: '""',
      display: 'block',
      w: '12px',
      h: '12px',
      borderRadius: '50%',
      border: '1px solid',
      borderColor: 'hole',
    },
    _hover: { '&::before': { borderColor: 'pine', bg: 'pineWash' } },
  },
  variants: {
    plug: {
      true: {
        '&::before': {
          w: '18px',
          h: '18px',
          bg: 'pine',
          borderColor: 'pine',
          boxShadow: '0 0 0 3px {colors.pineWash}',
        },
        _hover: { '&::before': { bg: 'pine' } },
      },
    },
  },
});

const HEADS: Readonly<Record<Destination, string>> = {
  section: t('section'),
  title: t('title'),
  point1: t('point 1'),
  point2: t('point 2'),
  point3: t('point 3'),
  point4: t('point 4'),
  point5: t('point 5'),
  slide: t('on slide'),
  notes: t('spoken'),
  out: t('left out'),
};
const SAMPLES = 3;

export function Matrix() {
  const blocks = useDeck((state) => state.blocks);
  const map = useDeck((state) => state.view?.map);
  const branches = useDeck((state) => state.view?.mapBranches) ?? [];
  const destinations = useDeck((state) => state.destinations);
  const found = useMemo(() => countKinds(blocks), [blocks]);
  const stands = useMemo(() => levelsOf(blocks, destinations), [blocks, destinations]);
  const table = useRef<HTMLTableElement>(null);
  if (map === undefined) return null;
  const turn = (kind: TextKind, to: Destination) => {
    if (map[kind] !== to) edit({ kind: 'map', name: null, map: { ...map, [kind]: to }, branches });
  };
  const onKeyDown = (event: KeyboardEvent, kind: TextKind) => {
    const choices = DESTINATIONS.filter((one) => destinationsOf(kind).includes(one));
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const next = choices[choices.indexOf(map[kind]) + step];
      if (next === undefined) return;
      turn(kind, next);
      requestAnimationFrame(() =>
        table.current?.querySelector<HTMLButtonElement>(`[data-kind="${kind}"] [aria-checked="true"]`)?.focus(),
      );
      return;
    }
    const rows = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (rows === undefined) return;
    event.preventDefault();
    const plugs = [...(table.current?.querySelectorAll<HTMLButtonElement>('[aria-checked="true"]') ?? [])];
    plugs[plugs.indexOf(event.currentTarget as HTMLButtonElement) + rows]?.focus();
  };
  return (
    <Table ref={table}>
      <thead>
        <tr>
          <th scope="col">
            <Unseen>{t('Kind of text')}</Unseen>
          </th>
          {DESTINATIONS.map((destination) => (
            <th key={destination} scope="col">
              <Mark destination={destination} size={26} />
              <br />
              {HEADS[destination]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {TEXT_KINDS.filter((kind) => found.has(kind)).map((kind) => {
          const { count, samples } = found.get(kind)!;
          return (
            <tr key={kind} role="radiogroup" aria-label={KIND_LABELS[kind]} data-kind={kind}>
              <td className="kind">
                <Kind>
                  <b>{KIND_LABELS[kind]}</b>
                  <chakra.span color="soft" fontSize="xs">
                    {count}
                  </chakra.span>
                  <Sample>{samples.join(' · ')}</Sample>
                  <Stands wanted={map[kind]} levels={stands.get(kind) ?? NONE} />
                </Kind>
              </td>
              {DESTINATIONS.map((destination) => (
                <td key={destination}>
                  {destinationsOf(kind).includes(destination) && (
                    <Hole
                      plug={map[kind] === destination}
                      role="radio"
                      aria-checked={map[kind] === destination}
                      aria-label={DESTINATION_LABELS[destination]}
                      title={`${KIND_LABELS[kind]}: ${DESTINATION_LABELS[destination]}`}
                      tabIndex={map[kind] === destination ? 0 : -1}
                      onClick={() => turn(kind, destination)}
                      onKeyDown={(event) => onKeyDown(event, kind)}
                    />
                  )}
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}

const NONE: readonly Destination[] = [];

/** Levels begin at 1 on every slide: what has nothing above it there stands higher than the map says. */
function Stands({ wanted, levels }: { readonly wanted: Destination; readonly levels: readonly Destination[] }) {
  if (pointLevel(wanted) === undefined || levels.length === 0 || (levels.length === 1 && levels[0] === wanted))
    return null;
  return (
    <chakra.span gridColumn="1 / -1" fontSize="11px" color="soft">
      {t('On the slides: {levels}', { levels: listed(levels.map((one) => HEADS[one])) })}
    </chakra.span>
  );
}

/** The levels at which points of each kind stand, the highest first. */
function levelsOf(
  blocks: readonly Block[],
  destinations: ReadonlyMap<string, Destination>,
): ReadonlyMap<TextKind, readonly Destination[]> {
  const found = new Map<TextKind, Set<Destination>>();
  for (const block of blocks) {
    const destination = destinations.get(block.id);
    const kind = destination === undefined || pointLevel(destination) === undefined ? undefined : textKindOf(block);
    if (kind === undefined) continue;
    const known = found.get(kind) ?? new Set();
    found.set(kind, known.add(destination!));
  }
  return new Map([...found].map(([kind, levels]) => [kind, DESTINATIONS.filter((one) => levels.has(one))]));
}

function countKinds(
  blocks: readonly Block[],
): ReadonlyMap<TextKind, { readonly count: number; readonly samples: readonly string[] }> {
  const found = new Map<TextKind, { count: number; samples: string[] }>();
  for (const block of blocks) {
    const kind = block.left === undefined ? textKindOf(block) : undefined;
    if (kind === undefined || (block.kind === 'paragraph' && block.role !== undefined && block.role !== 'caption'))
      continue;
    const known = found.get(kind) ?? { count: 0, samples: [] };
    found.set(kind, known);
    known.count++;
    const text = block.kind === 'picture' ? (block.alt ?? '') : blockText(block);
    if (known.samples.length < SAMPLES && text.trim() !== '') known.samples.push(text.slice(0, 60));
  }
  return found;
}
