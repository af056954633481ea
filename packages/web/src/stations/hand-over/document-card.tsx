/** The document to go on with, or for those who listened. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Heading, Select } from '../../ui/recipes.tsx';
import { Card, Inside } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';

const KINDS = { document: 'the document alone', handout: 'a handout, with the slides' } as const;

export function DocumentCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [kind, setKind] = useState<keyof typeof KINDS>('document');
  const handout = kind === 'handout';
  const shown = count(hidden.filter((off) => !off).length, 'slide');
  return (
    <Card aria-label={FORMAT_LABELS.docx}>
      <Heading as="h2" fontSize="lg">
        {FORMAT_LABELS.docx}, DOCX
      </Heading>
      <chakra.label display="grid" gap="3px" fontSize="sm" color="soft" justifyItems="start">
        Written as
        <Select value={kind} onChange={(event) => setKind(event.target.value as keyof typeof KINDS)}>
          {Object.entries(KINDS).map(([one, label]) => (
            <option key={one} value={one}>
              {label}
            </option>
          ))}
        </Select>
      </chakra.label>
      <Inside>
        <li>headings as styles, lists, tables, notes and comments, with your work on the structure</li>
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
        format="docx"
        choices={handout ? { handout: '1' } : {}}
        holds={handout ? `the document with ${shown}` : 'the document'}
      />
    </Card>
  );
}
