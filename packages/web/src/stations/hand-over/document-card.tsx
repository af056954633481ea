/** The document to go on with, or for those who listened. */
import { useState } from 'react';
import type { FormatName } from '@alvex/core';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Card, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { ExcerptPreview } from './previews.tsx';

interface Kind {
  readonly label: string;
  readonly format: FormatName;
  readonly choices: Readonly<Record<string, string>>;
}
const KINDS = {
  docx: { label: 'DOCX: Office Open XML', format: 'docx', choices: {} },
  handout: { label: 'DOCX: a handout, with the slides', format: 'docx', choices: { handout: '1' } },
  odt: { label: 'ODT: OpenDocument', format: 'odt', choices: {} },
  html: { label: 'HTML: a web page', format: 'html', choices: { source: '1' } },
  md: { label: 'Markdown: plain text with marks', format: 'md', choices: { source: '1' } },
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
      purpose="To write on, and for those who listened"
      heading={`${FORMAT_LABELS.docx}, ${format === 'md' ? 'Markdown' : format.toUpperCase()}`}
      preview={<ExcerptPreview format={format} source />}
    >
      <OneOf label="Written as" value={kind} options={LABELS} choose={setKind} />
      <Inside>
        <li>{HOLDS[format]}, with your work on the structure</li>
        {handout ? (
          <>
            <li>{shown}, each before its text; a table of contents</li>
            <li>without the parts for the speaker alone</li>
          </>
        ) : (
          <li>what you left out is not in it; the original stays as it is</li>
        )}
      </Inside>
      <Download
        key={kind}
        {...props}
        card="document"
        format={format}
        choices={choices}
        holds={handout ? `the document with ${shown}` : 'the document'}
      />
    </Card>
  );
}

const HOLDS: Readonly<Record<(typeof KINDS)[KindName]['format'], string>> = {
  docx: 'headings as styles, lists, tables, notes and comments',
  odt: 'headings as styles, lists, tables, notes and comments',
  html: 'headings, lists, tables and notes without comments, pictures in the file',
  md: 'headings, lists, tables and notes without comments, pictures in the file; joined cells stand apart',
};
