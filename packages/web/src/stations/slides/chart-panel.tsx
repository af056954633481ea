/** A table of numbers as a chart: which, and everything of it that can be changed. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import {
  CHART_KINDS,
  coloredByCategory,
  type ChartData,
  type ChartKind,
  type ChartSettings,
  type Edit,
  type TablePart,
} from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { useAhead } from '../../state/use-ahead.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { ChartNumbers } from './chart-numbers.tsx';
import { CHART_LABELS, CHART_REASONS } from '../../ui/labels.ts';
import { KeptField } from '../../ui/kept-field.tsx';
import { Action, Notice, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { ChartOffers } from '../../worker/questions.ts';
import type { Row } from '../../worker/shown.ts';
import { PanelPart, PanelRow } from './panel-part.tsx';

export function ChartPanel({ row, part }: { readonly row: Row; readonly part: TablePart }) {
  const { answer, late } = useAnswer({ what: 'chart', slide: row.slide, part: part.id });
  const [numbers, setNumbers] = useState(false);
  const [settings, setSettings] = useAhead(answer?.settings, late);
  if (answer === null || answer === undefined || settings === undefined) return null;
  const { data: read, sum, offers, drawn } = answer;
  const own = settings.data;
  const withSum = (numbers: NonNullable<ChartSettings['data']>) => (sum === null ? numbers : { ...numbers, of: sum });
  const stale = own?.of !== undefined && sum !== null && own.of !== sum;
  // A layout that was fixed for the table would hide the chart, and the other way round.
  const unfixed: readonly Edit[] =
    row.fixed === 'table' || row.fixed === 'chart' || row.fixed === 'chart-points'
      ? [{ kind: 'layout', slides: [row.slide], layout: null }]
      : [];
  const set = (change: Partial<ChartSettings>) => {
    const chart = { ...settings, ...change };
    setSettings(chart);
    edit({ kind: 'all', edits: [...(row.fixed === 'table' ? unfixed : []), { kind: 'chart', part: part.id, chart }] });
  };
  const asTable = () => edit({ kind: 'all', edits: [...unfixed, { kind: 'chart', part: part.id, chart: null }] });
  return (
    <PanelPart head={drawn ? t('Chart of the table') : t('This table holds numbers: draw them')}>
      <Kinds
        offers={offers}
        kind={drawn ? settings.kind : null}
        asTable={asTable}
        take={(kind) => set(kindChange(kind, read))}
      />
      {offers[0] !== undefined && !drawn && (
        <Small mt="4px">
          {t('{charts} suit best: {reason}.', {
            charts: CHART_LABELS[offers[0].kind],
            reason: CHART_REASONS[offers[0].reason],
          })}
        </Small>
      )}
      {drawn && (
        <>
          <Dress settings={settings} data={read} set={set} numbers={numbers} showNumbers={setNumbers} />
          {stale && own !== null && (
            <Notice tone="attention" mt="6px" role="status">
              {t('The table has other numbers since those of the chart were written.')}
              <PanelRow>
                <Action size="small" onClick={() => set({ data: null })}>
                  {t('Take the table’s numbers')}
                </Action>
                <Action size="small" onClick={() => set({ data: withSum(own) })}>
                  {t('Keep those of the chart')}
                </Action>
              </PanelRow>
            </Notice>
          )}
          {numbers && (
            <ChartNumbers
              data={settings.data ?? read}
              format={read?.format}
              own={settings.data !== null}
              set={(next) => set({ data: next === null ? null : withSum(next) })}
            />
          )}
        </>
      )}
    </PanelPart>
  );
}

interface KindsProps {
  /** Those that suit the numbers, the best first. */
  readonly offers: ChartOffers['offers'];
  /** Null: it stands as a table. */
  readonly kind: ChartKind | null;
  readonly asTable: () => void;
  readonly take: (kind: ChartKind) => void;
}

function Kinds({ offers, kind, asTable, take }: KindsProps) {
  const reason = new Map(offers.map((offer) => [offer.kind, CHART_REASONS[offer.reason]]));
  const kinds = [...offers.map((offer) => offer.kind), ...CHART_KINDS.filter((one) => !reason.has(one))];
  return (
    <Box display="flex" gap="6px" flexWrap="wrap">
      <Action size="small" look={kind === null ? 'chosen' : 'plain'} aria-pressed={kind === null} onClick={asTable}>
        {t('Table')}
      </Action>
      {kinds.map((one) => (
        <Action
          key={one}
          size="small"
          look={kind === one ? 'chosen' : 'plain'}
          aria-pressed={kind === one}
          title={reason.get(one)}
          onClick={() => take(one)}
        >
          {CHART_LABELS[one]}
        </Action>
      ))}
    </Box>
  );
}

