/** What the deck should come to, and the map that is suggested for it. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { wayEdits, type Costed, type Target } from '@alvex/core';
import { ask } from '../../state/core-link.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { count, quoted } from '../../ui/format.ts';
import { MAP_LABELS } from '../../ui/labels.ts';
import { useLeaving } from '../../ui/use-leaving.tsx';
import { Action, Field, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Answers, Leaving } from '../../worker/questions.ts';
import { MOST_PRESENTED } from '../shared/long-deck.ts';
import { Setting } from './map-settings.tsx';
import { suggestionText } from './suggestion-text.ts';

const Offer = chakra('div', {
  base: {
    borderLeft: '3px solid',
    borderColor: 'pine',
    pl: '12px',
    mb: '12px',
    display: 'grid',
    gap: '6px',
    fontSize: 'sm',
  },
});
const LISTED = 5;

type Answered = Answers['suggestion'] & { readonly wanted: Target | null };

export function TargetSetting() {
  const target = useDeck((state) => state.view?.target ?? null);
  const [written, setWritten] = useState(`${target?.amount ?? ''}`);
  const [unit, setUnit] = useState<Target['unit']>(target?.unit ?? 'minutes');
  const [suggestion, setSuggestion] = useState<Answered | 'thinking' | null>(null);
  // Undo, or another window, may have changed it.
  const shown = `${target?.amount ?? ''}`;
  const shownUnit = target?.unit;
  useEffect(() => {
    setWritten(shown);
    if (shownUnit !== undefined) setUnit(shownUnit);
  }, [shown, shownUnit]);
  const keep = (of: Target['unit']): Target | null => {
    const amount = Number(written);
    const wanted = Number.isFinite(amount) && amount > 0 ? { unit: of, amount } : null;
    if (wanted?.amount !== target?.amount || wanted?.unit !== target?.unit) edit({ kind: 'target', target: wanted });
    return wanted;
  };
  useLeaving(() => void keep(unit));
  const suggest = async (wanted: Target | null) => {
    setSuggestion('thinking');
    setSuggestion({ ...(await ask({ what: 'suggestion', target: wanted })), wanted });
  };
  const talkOf = (amount: number): void => {
    const wanted = { unit: 'minutes', amount } as const;
    edit({ kind: 'target', target: wanted });
    void suggest(wanted);
  };
  return (
    <>
      {suggestion === null && target === null && <LongDeck talkOf={talkOf} />}
      <Setting label={t('Wanted length')} narrow>
        <Field
          type="number"
          min={1}
          max={2000}
          aria-label={t('Target')}
          placeholder={t('any')}
          value={written}
          onChange={(event) => setWritten(event.target.value)}
          w="70px"
          py="2px"
          onBlur={() => keep(unit)}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        <Select
          aria-label={t('Unit of the target')}
          value={unit}
          onChange={(event) => {
            const next = event.target.value as Target['unit'];
            setUnit(next);
            keep(next);
          }}
        >
          <option value="minutes">{t('minutes to speak')}</option>
          <option value="slides">{t('slides')}</option>
        </Select>
        <Action size="small" look="main" disabled={suggestion === 'thinking'} onClick={() => void suggest(keep(unit))}>
          {suggestion === 'thinking' ? t('Trying maps …') : t('Suggest a map')}
        </Action>
      </Setting>
      {suggestion !== null && suggestion !== 'thinking' && (
        <Suggested suggestion={suggestion} close={() => setSuggestion(null)} />
      )}
    </>
  );
}

const TALKS = [20, 45]; // minutes

/** A deck of very many slides is read, not presented: that is said, and both are offered. */
function LongDeck({ talkOf }: { readonly talkOf: (minutes: number) => void }) {
  const slides = useDeck((state) => state.view?.pages.order.length ?? 0);
  const name = useDeck((state) => state.view?.mapName);
  const reading = useDeck((state) => state.presets.reading);
  if (slides <= MOST_PRESENTED || name === 'reading') return null;
  return (
    <Offer data-testid="long-deck">
      <span>
        {t(
          'With {n} slides this is a deck to be read: more than can be presented. It may stay one, or become a talk.',
          { count: slides },
        )}
      </span>
      <Box display="flex" gap="6px" flexWrap="wrap">
        {TALKS.map((minutes) => (
          <Action key={minutes} size="small" onClick={() => talkOf(minutes)}>
            {t('A talk of {minutes} minutes', { minutes })}
          </Action>
        ))}
        {reading !== undefined && (
          <Action size="small" onClick={() => edit({ kind: 'map', name: 'reading', ...reading })}>
            {t('A deck to be read, with its text on the slides')}
          </Action>
        )}
      </Box>
    </Offer>
  );
}

