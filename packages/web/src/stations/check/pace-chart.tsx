/** Time by slide as bars, and all of it so far as a line, against the time that there is. */
import { Box } from '@chakra-ui/react';
import { useMemo, type ReactNode } from 'react';
import {
  Bar,
  CartesianGrid,
  Cell,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { duration, quoted } from '../../ui/format.ts';
import { t } from '../../words/words.ts';
import type { Pace } from '../../worker/questions.ts';
import { LONG_SLIDE } from './long-slide.ts';

const PINE = 'var(--chakra-colors-pine)';
const AMBER = 'var(--chakra-colors-amber)';
const SOFT = 'var(--chakra-colors-soft)';
const INK = 'var(--chakra-colors-ink)';
const TICK = { fill: SOFT, fontSize: 11 };

interface Props {
  readonly pages: Pace['pages'];
  readonly wanted: number | null /* s */;
  readonly rehearsed: boolean;
  readonly open: (number: number) => void;
}
interface Point {
  readonly number: number;
  readonly title: string;
  readonly minutes: number;
  readonly rehearsed: number | null;
  readonly sofar: number;
  readonly long: boolean;
}

export function PaceChart({ pages, wanted, rehearsed, open }: Props) {
  const points = useMemo(() => {
    let sofar = 0;
    return pages.map(({ number, title, seconds, rehearsed: said }): Point => ({
      number,
      title,
      minutes: seconds / 60,
      rehearsed: said === null ? null : said / 60,
      sofar: (sofar += seconds) / 60,
      long: seconds > LONG_SLIDE,
    }));
  }, [pages]);
  const total = points.at(-1)?.sofar ?? 0;
  const label = t('Minutes of {all} slides, {total} in all', { all: points.length, total: duration(total * 60) });
  return (
    <Box>
      <Box h="240px" role="img" aria-label={label} data-testid="pace-chart">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            data={points}
            margin={{ top: 8, right: 4, bottom: 4, left: 4 }}
            barGap={0}
            accessibilityLayer={false}
            style={{ cursor: 'pointer' }}
          >
            <CartesianGrid vertical={false} stroke="var(--chakra-colors-line)" />
            <XAxis dataKey="number" tick={TICK} tickLine={false} stroke={SOFT} minTickGap={14} />
            <YAxis yAxisId="slide" tick={TICK} tickLine={false} axisLine={false} width={52} tickFormatter={minutes} />
            <YAxis
              yAxisId="all"
              orientation="right"
              domain={[0, Math.ceil(Math.max(total, (wanted ?? 0) / 60) * 1.05)]}
              tick={TICK}
              tickLine={false}
              axisLine={false}
              width={52}
              tickFormatter={minutes}
            />
            <Tooltip
              isAnimationActive={false}
              cursor={{ fill: 'var(--chakra-colors-pineWash)' }}
              content={({ active, payload }) => {
                const point = payload?.[0]?.payload as Point | undefined;
                return active && point !== undefined ? <Hint point={point} /> : null;
              }}
            />
            <Bar
              yAxisId="slide"
              dataKey="minutes"
              isAnimationActive={false}
              maxBarSize={34}
              // All of its column leads to the slide.
              background={{ fill: 'transparent' }}
              onClick={(_, i) => open(points[i]!.number)}
            >
              {points.map(({ number, long }) => (
                <Cell key={number} fill={long ? AMBER : PINE} />
              ))}
            </Bar>
            {rehearsed && (
              <Bar
                yAxisId="slide"
                dataKey="rehearsed"
                isAnimationActive={false}
                maxBarSize={34}
                fill="transparent"
                stroke={INK}
              />
            )}
            <Line
              yAxisId="all"
              dataKey="sofar"
              type="stepAfter"
              stroke={INK}
              strokeWidth={1.5}
              dot={false}
              isAnimationActive={false}
              style={{ pointerEvents: 'none' }}
            />
            {wanted !== null && (
              <ReferenceLine yAxisId="all" y={wanted / 60} stroke={AMBER} strokeWidth={1.5} strokeDasharray="5 4" />
            )}
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
      <Legend rehearsed={rehearsed} wanted={wanted} long={points.some(({ long }) => long)} />
    </Box>
  );
}

const minutes = (value: number): string => t('{minutes} min', { minutes: Math.round(value * 10) / 10 });

function Hint({ point: { number, title, minutes: planned, rehearsed, sofar } }: { readonly point: Point }) {
  return (
    <Box bg="card" border="1px solid" borderColor="line" px="10px" py="6px" fontSize="sm" maxW="300px">
      <b>{t('Slide {number} {title}', { number, title: title === '' ? '' : quoted(title) })}</b>
      <br />
      {duration(planned * 60)}
      {rehearsed !== null && t(', rehearsed {rehearsed}', { rehearsed: duration(rehearsed * 60) })}
      <br />
      {t('{time} so far', { time: duration(sofar * 60) })}
    </Box>
  );
}

/** What the shapes mean; told by form first, by colour second. */
function Legend({
  rehearsed,
  wanted,
  long,
}: {
  readonly rehearsed: boolean;
  readonly wanted: number | null;
  readonly long: boolean;
}) {
  const sign = (path: ReactNode) => (
    <svg width="22" height="12" viewBox="0 0 22 12" aria-hidden="true" style={{ flexShrink: 0 }}>
      {path}
    </svg>
  );
  return (
    <Box display="flex" gap="4px 20px" flexWrap="wrap" fontSize="sm" color="soft" css={{ '& > span': ENTRY }}>
      <span>
        {sign(<rect x="6" y="1" width="10" height="11" fill={PINE} />)} {t('a slide')}
      </span>
      {long && (
        <span>
          {sign(<rect x="6" y="1" width="10" height="11" fill={AMBER} />)} {t('over two and a half minutes')}
        </span>
      )}
      {rehearsed && (
        <span>
          {sign(<rect x="6" y="1" width="10" height="10" fill="none" stroke={INK} />)} {t('in the last rehearsal')}
        </span>
      )}
      <span>
        {sign(<path d="M0 10H11V3H22" fill="none" stroke={INK} strokeWidth="1.5" />)} {t('so far, scale at the right')}
      </span>
      {wanted !== null && (
        <span>
          {sign(<path d="M0 6H22" stroke={AMBER} strokeWidth="1.5" strokeDasharray="5 4" />)}{' '}
          {t('the time that you have')}
        </span>
      )}
    </Box>
  );
}
const ENTRY = { display: 'flex', gap: '6px', alignItems: 'center' };
