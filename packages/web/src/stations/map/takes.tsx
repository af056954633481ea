/** Up to three ways to convert the document, side by side with the one in force: what is different is marked, one is kept. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo } from 'react';
import { facingTakes, takeEdits, type TakeLine, type TakeSettings, type WaySettings, type BlockId } from '@alvex/core';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { uuid } from '../../worker/uuid.ts';
import { count, duration, percent } from '../../ui/format.ts';
import { DENSITY_LABELS, FULL_LABELS, MAP_LABELS } from '../../ui/labels.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { rich, t } from '../../words/words.ts';
import type { Take } from '../../worker/questions.ts';

const MOST_TAKES = 3;

const Grid = chakra('div', { base: { display: 'grid', columnGap: '18px', alignItems: 'start', overflowX: 'auto' } });
const Head = chakra('section', {
  base: { minW: '220px', borderTop: '2px solid', borderColor: 'ink', pt: '8px', pb: '10px', alignSelf: 'stretch' },
});
const Sheet = chakra('figure', { base: { m: '0 0 12px', fontSize: 'xs', color: 'soft' } });
const Tag = chakra('span', { base: { color: 'amberText', bg: 'amberWash', px: '5px', mr: '6px' } });

/** The settings in force, as a take keeps them. */
function useSettings(): TakeSettings | null {
  const view = useDeck((state) => state.view);
  return useMemo(
    () =>
      view === null
        ? null
        : {
            name: view.mapName,
            map: view.map,
            prose: view.prose,
            full: view.full,
            ...(view.speech === null ? {} : { speech: view.speech }),
            ...(view.mapBranches.length === 0 ? {} : { branches: view.mapBranches }),
            ...(view.mixes.length === 0 ? {} : { mixes: view.mixes }),
          },
    [view],
  );
}

const keepTake = (settings: TakeSettings): void => edit({ kind: 'take', take: `t${uuid().slice(0, 8)}`, settings });

const PROSE_TEXT = {
  whole: t('exact words'),
  told: t('no slide with a title alone'),
  first: t('first sentences'),
} as const;

function describe({ name, prose, full, speech }: TakeSettings): string {
  const map = name === null ? t('own map') : (MAP_LABELS[name] ?? name);
  const text = prose.as === 'short' ? DENSITY_LABELS[prose.density] : PROSE_TEXT[prose.as];
  const notes = speech === undefined ? '' : t('; notes: {speech}', { speech: percent(speech) });
  return t('{map}; {text}; too full: {full}{notes}', { map, text, full: FULL_LABELS[full], notes });
}

export function Takes() {
  const { answer } = useAnswer({ what: 'takes' });
  const kept = useDeck((state) => state.view?.takes) ?? [];
  const settings = useSettings();
  if (settings === null) return null;
  const same = kept.some(([, one]) => JSON.stringify(one) === JSON.stringify(settings));
  return (
    <Box>
      <Box display="flex" gap="12px" alignItems="baseline" flexWrap="wrap" mb="6px">
        <Heading>{t('Takes')}</Heading>
        <Small flex="1">
          {t(
            'Keep a way to convert the document, try another, and look at them side by side: one is used whole, or slide by slide. Up to {most_takes} are kept until they are deleted.',
            { most_takes: MOST_TAKES },
          )}
        </Small>
        <Action
          size="small"
          look="main"
          disabled={kept.length >= MOST_TAKES || same}
          title={same ? t('This way is kept already') : undefined}
          onClick={() => keepTake(settings)}
        >
          {t('Keep this way as a take')}
        </Action>
      </Box>
      {answer === null ? (
        <Small>{t('Converting …')}</Small>
      ) : (
        <Grid style={{ gridTemplateColumns: `repeat(${answer.length}, minmax(220px, 380px))` }} data-testid="takes">
          {answer.map((take, i) => (
            <TakeHead
              key={take.take}
              take={take}
              number={i}
              settings={take.take === '' ? settings : (kept.find(([id]) => id === take.take)?.[1] ?? settings)}
            />
          ))}
          <FacingSlides takes={answer} settings={kept} />
        </Grid>
      )}
    </Box>
  );
}

const MOST_SHOWN = 40;
const AGAINST: Partial<Record<TakeLine['against'], string>> = { 'only-here': t('only here'), other: 'otherwise' };

