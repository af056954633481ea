/** The review of a new edition: what changed, word by word, what is new, what is gone, and what of one's own work stands on it. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { ReviewItem } from '@alvex/core';
import { documentUrl } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit, useLog } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { editText } from '../../ui/edit-text.ts';
import { count } from '../../ui/format.ts';
import { Action, ColumnPage, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Reviewed } from '../../worker/questions.ts';
import { editionEdit, NO_CHOICES, type Choices } from './choices.ts';
import { Items } from './edition-items.tsx';
import { candidateIn, type Candidate } from './edition-path.ts';

type Filter = 'all' | ReviewItem['kind'] | 'own';

export function EditionStation() {
  const [search] = useSearchParams();
  const deck = useDeck((state) => state.deck);
  const edition = useLog((state) => state.edition);
  const candidate = useMemo(() => candidateIn(search), [search]);
  const { answer, failure } = useAnswer(
    candidate === null || deck === null
      ? null
      : { what: 'edition', url: documentUrl(deck.id, candidate.original), edition: candidate },
  );
  if (candidate === null || failure !== null)
    return (
      <ColumnPage>
        <Heading>{t('There is no edition to look at')}</Heading>
        <Small>{failure ?? t('Choose the changed file in the Document station.')}</Small>
      </ColumnPage>
    );
  if (edition?.original === candidate.original)
    return (
      <ColumnPage>
        <Heading>{t('{fileName} is the current edition', { fileName: candidate.fileName })}</Heading>
        <Small>{t('It can be taken back with Undo, as one step.')}</Small>
      </ColumnPage>
    );
  return answer === null ? (
    <ColumnPage>
      <Small role="status">{t('Comparing {fileName} with the document …', { fileName: candidate.fileName })}</Small>
    </ColumnPage>
  ) : (
    <Review candidate={candidate} reviewed={answer} />
  );
}

const FILTERS = [
  ['all', t('All')],
  ['changed', t('Changed')],
  ['new', t('New')],
  ['gone', t('Gone')],
  ['own', t('With work of yours')],
] as const satisfies readonly (readonly [Filter, string])[];

const matches = (item: ReviewItem, one: Filter): boolean =>
  one === 'all' || (one === 'own' ? item.own.length > 0 : item.kind === one);

function Review({ candidate, reviewed }: { readonly candidate: Candidate; readonly reviewed: Reviewed }) {
  const { review, unplaced } = reviewed;
  const { items } = review;
  const [filter, setFilter] = useState<Filter>('all');
  const [choices, setChoices] = useState<Choices>(NO_CHOICES);
  const navigate = useNavigate();
  const shown = useMemo(
    () => items.map((item, i) => ({ item, i })).filter(({ item }) => matches(item, filter)),
    [items, filter],
  );
  const bringIn = () => {
    edit(editionEdit(candidate, review, choices));
    void navigate('../slides');
  };
  return (
    <ColumnPage>
      <div>
        <Heading>{t('A new edition: {fileName}', { fileName: candidate.fileName })}</Heading>
        <Sum reviewed={reviewed} />
      </div>
      {unplaced.length > 0 && <Unplaced unplaced={unplaced} />}
      {items.length === 0 && (
        <Notice tone="calm">{t('The text is the same. Nothing changes but the file that is kept.')}</Notice>
      )}
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center">
        <Filters items={items} filter={filter} choose={setFilter} />
        <Box ml="auto" display="flex" gap="6px" flexWrap="wrap">
          <Action size="small" onClick={() => setChoices(NO_CHOICES)}>
            {t('Take all')}
          </Action>
          <Action size="small" onClick={() => setChoices({ ...choices, asBefore: new Set(items.keys()) })}>
            {t('Keep all as it was')}
          </Action>
        </Box>
      </Box>
      <Items shown={shown} choices={choices} choose={setChoices} />
      <Box
        display="flex"
        gap="8px"
        borderTop="1px solid"
        borderColor="ink"
        pt="10px"
        alignItems="center"
        flexWrap="wrap"
      >
        <Action look="main" onClick={bringIn}>
          {t('Bring it in')}
        </Action>
        <Action look="quiet" onClick={() => void navigate('../document')}>
          {t('Leave the document as it is')}
        </Action>
        <Small>
          {choices.asBefore.size === 0
            ? t('Every passage as in the new edition; your own wording stays.')
            : t('{n} passages as before.', { count: choices.asBefore.size })}{' '}
          {t('One step of Undo takes it back.')}
        </Small>
      </Box>
    </ColumnPage>
  );
}

function Sum({ reviewed: { review, slides } }: { readonly reviewed: Reviewed }) {
  const { items, same, moved } = review;
  return (
    <Small data-testid="edition-sum">
      {t('{passages} changed, {added} new, {gone} gone, {moved} moved, {same} as before. It makes {slides}.', {
        passages: count(items.filter(({ kind }) => kind === 'changed').length, 'passage'),
        added: items.filter(({ kind }) => kind === 'new').length,
        gone: items.filter(({ kind }) => kind === 'gone').length,
        moved,
        same: same - moved,
        slides: count(slides, 'slide'),
      })}
    </Small>
  );
}

function Unplaced({ unplaced }: Pick<Reviewed, 'unplaced'>) {
  return (
    <Notice role="status">
      <Box>
        {t('{n} edits of yours would have no place. They are kept, and shown in the Check station.', {
          count: unplaced.length,
        })}
        <chakra.ul pl="18px" maxH="90px" overflowY="auto">
          {unplaced.map(({ edit: one }, i) => (
            <li key={i}>{editText(one)}</li>
          ))}
        </chakra.ul>
      </Box>
    </Notice>
  );
}

interface FiltersProps {
  readonly items: readonly ReviewItem[];
  readonly filter: Filter;
  readonly choose: (filter: Filter) => void;
}

function Filters({ items, filter, choose }: FiltersProps) {
  const filters = FILTERS.filter(([name]) => name === 'all' || items.some((item) => matches(item, name)));
  return (
    <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label={t('Show')}>
      {filters.map(([name, label]) => (
        <Action
          key={name}
          size="small"
          look={filter === name ? 'chosen' : 'plain'}
          aria-pressed={filter === name}
          onClick={() => choose(name)}
        >
          {label} {items.filter((item) => matches(item, name)).length}
        </Action>
      ))}
    </Box>
  );
}
