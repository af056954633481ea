/** The patch matrix: kinds of text down, destinations across, one plug in each row. */
import { chakra } from '@chakra-ui/react';
import { memo, useMemo, type KeyboardEvent } from 'react';
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
import { mapInForce, useDeck, useMap } from '../../state/deck-store.ts';
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
  const map = useMap();
  const destinations = useDeck((state) => state.destinations);
  const found = useMemo(() => countKinds(blocks), [blocks]);
  const stands = useMemo(() => levelsOf(blocks, destinations), [blocks, destinations]);
  if (map === undefined) return null;
  return (
    <Table>
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
        {TEXT_KINDS.filter((kind) => found.has(kind)).map((kind) => (
          <Row
            key={kind}
            kind={kind}
            found={found.get(kind)!}
            to={map[kind]}
            stands={standsAt(map[kind], stands.get(kind))}
          />
        ))}
      </tbody>
    </Table>
  );
}

function turn(kind: TextKind, to: Destination): void {
  const laid = mapInForce(useDeck.getState());
  if (laid !== null && laid.map[kind] !== to)
    edit({ kind: 'map', name: null, map: { ...laid.map, [kind]: to }, branches: laid.branches });
}

function onKeyDown(event: KeyboardEvent<HTMLButtonElement>, kind: TextKind, to: Destination): void {
  const table = event.currentTarget.closest('table');
  const choices = DESTINATIONS.filter((one) => destinationsOf(kind).includes(one));
  const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
  if (step !== undefined) {
    event.preventDefault();
    const next = choices[choices.indexOf(to) + step];
    if (next === undefined) return;
    turn(kind, next);
    requestAnimationFrame(() =>
      table?.querySelector<HTMLButtonElement>(`[data-kind="${kind}"] [aria-checked="true"]`)?.focus(),
    );
    return;
  }
  const rows = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (rows === undefined) return;
  event.preventDefault();
  const plugs = [...(table?.querySelectorAll<HTMLButtonElement>('[aria-checked="true"]') ?? [])];
  plugs[plugs.indexOf(event.currentTarget) + rows]?.focus();
}

interface Kinds {
  readonly count: number;
  readonly samples: readonly string[];
}

/** One kind; the others are not drawn again when it goes elsewhere. @param stands Where it stands on slides, in words; empty where that is as the map says. */
const Row = memo(function Row({
  kind,
  found: { count, samples },
  to,
  stands,
}: {
  readonly kind: TextKind;
  readonly found: Kinds;
  readonly to: Destination;
  readonly stands: string;
}) {
  return (
    <tr role="radiogroup" aria-label={KIND_LABELS[kind]} data-kind={kind}>
      <td className="kind">
        <Kind>
          <b>{KIND_LABELS[kind]}</b>
          <chakra.span color="soft" fontSize="xs">
            {count}
          </chakra.span>
          <Sample>{samples.join(' · ')}</Sample>
          {stands !== '' && (
            <chakra.span gridColumn="1 / -1" fontSize="11px" color="soft">
              {stands}
            </chakra.span>
          )}
        </Kind>
      </td>
      {DESTINATIONS.map((destination) => (
        <td key={destination}>
          {destinationsOf(kind).includes(destination) && (
            <Hole
              plug={to === destination}
              role="radio"
              aria-checked={to === destination}
              aria-label={DESTINATION_LABELS[destination]}
              title={`${KIND_LABELS[kind]}: ${DESTINATION_LABELS[destination]}`}
              tabIndex={to === destination ? 0 : -1}
              onClick={() => turn(kind, destination)}
              onKeyDown={(event) => onKeyDown(event, kind, to)}
            />
          )}
        </td>
      ))}
    </tr>
  );
});

/** Levels begin at 1 on every slide: what has nothing above it there stands higher than the map says. */
const standsAt = (wanted: Destination, levels: readonly Destination[] = []): string =>
  pointLevel(wanted) === undefined || levels.length === 0 || (levels.length === 1 && levels[0] === wanted)
    ? ''
    : t('On the slides: {levels}', { levels: listed(levels.map((one) => HEADS[one])) });

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

function countKinds(blocks: readonly Block[]): ReadonlyMap<TextKind, Kinds> {
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