interface DressProps {
  readonly settings: ChartSettings;
  readonly data: ChartData | null;
  readonly set: (change: Partial<ChartSettings>) => void;
  readonly numbers: boolean;
  readonly showNumbers: (on: boolean) => void;
}

/** Titles, legend, what is drawn beside the shapes, and colours. */
function Dress({ settings, data, set, numbers, showNumbers }: DressProps) {
  return (
    <>
      <PanelRow>
        <Words label={t('Title of the chart')} value={settings.title} set={(title) => set({ title })} />
        <Words
          label={t('Title of the horizontal axis')}
          value={settings.acrossTitle}
          set={(acrossTitle) => set({ acrossTitle })}
        />
        <Words label={t('Title of the vertical axis')} value={settings.upTitle} set={(upTitle) => set({ upTitle })} />
      </PanelRow>
      <PanelRow>
        <Select
          aria-label={t('Legend')}
          value={settings.legend}
          onChange={(event) => set({ legend: event.target.value as ChartSettings['legend'] })}
        >
          <option value="none">{t('no legend')}</option>
          <option value="bottom">{t('legend below')}</option>
          <option value="right">{t('legend right')}</option>
        </Select>
        <Flag label={t('Numbers')} value={settings.labels} set={(labels) => set({ labels })} />
        <Flag label={t('Grid lines')} value={settings.grid} set={(grid) => set({ grid })} />
        <Colors settings={settings} data={data} set={(colors) => set({ colors })} />
        <Action size="small" look="quiet" aria-expanded={numbers} onClick={() => showNumbers(!numbers)}>
          {t('Edit the numbers')}
        </Action>
      </PanelRow>
    </>
  );
}

/** Pieces of a whole are named beside it; a single series needs no legend. */
function kindChange(kind: ChartSettings['kind'], data: ChartData | null): Partial<ChartSettings> {
  const round = coloredByCategory(kind);
  const single = (data?.series.length ?? 2) < 2;
  return {
    kind,
    legend: round ? 'right' : single ? 'none' : 'bottom',
    grid: !round,
    ...(round ? { labels: true } : {}),
  };
}

function Words({
  label,
  value,
  set,
}: {
  readonly label: string;
  readonly value: string | null;
  readonly set: (value: string | null) => void;
}) {
  return (
    <KeptField
      aria-label={label}
      placeholder={label}
      value={value ?? ''}
      maxLength={200}
      w="130px"
      keep={(text) => set(text || null)}
    />
  );
}

const Flag = ({
  label,
  value,
  set,
}: {
  readonly label: string;
  readonly value: boolean;
  readonly set: (value: boolean) => void;
}) => (
  <chakra.label display="flex" gap="4px" alignItems="center">
    <input type="checkbox" checked={value} onChange={(event) => set(event.target.checked)} />
    {label}
  </chakra.label>
);

/** The accent of each series, or of each piece. */
function Colors({
  settings,
  data,
  set,
}: {
  readonly settings: ChartSettings;
  readonly data: ChartData | null;
  readonly set: (colors: readonly number[]) => void;
}) {
  const source = settings.data ?? data;
  if (source === null) return null;
  const names = coloredByCategory(settings.kind) ? source.categories : source.series.map(({ name }) => name);
  return names.slice(0, 8).map((name, i) => (
    <Select
      key={i}
      aria-label={t('Colour of {name}', { name })}
      title={t('Colour of {name}', { name })}
      value={settings.colors[i] ?? (i % 6) + 1}
      onChange={(event) =>
        set(names.map((_, k) => (k === i ? Number(event.target.value) : (settings.colors[k] ?? (k % 6) + 1))))
      }
    >
      {[1, 2, 3, 4, 5, 6].map((accent) => (
        <option key={accent} value={accent}>
          {t('{series}: accent {accent}', { series: name.slice(0, 14), accent })}
        </option>
      ))}
    </Select>
  ));
}
