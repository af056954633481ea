/** The numbers of a chart as a table to write in. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import {
  numberValue,
  splitNumber,
  writeNumber,
  type ChartSeries,
  type ChartSettings,
  type NumberFormat,
} from '@alvex/core';
import { KeptField } from '../../ui/kept-field.tsx';
import { Action, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

interface NumbersProps {
  readonly data: { readonly categories: readonly string[]; readonly series: readonly ChartSeries[] } | null;
  readonly format: NumberFormat | undefined;
  readonly own: boolean;
  readonly set: (data: ChartSettings['data']) => void;
}
const PLAIN: NumberFormat = { decimals: 6, decimal: '.', group: '', prefix: '', suffix: '' };

/** How numbers are written in cells, and read from them: null for an empty cell, undefined for what is no number. */
function cellNumbers(format: NumberFormat) {
  const bare = { ...format, prefix: '', suffix: '', group: '' as const };
  const write = (value: number | null): string =>
    value === null
      ? ''
      : writeNumber(value, bare)
          .replace(/(\.\d*?)0+$/, '$1')
          .replace(/\.$/, '');
  const read = (text: string): number | null | undefined => {
    if (text.trim() === '') return null;
    const found = splitNumber(text);
    return found === undefined ? undefined : found.value * numberValue(found.digits, format.decimal);
  };
  return { write, read };
}

/** The chart's own numbers. The document keeps its table. */
export function ChartNumbers({ data, format = PLAIN, own, set }: NumbersProps) {
  /** The cell whose text is not a number. */
  const [refused, setRefused] = useState<string | null>(null);
  if (data === null) return null;
  const { write, read } = cellNumbers(format);
  const { categories, series } = data;
  const changed = (i: number, change: Partial<ChartSeries>) =>
    set({ categories, series: series.map((one, at) => (at === i ? { ...one, ...change } : one)) });
  const keep = (k: number, i: number, text: string) => {
    const { values } = series[i]!;
    const value = read(text);
    setRefused(value === undefined ? `${k} ${i}` : null);
    if (value !== undefined && value !== (values[k] ?? null)) changed(i, { values: values.with(k, value) });
  };
  return (
    <Box mt="8px" overflowX="auto">
      <chakra.table
        fontSize="sm"
        css={{ borderCollapse: 'collapse', '& td, & th': { padding: '1px 4px 1px 0', textAlign: 'left' } }}
      >
        <thead>
          <tr>
            <th />
            {series.map(({ name }, i) => (
              <th key={i} scope="col">
                <KeptField
                  aria-label={t('Name of series {i}', { i: i + 1 })}
                  value={name}
                  w="90px"
                  keep={(text) => changed(i, { name: text })}
                />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {categories.map((name, k) => (
            <tr key={k}>
              <th scope="row">
                <KeptField
                  aria-label={t('Name of row {k}', { k: k + 1 })}
                  value={name}
                  w="130px"
                  keep={(text) => set({ categories: categories.with(k, text), series })}
                />
              </th>
              {series.map(({ name: of, values }, i) => (
                <td key={i}>
                  <KeptField
                    aria-label={`${of}, ${name}`}
                    value={write(values[k] ?? null)}
                    w="90px"
                    inputMode="decimal"
                    aria-invalid={refused === `${k} ${i}`}
                    keep={(text) => keep(k, i, text)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </chakra.table>
      {refused !== null && (
        <Small role="alert" mt="4px" color="red">
          {t('That is not a number; the chart keeps the one before.')}
        </Small>
      )}
      <Small mt="4px">{t('These are the chart’s numbers; the table of the document stays as it is.')}</Small>
      {own && (
        <Action size="small" look="quiet" mt="4px" onClick={() => set(null)}>
          {t('The table’s numbers again')}
        </Action>
      )}
    </Box>
  );
}
