/** The ledger: where every word of the document went and why. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import {
  blockText,
  DESTINATIONS,
  type Destination,
  type Block,
  type LedgerEntry,
  type LeftOutReason,
} from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { count, grouped } from '../../ui/format.ts';
import { DESTINATION_LABELS } from '../../ui/labels.ts';
import { LEFT } from '../../ui/left-labels.ts';
import { PassageMark } from '../shared/passage-mark.tsx';
import { Action, Heading, Notice, Select, Small } from '../../ui/recipes.tsx';
import { useRows, VirtualRows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';
import type { PlacedEntry } from '../../worker/questions.ts';

const Entry = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '34px minmax(0, 1fr) 70px 170px 60px',
    gap: '12px',
    alignItems: 'center',
    borderTop: '1px solid',
    borderColor: 'line',
    py: '6px',
    fontSize: 'sm',
    '@media (max-width: 640px)': {
      gridTemplateColumns: '34px minmax(0, 1fr) 60px',
      '& > :nth-of-type(n+4)': { display: 'none' },
    },
  },
});

type Filter = 'all' | LedgerEntry['account'];
const FILTERS: readonly { readonly name: Filter; readonly label: string }[] = [
  { name: 'all', label: t('All') },
  { name: 'slides', label: t('On slides') },
  { name: 'notes', label: t('Spoken') },
  { name: 'leftOut', label: t('Left out') },
  { name: 'lost', label: t('Lost') },
];
const REASONS: Readonly<Record<LeftOutReason, string>> = {
  'by-mark': t('you turned its mark'),
  'by-map': t('the map leaves this kind out'),
  shortened: t('the speaker notes are shortened'),
  contents: t('table of contents'),
  furniture: t('not part of the text'),
  deleted: t('you took it out'),
  'no-picture': t('the picture is not in the file'),
  'no-words': t('no words in it'),
  removed: t('you took it off'),
};
export function WordsPage() {
  const sums = useDeck((state) => state.view?.sums);
  const { answer: ledger } = useAnswer({ what: 'ledger' });
  const [filter, setFilter] = useState<Filter>('all');
  const [mark, setMark] = useState<Destination | 'any'>('any');
  const destinations = useDeck((state) => state.destinations);
  const entries = useMemo(
    () =>
      (ledger ?? []).filter(
        (entry) =>
          (filter === 'all' || entry.account === filter) &&
          (mark === 'any' || (destinations.get(entry.block) ?? 'out') === mark),
      ),
    [ledger, filter, mark, destinations],
  );
  if (sums === undefined) return null;
  const amounts: Readonly<Record<Filter, number>> = {
    all: sums.document,
    slides: sums.slides,
    notes: sums.notes,
    leftOut: sums.leftOut,
    lost: sums.lost,
  };
  const balanced = sums.slides + sums.notes + sums.leftOut === sums.document;
  return (
    <>
      <div>
        <Heading>{t('Where every word went')}</Heading>
        <Small data-testid="ledger-sum">
          {t('{document} words in the document = {slides} on slides + {notes} spoken + {leftOut} left out{lost}', {
            document: grouped(sums.document),
            slides: grouped(sums.slides),
            notes: grouped(sums.notes),
            leftOut: grouped(sums.leftOut),
            lost: balanced ? t('. Nothing is lost.') : t(' + {lost} lost.', { lost: grouped(sums.lost) }),
          })}
        </Small>
      </div>
      {!balanced && (
        <Notice tone="fault">
          {t('{n} words of the document stand nowhere. That is a fault of the program; they are listed under Lost.', {
            count: sums.lost,
          })}
        </Notice>
      )}
      <Box display="flex" gap="8px" flexWrap="wrap" role="group" aria-label={t('Show')}>
        {FILTERS.map(({ name, label }) => (
          <Action
            key={name}
            size="small"
            look={filter === name ? 'chosen' : 'plain'}
            aria-pressed={filter === name}
            onClick={() => setFilter(name)}
          >
            {label} <chakra.span color="soft">{grouped(amounts[name])}</chakra.span>
          </Action>
        ))}
        <Select
          aria-label={t('Mark')}
          value={mark}
          ml="auto"
          onChange={(event) => setMark(event.target.value as Destination | 'any')}
        >
          <option value="any">{t('any mark')}</option>
          {DESTINATIONS.map((one) => (
            <option key={one} value={one}>
              {DESTINATION_LABELS[one]}
            </option>
          ))}
        </Select>
      </Box>
      {ledger === null ? <Small role="status">{t('Counting …')}</Small> : <Entries entries={entries} />}
    </>
  );
}

function Entries({ entries }: { readonly entries: readonly PlacedEntry[] }) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useRows({
    count: entries.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 32,
    overscan: 12,
  });
  return (
    <Box ref={scroller} flex="1" minH="0" overflowY="auto" data-testid="ledger">
      {entries.length === 0 && <Small>{t('No passage here.')}</Small>}
      <VirtualRows virtualizer={virtualizer} row={(i) => <EntryLine entry={entries[i]!} />} />
    </Box>
  );
}

function EntryLine({ entry }: { readonly entry: PlacedEntry }) {
  const block = useDeck((state) => state.blockById.get(entry.block));
  return (
    <Entry>
      {block === undefined ? <span /> : <PassageMark block={block} />}
      <chakra.span fontFamily="heading" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
        {block === undefined ? entry.block : blockText(block)}
      </chakra.span>
      <chakra.span color="soft" textAlign="right">
        {count(entry.words, 'word')}
      </chakra.span>
      <chakra.span color="soft">{reasonText(entry, block)}</chakra.span>
      {entry.slide !== null && (
        <Link to={`../slides?at=${encodeURIComponent(entry.block)}`} style={{ color: 'var(--chakra-colors-pine)' }}>
          {t('slide {slide}', { slide: entry.slide })}
        </Link>
      )}
    </Entry>
  );
}

function reasonText({ reason, account }: PlacedEntry, block: Block | undefined): string {
  if (reason === undefined) return account === 'lost' ? 'lost' : '';
  // What it is says more than that it is not text.
  return reason === 'furniture' && block?.left !== undefined ? LEFT[block.left] : REASONS[reason];
}
