/** How long the talk takes: by slide, by section, against the time that there is, and as it was rehearsed. */
import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { QUICKEST, SLOWEST } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { dayAndTime, duration } from '../../ui/format.ts';
import { isWithin, KeptField } from '../../ui/kept-field.tsx';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Pace } from '../../worker/questions.ts';
import { LONG_SLIDE } from './long-slide.ts';
import { PaceChart } from './pace-chart.tsx';
import { Fit } from './fit.tsx';

export function PacePage() {
  const { answer: pace, failure } = useAnswer({ what: 'pace' });
  const rate = useDeck((state) => state.view?.pace ?? 0);
  const target = useDeck((state) => state.view?.target ?? null);
  const wanted = target?.unit === 'minutes' ? target.amount * 60 : null;
  const navigate = useNavigate();
  if (failure !== null) return <Notice tone="fault">{failure}</Notice>;
  if (pace === null) return <Small role="status">{t('Counting …')}</Small>;
  const shown = pace.pages.filter(({ hidden }) => !hidden);
  const total = shown.reduce((sum, { seconds }) => sum + seconds, 0);
  const long = shown.filter(({ seconds }) => seconds > LONG_SLIDE);
  return (
    <Box flex="1" minH="0" overflowY="auto" display="grid" gap="16px" alignContent="start" pb="40px">
      <Box display="flex" gap="8px 24px" justifyContent="space-between" alignItems="end" flexWrap="wrap">
        <div>
          <Heading>{t('{total} for {n} slides', { total: duration(total), count: shown.length })}</Heading>
          <Small role="status">
            {againstTime(total, wanted)}
            {long.length > 0 && t(' {n} slides over two and a half minutes.', { count: long.length })}
          </Small>
        </div>
        <Settings minutes={wanted === null ? null : wanted / 60} rate={rate} />
      </Box>
      {shown.length === 0 ? (
        <Small>{t('There is no slide to present.')}</Small>
      ) : (
        <PaceChart
          pages={shown}
          wanted={wanted}
          rehearsed={pace.rehearsals.length > 0}
          open={(number) => void navigate(`../slides?page=${number}`)}
        />
      )}
      <Halves>
        <Box display="grid" gap="22px" alignContent="start">
          <Fit key={wanted ?? 0} minutes={wanted === null ? null : wanted / 60} total={total} />
          <Rehearsals rehearsals={pace.rehearsals} plan={total} rate={rate} />
        </Box>
        <Sections pages={shown} total={total} />
      </Halves>
    </Box>
  );
}

const Halves = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1.2fr) minmax(0, 1fr)',
    gap: '22px 40px',
    '@media (max-width: 767px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});

function againstTime(total: number, wanted: number | null): string {
  if (wanted === null) return t('Say how long it may take, and it is held against that.');
  const over = total - wanted;
  if (Math.abs(over) <= Math.max(30, wanted * 0.05))
    return t('That is as long as the {wanted} that you have.', { wanted: duration(wanted) });
  return over > 0
    ? t('{over} longer than the {wanted} that you have.', { over: duration(over), wanted: duration(wanted) })
    : t('{under} less than the {wanted} that you have.', { under: duration(-over), wanted: duration(wanted) });
}

const MOST_MINUTES = 600;

/** The time that there is, and how quickly is spoken. */
function Settings({ minutes, rate }: { readonly minutes: number | null; readonly rate: number }) {
  return (
    <Box display="flex" gap="8px 18px" flexWrap="wrap" fontSize="sm">
      <NumberField
        key={`m${minutes}`}
        label={t('Minutes that you have')}
        value={minutes}
        from={1}
        to={MOST_MINUTES}
        keep={(amount) => edit({ kind: 'target', target: amount === null ? null : { unit: 'minutes', amount } })}
      />
      <NumberField
        key={`r${rate}`}
        label={t('Words a minute')}
        value={rate}
        from={SLOWEST}
        to={QUICKEST}
        keep={(amount) => amount !== null && edit({ kind: 'pace', rate: Math.round(amount) })}
      />
    </Box>
  );
}

function NumberField({
  label,
  value,
  from,
  to,
  keep,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly from: number;
  readonly to: number;
  readonly keep: (amount: number | null) => void;
}) {
  return (
    <chakra.label display="flex" gap="8px" alignItems="center">
      {label}
      <KeptField
        type="number"
        min={from}
        max={to}
        w="74px"
        py="2px"
        value={value === null ? '' : String(value)}
        fits={(text) => text.trim() === '' || isWithin(Number(text), from, to)}
        keep={(text) => keep(text.trim() === '' ? null : Number(text))}
      />
    </chakra.label>
  );
}

