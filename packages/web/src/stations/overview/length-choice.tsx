/** How long the deck may be: three lengths, the headings at which slides begin, or so many minutes. */
import { Box, chakra } from '@chakra-ui/react';
import { useId, useState } from 'react';
import {
  LENGTH_MAPS,
  LENGTH_NAMES,
  TEXT_KINDS,
  type Choice,
  type Fitting,
  type LengthName,
  type LevelMap,
} from '@alvex/core';
import { ask } from '../../state/core-link.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { ChoiceCard, Choices } from '../../ui/choice-card.tsx';
import { count, estimate, percent, quoted } from '../../ui/format.ts';
import { Action, Field, Heading, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

const WORDS: Readonly<Record<LengthName, readonly [label: string, hint: string]>> = {
  short: [t('Short talk'), t('main points on the slides, main sentences in the notes; the rest is left out')],
  written: [t('As written'), t('each part has its slides; the text is spoken')],
  read: [t('To be read'), t('the full text on the slides, nothing to speak')],
};

export function LengthChoice() {
  const view = useDeck((state) => state.view);
  const { answer } = useAnswer({ what: 'lengths' });
  const id = useId();
  if (view === null) return null;
  const now = LENGTH_NAMES.find(
    (name) => LENGTH_MAPS[name].map === view.mapName && LENGTH_MAPS[name].speech === view.speech,
  );
  return (
    <Box as="section" aria-labelledby={id}>
      <Heading as="h2" id={id} fontFamily="body" fontSize="lg" mb="10px">
        {t('How long may it be?')}
      </Heading>
      <Choices>
        {LENGTH_NAMES.map((name) => {
          const choice = answer?.[name];
          const [label, hint] = WORDS[name];
          return (
            <ChoiceCard
              key={name}
              on={now === name}
              aria-pressed={now === name}
              disabled={choice === undefined}
              onClick={() => choice !== undefined && edit({ kind: 'all', edits: choice.edits })}
            >
              <b>{label}</b>
              <span>{choice === undefined ? t('counting …') : comesTo(choice, name === 'read')}</span>
              <Small as="span">{hint}</Small>
            </ChoiceCard>
          );
        })}
        <Box display="grid" gap="10px" alignContent="start">
          <Minutes />
          <LevelChoice map={view.map} mapName={view.mapName} written={answer?.written} />
        </Box>
      </Choices>
    </Box>
  );
}

const comesTo = ({ slides, seconds }: Pick<Choice, 'slides' | 'seconds'>, read = false): string =>
  read ? count(slides, 'slide') : `${count(slides, 'slide')}, ${estimate(seconds)}`;

const MOST_MINUTES = 600;

function Minutes() {
  const target = useDeck((state) => state.view?.target ?? null);
  const [written, setWritten] = useState(target?.unit === 'minutes' ? String(target.amount) : '');
  const [offer, setOffer] = useState<(Fitting & { readonly minutes: number }) | 'counting' | 'failed' | null>(null);
  const minutes = Number(written);
  const sensible = minutes > 0 && minutes <= MOST_MINUTES;
  const find = () => {
    setOffer('counting');
    ask({ what: 'fitting', minutes }).then(
      (fitting) => setOffer(fitting === null ? null : { ...fitting, minutes }),
      () => setOffer('failed'),
    );
  };
  const use = (fitting: Fitting) => {
    edit({ kind: 'all', edits: [...fitting.edits, { kind: 'target', target: { unit: 'minutes', amount: minutes } }] });
    setOffer(null);
  };
  return (
    <Box fontSize="sm" display="grid" gap="6px" alignContent="start">
      <chakra.form
        display="flex"
        gap="8px"
        alignItems="center"
        flexWrap="wrap"
        onSubmit={(event) => {
          event.preventDefault();
          if (sensible) find();
        }}
      >
        {t('or just as long as')}
        <Field
          type="number"
          inputMode="numeric"
          min={1}
          max={MOST_MINUTES}
          w="62px"
          aria-label={t('Minutes to speak')}
          value={written}
          onChange={(event) => {
            setWritten(event.target.value);
            setOffer(null);
          }}
        />
        {t('minutes')}
        <Action type="submit" size="small" disabled={!sensible || offer === 'counting'}>
          {offer === 'counting' ? t('Counting …') : t('Find')}
        </Action>
      </chakra.form>
      <Box role="status" display="grid" gap="6px" justifyItems="start">
        {offer === 'failed' && <span>{t('That could not be counted. Nothing was changed.')}</span>}
        {offer !== null && typeof offer === 'object' && (
          <>
            <span>{offerText(offer, offer.minutes)}</span>
            <Action size="small" look="main" autoFocus onClick={() => use(offer)}>
              {t('Use this length')}
            </Action>
          </>
        )}
      </Box>
    </Box>
  );
}

const NAMED = 3;

/** What is done to come to the minutes, and what that comes to. */
function offerText(offer: Fitting, minutes: number): string {
  const { speech, without, near, seconds } = offer;
  const notes =
    speech === null ? [] : [t('speaker notes with about {speech} of their words', { speech: percent(speech) })];
  const named = without.slice(0, NAMED).map(quoted);
  const others = without.length - named.length;
  const sections =
    without.length === 0
      ? []
      : [
          t('without {named}{more}', {
            named: named.join(', '),
            more: others > 0 ? t(' and {n} more sections', { count: others }) : '',
          }),
        ];
  const done = [...notes, ...sections].join('; ');
  const comes = `${comesTo(offer)}${done === '' ? '' : `: ${done}`}.`;
  if (near) return t('Comes to {comes}', { comes });
  return seconds < minutes * 60 && done === ''
    ? t('The document has no more to say than {comes}', { comes })
    : t('Nearest is {comes}', { comes });
}

const FITTED = 'fitted';

/** At which headings slides begin. */
function LevelChoice({
  map,
  mapName,
  written,
}: {
  readonly map: LevelMap;
  readonly mapName: string | null;
  /** The fitted map. */
  readonly written: Choice | undefined;
}) {
  const { answer } = useAnswer({ what: 'levels' });
  if (answer === null || answer.length === 0) return null;
  const own = answer.find(({ edits }) =>
    edits.some((one) => one.kind === 'map' && TEXT_KINDS.every((kind) => one.map[kind] === map[kind])),
  );
  const value = mapName === FITTED ? FITTED : mapName === null && own !== undefined ? String(own.level) : '';
  const choose = (name: string) => {
    const choice = name === FITTED ? written : answer.find(({ level }) => String(level) === name);
    if (choice !== undefined) edit({ kind: 'all', edits: choice.edits });
  };
  return (
    <chakra.label display="flex" gap="8px" alignItems="center" flexWrap="wrap" fontSize="sm">
      {t('a slide for')}
      <Select
        aria-label={t('Headings at which slides begin')}
        value={value}
        onChange={(event) => choose(event.target.value)}
      >
        {value === '' && <option value="">{t('as the map says')}</option>}
        <option value={FITTED}>
          {t('the headings that fill a slide best{here}', {
            here: written === undefined ? '' : `: ${comesTo(written)}`,
          })}
        </option>
        {answer.map((choice) => (
          <option key={choice.level} value={choice.level}>
            {t('each heading {level}: {comesTo}', { level: choice.level, comesTo: comesTo(choice) })}
          </option>
        ))}
      </Select>
    </chakra.label>
  );
}
