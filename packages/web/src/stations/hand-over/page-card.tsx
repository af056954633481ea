/** The deck as one page for any browser, which needs nothing else. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { t } from '../../words/words.ts';
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
      purpose={t('To show anywhere')}
      heading={t('{html}, HTML', { html: FORMAT_LABELS.html })}
      preview={<SlidePreview deck={props.deck.id} />}
    >
      <chakra.label display="flex" gap="8px" alignItems="flex-start" fontSize="sm" cursor="pointer">
        <input type="checkbox" checked={notes} onChange={(event) => setNotes(event.target.checked)} />
        {t('With speaker notes')}
      </chakra.label>
      <Inside>
        <li>{t('{shown} to show in any browser, without Alvex and without network', { shown })}</li>
        <li>{t('fonts and pictures are in the file; text can be found and copied, and not edited')}</li>
        {notes ? (
          <li>{t('a second window for the speaker, with notes and a clock')}</li>
        ) : (
          <li>{t('nothing of what you say')}</li>
        )}
        {off > 0 && <li>{t('without the {n} slides that you have hidden', { count: off })}</li>}
      </Inside>
      <Download {...props} card="page" format="html" choices={notes ? {} : { notes: '0' }} holds={shown} />
    </Card>
  );
}
