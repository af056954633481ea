/** The deck as one page for any browser, which needs nothing else. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Card, Inside } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { SlidePreview } from './previews.tsx';

export function PageCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [notes, setNotes] = useState(true);
  const off = hidden.filter(Boolean).length;
  const shown = count(hidden.length - off, 'slide');
  return (
    <Card
      name={FORMAT_LABELS.html}
      purpose="To show anywhere"
      heading={`${FORMAT_LABELS.html}, HTML`}
      preview={<SlidePreview deck={props.deck.id} />}
    >
      <chakra.label display="flex" gap="8px" alignItems="flex-start" fontSize="sm" cursor="pointer">
        <input type="checkbox" checked={notes} onChange={(event) => setNotes(event.target.checked)} />
        With speaker notes
      </chakra.label>
      <Inside>
        <li>{shown} to show in any browser, without Alvex and without network</li>
        <li>fonts and pictures are in the file; text can be found and copied, and not edited</li>
        {notes ? <li>a second window for the speaker, with notes and a clock</li> : <li>nothing of what you say</li>}
        {off > 0 && <li>without the {count(off, 'slide')} that you have hidden</li>}
      </Inside>
      <Download {...props} card="page" format="html" choices={notes ? {} : { notes: '0' }} holds={shown} />
    </Card>
  );
}