const Table = chakra('table', {
  base: {
    w: '100%',
    borderCollapse: 'collapse',
    fontSize: 'sm',
    '& th': { textAlign: 'left', fontWeight: 600, color: 'soft' },
    '& td, & th': { borderTop: '1px solid', borderColor: 'line', py: '5px', pr: '10px', verticalAlign: 'top' },
    '& .number': { textAlign: 'right', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap', pr: 0, pl: '10px' },
  },
});
const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section>
    <Heading as="h2" fontFamily="body" fontSize="lg" mb="8px">
      {title}
    </Heading>
    {children}
  </section>
);

const MOST_LISTED = 60;

/** Sections with their times; a deck without any by its longest slides. */
function Sections({ pages, total }: { readonly pages: Pace['pages']; readonly total: number }) {
  const sections = sectionsOf(pages);
  const few = sections.length < 2;
  const lines = few
    ? pages
        .toSorted((a, b) => b.seconds - a.seconds)
        .slice(0, 8)
        .map(({ title, seconds, number }) => ({ title, seconds, number, slides: 1 }))
    : sections.slice(0, MOST_LISTED);
  return (
    <Part title={few ? t('The longest slides') : t('By section')}>
      <Table>
        <thead>
          <tr>
            <th scope="col">{few ? t('Slide') : t('Section')}</th>
            {!few && (
              <th scope="col" className="number">
                {t('Slides')}
              </th>
            )}
            <th scope="col" className="number">
              {t('Time')}
            </th>
            <th scope="col" className="number">
              {t('Of all')}
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ title, seconds, slides, number }) => (
            <tr key={number}>
              <td>
                <Link to={`../slides?page=${number}`}>
                  {few && `${number}. `}
                  {title === '' ? t('no title') : title}
                </Link>
              </td>
              {!few && <td className="number">{slides}</td>}
              <td className="number">{duration(seconds)}</td>
              <td className="number">{total === 0 ? 0 : Math.round((seconds / total) * 100)} %</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {!few && sections.length > MOST_LISTED && (
        <Small>{t('and {n} more sections', { count: sections.length - MOST_LISTED })}</Small>
      )}
    </Part>
  );
}

interface SectionLine {
  readonly title: string;
  readonly number: number;
  readonly slides: number;
  readonly seconds: number;
}
function sectionsOf(pages: Pace['pages']): readonly SectionLine[] {
  const found: SectionLine[] = [];
  let open: string | null | undefined;
  for (const { section, opens, title, number, seconds } of pages) {
    const last = found.at(-1);
    if (last !== undefined && section === open && !opens)
      found[found.length - 1] = { ...last, slides: last.slides + 1, seconds: last.seconds + seconds };
    else found.push({ title: opens ? title : (section ?? title), number, slides: 1, seconds });
    open = opens ? title : section;
  }
  return found;
}

function Rehearsals({
  rehearsals,
  plan,
  rate,
}: {
  readonly rehearsals: Pace['rehearsals'];
  readonly plan: number;
  readonly rate: number;
}) {
  const { id = '' } = useParams();
  const spoken = rehearsals.at(-1)?.rate ?? null;
  return (
    <Part title={t('Rehearsals')}>
      {rehearsals.length === 0 ? (
        <Small>{t('Say it aloud once: the time for each slide is kept here, beside the plan.')}</Small>
      ) : (
        <Table>
          <thead>
            <tr>
              <th scope="col">{t('Begun')}</th>
              <th scope="col" className="number">
                {t('Took')}
              </th>
              <th scope="col" className="number">
                {t('Against the plan')}
              </th>
              <th scope="col" className="number">
                {t('Stumbled')}
              </th>
              <th />
            </tr>
          </thead>
          <tbody>
            {rehearsals.toReversed().map(({ id: name, began, seconds, stumbled }) => (
              <tr key={name}>
                <td>{dayAndTime(began)}</td>
                <td className="number">{duration(seconds)}</td>
                <td className="number">
                  {Math.abs(seconds - plan) < 5
                    ? t('the same')
                    : `${duration(Math.abs(seconds - plan))} ${seconds > plan ? t('more') : t('less')}`}
                </td>
                <td className="number">{stumbled}</td>
                <td className="number">
                  <Action
                    size="small"
                    look="quiet"
                    aria-label={t('Put away the rehearsal of {began}', { began: dayAndTime(began) })}
                    onClick={() => edit({ kind: 'rehearse', id: name, rehearsal: null })}
                  >
                    {t('Put away')}
                  </Action>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {spoken !== null && spoken !== rate && (
        <Box display="flex" gap="6px 12px" alignItems="center" flexWrap="wrap" mt="10px">
          <Small>
            {t('In the last one you spoke {n} words a minute; the plan has {rate}.', { count: spoken, rate })}
          </Small>
          <Action size="small" onClick={() => edit({ kind: 'pace', rate: spoken })}>
            {t('Plan with {n} words a minute', { count: spoken })}
          </Action>
        </Box>
      )}
      <Box mt="10px">
        <Link to={`/decks/${id}/rehearse`}>
          <Action as="span" size="small">
            {rehearsals.length === 0 ? t('Rehearse') : t('Rehearse again')}
          </Action>
        </Link>
      </Box>
    </Part>
  );
}