const NAMED = 3;

/** What would come to the target: the nearest map, with some sections left out. */
function Without({ best, leaving }: { readonly best: Costed; readonly leaving: Leaving }) {
  const { titles, blocks, slides, minutes } = leaving;
  const named = titles.slice(0, NAMED).map(quoted);
  const more = titles.length - named.length;
  const take = wayEdits({ ...best, name: best.readyMade ? best.base : null });
  return (
    <Box display="flex" gap="10px" alignItems="baseline">
      <Action
        size="small"
        look="main"
        onClick={() => edit({ kind: 'all', edits: [...take, { kind: 'leave', blocks, as: 'deleted' }] })}
      >
        {t('Leave out {n} sections', { count: titles.length })}
      </Action>
      <span title={titles.join(' · ')}>
        {t('Without {named}{more} it makes {n} slides, {minutes} min to speak. Each is brought back in Document.', {
          named: named.join(', '),
          more: more > 0 && t(' and {more} more', { more }),
          count: slides,
          minutes: Math.round(minutes),
        })}
      </span>
    </Box>
  );
}

function Suggested({ suggestion, close }: { readonly suggestion: Answered; readonly close: () => void }) {
  const [all, setAll] = useState(false);
  const listed = suggestion.costed.slice(0, all ? suggestion.costed.length : LISTED);
  return (
    <Offer data-testid="suggestion">
      <span>{suggestionText(suggestion, suggestion.wanted)}</span>
      {suggestion.leaving !== undefined && <Without best={suggestion.best} leaving={suggestion.leaving} />}
      <Box display="grid" gap="3px">
        {listed.map((one, i) => (
          <Box key={i} display="flex" gap="10px" alignItems="center">
            <Action
              size="small"
              look={i === 0 && suggestion.leaving === undefined ? 'main' : 'plain'}
              onClick={() => edit({ kind: 'all', edits: wayEdits({ ...one, name: one.readyMade ? one.base : null }) })}
            >
              {t('Use')}
            </Action>
            <b style={{ whiteSpace: 'nowrap' }}>
              {MAP_LABELS[one.base]}
              {one.readyMade ? '' : t(', other titles')}
            </b>
            <Small>
              {t('{slides}, {words} each, {minutes} min{full}{bare}', {
                slides: count(one.slides, 'slide'),
                words: count(one.words, 'word'),
                minutes: Math.round(one.spokenMinutes),
                full:
                  one.spills > 0 &&
                  (one.full === 'shorten'
                    ? t(', {spills} shortened', { spills: one.spills })
                    : t(', {spills} continued', { spills: one.spills })),
                bare: one.empty > 0 && t(', {empty} with a title only', { empty: one.empty }),
              })}
            </Small>
          </Box>
        ))}
      </Box>
      <Box display="flex" gap="6px">
        {suggestion.costed.length > LISTED && (
          <Action size="small" look="quiet" onClick={() => setAll(!all)}>
            {all ? t('fewer') : t('all {all}', { all: suggestion.costed.length })}
          </Action>
        )}
        <Action size="small" look="quiet" onClick={close}>
          {t('Close')}
        </Action>
      </Box>
    </Offer>
  );
}
