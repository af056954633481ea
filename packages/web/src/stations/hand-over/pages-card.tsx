/** Pages to show, to read or to print: what stands on each, and how one of them looks. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Paper, Print } from '@alvex/core';
import { useAnswer } from '../../state/use-answer.ts';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS, PAPER_LABELS, PRINT_LABELS } from '../../ui/labels.ts';
import { t } from '../../words/words.ts';
import { Card, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { SheetDrawing } from './sheet-drawing.tsx';

export function PagesCard(props: FormatProps) {
  const { deck, view } = props;
  const [print, setPrint] = useState<Print>('slides');
  const [paper, setPaper] = useState<Paper>(usualPaper);
  const { answer } = useAnswer({ what: 'sheets', print, paper });
  const hidden = view.pages.hidden.filter(Boolean).length;
  const pages = answer === null ? null : count(answer.count, 'page');
  return (
    <Card
      name={FORMAT_LABELS.pdf}
      purpose={t('To read and to print')}
      heading={t('{pdf}, PDF', { pdf: FORMAT_LABELS.pdf })}
      preview={
        answer !== null &&
        answer.sample !== null && <SheetDrawing sheet={answer.sample} drawings={answer.drawings} deck={deck.id} />
      }
    >
      <Box display="flex" flexWrap="wrap" gap="8px 14px">
        <OneOf label={t('On each page')} value={print} options={PRINT_LABELS} choose={setPrint} />
        {print !== 'slides' && <OneOf label={t('Paper')} value={paper} options={PAPER_LABELS} choose={setPaper} />}
      </Box>
      <Inside>
        <li>
          {t('{pages}, as they will look everywhere: fonts and pictures are in the file', {
            pages: pages ?? t('counting pages …'),
          })}
        </li>
        <li>{t('text can be searched, copied and read aloud, and not edited; sections and slides as bookmarks')}</li>
        {hidden > 0 && <li>{t('without the {n} slides that you have hidden', { count: hidden })}</li>}
      </Inside>
      <Download
        {...props}
        card="pages"
        format="pdf"
        choices={print === 'slides' ? {} : { pages: print, paper }}
        holds={pages ?? count(view.pages.order.length, 'slide')}
      />
    </Card>
  );
}

/** Where letters are written on other paper than in the rest of the world (CLDR, `paperSize`). */
const LETTER = /-(BZ|CA|CL|CO|CR|GT|MX|NI|PA|PH|PR|SV|US|VE)$/;
const usualPaper = (): Paper => (LETTER.test(navigator.language) ? 'letter' : 'a4');