function TakeHead({
  take,
  number,
  settings,
}: {
  readonly take: Take;
  readonly number: number;
  readonly settings: TakeSettings;
}) {
  const inForce = take.take === '';
  const differing = take.lines.filter(({ against }) => against !== 'same').length;
  const name = inForce ? t('As it is now') : t('Take {number}', { number });
  return (
    <Head aria-label={name}>
      <Box display="flex" gap="8px" alignItems="center" minH="26px">
        <b>{name}</b>
        {!inForce && (
          <Box ml="auto" display="flex" gap="4px">
            <Action size="small" onClick={() => edit({ kind: 'all', edits: takeEdits(settings) })}>
              {t('Use this one')}
            </Action>
            <Action size="small" look="danger" onClick={() => edit({ kind: 'take', take: take.take, settings: null })}>
              {t('Delete')}
            </Action>
          </Box>
        )}
      </Box>
      <Small>{describe(settings)}</Small>
      <Small>
        {rich('<b>{slides}</b>, {words} each, {seconds} to speak{full}{other}', {
          slides: count(take.slides, 'slide'),
          words: count(take.words, 'word'),
          seconds: duration(take.seconds),
          full: take.spills > 0 ? t(', {spills} too full', { spills: take.spills }) : '',
          other: !inForce && (differing === 0 ? t('; nothing different') : t('; {differing} different', { differing })),
        })}
      </Small>
    </Head>
  );
}

/** Slides that begin with the same passage face each other. */
function FacingSlides({
  takes,
  settings,
}: {
  readonly takes: readonly Take[];
  readonly settings: readonly (readonly [string, TakeSettings])[];
}) {
  const mixed = useDeck((state) => state.view?.mixes) ?? [];
  const deck = useDeck((state) => state.deck?.id ?? '');
  const rows = useMemo(() => facingTakes(takes.map(({ lines }) => lines)), [takes]);
  const drawings = useMemo(
    () => takes.map((take) => new Map(take.drawings.map((drawing) => [drawing.key, drawing]))),
    [takes],
  );
  return (
    <>
      {rows.slice(0, MOST_SHOWN).flatMap((row, r) =>
        row.map((line, i) =>
          line === null ? (
            <Small key={`${r} ${i}`} pb="12px">
              {t('no slide of its own')}
            </Small>
          ) : (
            <Sheet key={`${r} ${i}`}>
              <Box
                border="1px solid"
                borderColor={i === 0 || line.against === 'same' ? 'line' : 'amber'}
                lineHeight="0"
              >
                <SlideDrawing
                  drawing={drawings[i]!.get(line.key)}
                  deck={deck}
                  number={takes[i]!.lines.indexOf(line) + 1}
                  label={line.title}
                />
              </Box>
              <figcaption>
                {i > 0 && AGAINST[line.against] !== undefined && <Tag>{AGAINST[line.against]}</Tag>}
                {t('{words}, {spoken} spoken', {
                  words: count(line.words, 'word'),
                  spoken: count(line.spoken, 'word'),
                })}
                <MixAction
                  line={line}
                  way={settings.find(([take]) => take === takes[i]!.take)?.[1] ?? null}
                  mixed={i === 0 && mixed.some(({ block }) => block === line.passages?.block)}
                />
              </figcaption>
            </Sheet>
          ),
        ),
      )}
      {rows.length > MOST_SHOWN && <Small>{t('and {n} more rows', { count: rows.length - MOST_SHOWN })}</Small>}
    </>
  );
}

/** One slide of a take in the deck, and the way back. @param way Of the take; null for the deck as it is. */
function MixAction({
  line: { passages, title, against },
  way,
  mixed,
}: {
  readonly line: TakeLine;
  readonly way: TakeSettings | null;
  readonly mixed: boolean;
}) {
  if (passages === null || (way === null ? !mixed : against === 'same')) return null;
  const put = () => edit({ kind: 'mix', ...passages, settings: way === null ? null : settingsAt(way, passages.block) });
  return (
    <Box mt="4px">
      <Action
        size="small"
        aria-label={
          way === null
            ? t('{title}: as the map has it', { title })
            : t('{title}: use this slide in the deck', { title })
        }
        onClick={put}
      >
        {way === null ? t('As the map has it') : t('Use this slide')}
      </Action>
    </Box>
  );
}

/** How a take converts one slide, which may itself be as another take has it. */
const settingsAt = ({ mixes = [], ...own }: TakeSettings, at: BlockId): WaySettings =>
  mixes.find(({ block }) => block === at)?.settings ?? own;
