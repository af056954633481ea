/** The passages of a new edition, each with what changed in it and what is taken of it. */
import { Box, chakra } from '@chakra-ui/react';
import { useRef } from 'react';
import type { OwnWork, ReviewItem, WordChange } from '@alvex/core';
import { Action, Small } from '../../ui/recipes.tsx';
import { useRows, VirtualRows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';
import { turned, workKey, type Choices } from './choices.ts';

const Item = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '90px minmax(0, 1fr) auto',
    gap: '14px',
    borderTop: '1px solid',
    borderColor: 'line',
    py: '10px',
    alignItems: 'start',
    '@media (max-width: 640px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
const Text = chakra('div', {
  base: {
    fontFamily: 'heading',
    fontSize: '14px',
    lineHeight: 1.5,
    overflowWrap: 'anywhere',
    whiteSpace: 'pre-wrap',
    '& del': { color: 'red', bg: 'redWash', textDecoration: 'line-through' },
    '& ins': { color: 'ink', bg: 'pineWash', textDecoration: 'none', borderBottom: '2px solid', borderColor: 'pine' },
  },
  variants: { off: { true: { opacity: 0.5 } } },
});
const Kind = chakra('span', {
  base: { fontSize: 'xs', fontWeight: 600, px: '6px', py: '2px', justifySelf: 'start' },
  variants: {
    kind: {
      changed: { bg: 'amberWash', color: 'amberText' },
      new: { bg: 'pineWash', color: 'pine' },
      gone: { bg: 'redWash', color: 'red' },
    },
  },
});

interface ItemsProps {
  readonly shown: readonly { readonly item: ReviewItem; readonly i: number }[];
  readonly choices: Choices;
  readonly choose: (choices: Choices) => void;
}

export function Items({ shown, choices, choose }: ItemsProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useRows({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 70,
    getItemKey: (at) => shown[at]!.i,
    overscan: 6,
  });
  return (
    <Box ref={scroller} flex="1" minH="120px" overflowY="auto" data-testid="edition-items">
      <VirtualRows
        virtualizer={virtualizer}
        label={t('Passages')}
        rowLabel={(at) => t('Passage {i}', { i: shown[at]!.i + 1 })}
        row={(at) => <ItemLine {...shown[at]!} choices={choices} choose={choose} />}
      />
    </Box>
  );
}

const AS_BEFORE: Readonly<Record<ReviewItem['kind'], string>> = {
  changed: t('Keep the old text'),
  new: t('Leave it out'),
  gone: t('Keep the passage'),
};
const TAKEN: Readonly<Record<ReviewItem['kind'], string>> = {
  changed: t('Take the new text'),
  new: t('Take it in'),
  gone: t('Let it go'),
};

function ItemLine({
  item,
  i,
  choices,
  choose,
}: {
  readonly item: ReviewItem;
  readonly i: number;
  readonly choices: Choices;
  readonly choose: (choices: Choices) => void;
}) {
  const kept = choices.asBefore.has(i);
  const set = (asBefore: boolean) => {
    if (asBefore !== kept) choose({ ...choices, asBefore: turned(choices.asBefore, i) });
  };
  return (
    <Item>
      <Box display="grid" gap="4px">
        <Kind kind={item.kind}>{item.kind}</Kind>
        {item.moved && <Small>{t('moved')}</Small>}
      </Box>
      <Box minW="0">
        <Text off={kept && item.kind === 'new'}>
          <Words words={item.words} item={item} />
        </Text>
        {!kept &&
          item.own.map((own, k) => (
            <Own
              key={k}
              own={own}
              gone={item.kind === 'gone'}
              givenUp={choices.givenUp.has(workKey(i, k))}
              turn={() => choose({ ...choices, givenUp: turned(choices.givenUp, workKey(i, k)) })}
            />
          ))}
      </Box>
      <Box display="flex" gap="4px" role="group" aria-label={t('This passage')} flexWrap="wrap">
        <Action size="small" look={kept ? 'plain' : 'chosen'} aria-pressed={!kept} onClick={() => set(false)}>
          {TAKEN[item.kind]}
        </Action>
        <Action size="small" look={kept ? 'chosen' : 'plain'} aria-pressed={kept} onClick={() => set(true)}>
          {AS_BEFORE[item.kind]}
        </Action>
      </Box>
    </Item>
  );
}

function Words({ words, item }: { readonly words: readonly WordChange[]; readonly item: ReviewItem }) {
  if (words.length === 0) return <i>{(item.after ?? item.before)?.kind}</i>;
  return (
    <>
      {words.map(({ text, in: where }, i) =>
        where === 'both' ? (
          <span key={i}>{text}</span>
        ) : where === 'before' ? (
          <del key={i}>{text}</del>
        ) : (
          <ins key={i}>{text}</ins>
        ),
      )}
    </>
  );
}

const OWN: Readonly<Record<OwnWork['kind'], string>> = {
  title: t('Your title'),
  point: t('Your wording'),
  notes: t('Your notes'),
  text: t('Your text'),
  description: t('Your description'),
};

function Own({
  own,
  gone,
  givenUp,
  turn,
}: {
  readonly own: OwnWork;
  readonly gone: boolean;
  readonly givenUp: boolean;
  readonly turn: () => void;
}) {
  return (
    <Box mt="6px" fontSize="sm" display="flex" gap="8px" alignItems="baseline" flexWrap="wrap">
      <chakra.span color="soft">{OWN[own.kind]}:</chakra.span>
      <chakra.span fontFamily="heading" textDecoration={givenUp ? 'line-through' : undefined}>
        {own.text.slice(0, 200)}
      </chakra.span>
      {gone ? (
        <Small>{t('has no place then; it is kept and told.')}</Small>
      ) : (
        <Action size="small" look="quiet" aria-pressed={givenUp} onClick={turn}>
          {givenUp ? t('Keep mine') : t('Take the new text instead')}
        </Action>
      )}
    </Box>
  );
}
