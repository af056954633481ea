/** The document to go on with, or for those who listened. */
import { useState } from 'react';
import type { FormatName } from '@alvex/core';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { t } from '../../words/words.ts';
import { Card, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { ExcerptPreview } from './previews.tsx';

interface Kind {
  readonly label: string;
  readonly format: FormatName;
  readonly choices: Readonly<Record<string, string>>;
}
const KINDS = {
  docx: { label: t('DOCX: Office Open XML'), format: 'docx', choices: {} },
  handout: { label: t('DOCX: a handout, with the slides'), format: 'docx', choices: { handout: '1' } },
  odt: { label: 'ODT: OpenDocument', format: 'odt', choices: {} },
  html: { label: t('HTML: a web page'), format: 'html', choices: { source: '1' } },
  md: { label: t('Markdown: plain text with marks'), format: 'md', choices: { source: '1' } },
} as const satisfies Readonly<Record<string, Kind>>;
type KindName = keyof typeof KINDS;
const LABELS = Object.fromEntries(Object.entries(KINDS).map(([name, { label }]) => [name, label])) as Readonly<
  Record<KindName, string>
>;

export function DocumentCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [kind, setKind] = useState<KindName>('docx');
  const handout = kind === 'handout';
  const shown = count(hidden.filter((off) => !off).length, 'slide');
  const { format, choices } = KINDS[kind];
  return (
    <Card
      name={FORMAT_LABELS.docx}
      purpose={t('To write on, and for those who listened')}
      heading={`${FORMAT_LABELS.docx}, ${format === 'md' ? t('Markdown') : format.toUpperCase()}`}
      preview={<ExcerptPreview format={format} source />}
    >
      <OneOf label={t('Written as')} value={kind} options={LABELS} choose={setKind} />
      <Inside>
        <li>{t('{holds}, with your work on the structure', { holds: HOLDS[format] })}</li>
        {handout ? (
          <>
            <li>{t('{shown}, each before its text; a table of contents', { shown })}</li>
            <li>{t('without the parts for the speaker alone')}</li>
          </>
        ) : (
          <li>{t('what you left out is not in it; the original stays as it is')}</li>
        )}
      </Inside>
      <Download
        key={kind}
        {...props}
        card="document"
        format={format}
        choices={choices}
        holds={handout ? t('the document with {shown}', { shown }) : t('the document')}
      />
    </Card>
  );
}

const HOLDS: Readonly<Record<(typeof KINDS)[KindName]['format'], string>> = {
  docx: t('headings as styles, lists, tables, notes and comments'),
  odt: t('headings as styles, lists, tables, notes and comments'),
  html: t('headings, lists, tables and notes without comments, pictures in the file'),
  md: t('headings, lists, tables and notes without comments, pictures in the file; joined cells stand apart'),
};
