/** The deck as text, to go on with elsewhere; its tables as values. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useAnswer } from '../../state/use-answer.ts';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Select } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { Card, Choice, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { ExcerptPreview } from './previews.tsx';

type TextFormat = 'md' | 'txt' | 'opml' | 'csv';
const KINDS: Readonly<Record<TextFormat, string>> = {
  md: t('Markdown: headings, lists, paragraphs'),
  txt: t('Plain text: to paste anywhere'),
  opml: t('OPML: an outline with notes'),
  csv: t('CSV: tables, for a spreadsheet'),
};

const NAMES: Readonly<Record<TextFormat, string>> = { md: t('Markdown'), txt: 'TXT', opml: 'OPML', csv: 'CSV' };
const HOLDS: Readonly<Record<TextFormat, string>> = {
  md: t('brought in again, it makes the same slides; pictures are in the file'),
  txt: t('tables line by line, pictures by their descriptions'),
  opml: t('for outliners; tables line by line, pictures by their descriptions'),
  csv: t('cells as they stand in the document; one that a spreadsheet would run is marked as text'),
};

export function TextCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [format, setFormat] = useState<TextFormat>('md');
  const [wanted, setWanted] = useState(0);
  const { answer } = useAnswer(format === 'csv' ? { what: 'tables' } : null);
  const tables = answer ?? [];
  // 0 is all of them; a table that went meanwhile cannot be meant.
  const only = format === 'csv' && wanted <= tables.length ? wanted : 0;
  const off = hidden.filter(Boolean).length;
  const shown = count(hidden.length - off, 'slide');
  const holds = format !== 'csv' ? shown : only === 0 ? count(tables.length, 'table') : t('table {only}', { only });
  return (
    <Card
      name={FORMAT_LABELS.md}
      purpose={t('To go on with as text')}
      heading={format === 'csv' ? t('Tables, CSV') : t('Slides as text, {names}', { names: NAMES[format] })}
      preview={<ExcerptPreview format={format} only={Math.max(1, only)} />}
    >
      <Box display="flex" flexWrap="wrap" gap="8px 14px">
        <OneOf label={t('Written as')} value={format} options={KINDS} choose={setFormat} />
        {format === 'csv' && tables.length > 0 && (
          <Choice>
            {t('Which')}
            <Select value={only} maxW="240px" onChange={(event) => setWanted(Number(event.target.value))}>
              <option value={0}>{t('All, in one ZIP archive')}</option>
              {tables.map(({ title, rows, columns }, i) => (
                <option key={i} value={i + 1}>
                  {i + 1} {title}, {rows} × {columns}
                </option>
              ))}
            </Select>
          </Choice>
        )}
      </Box>
      <Inside>
        {format === 'csv' ? (
          <li>
            {answer !== null && tables.length === 0
              ? t('no slide has a table')
              : t('{holds}, charts as their numbers', { holds })}
          </li>
        ) : (
          <li>{t('titles, points and speaker notes of {shown}', { shown })}</li>
        )}
        <li>{HOLDS[format]}</li>
        {off > 0 && <li>{t('without the {n} slides that you have hidden', { count: off })}</li>}
      </Inside>
      <Download
        key={`${format} ${only}`}
        {...props}
        card="text"
        format={format}
        choices={only === 0 ? {} : { only: String(only) }}
        holds={holds}
        {...(only === 0 ? {} : { title: tables[only - 1]?.title ?? '' })}
      />
    </Card>
  );
}
