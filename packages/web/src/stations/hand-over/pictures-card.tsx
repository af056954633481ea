/** Slides as pictures: all in one archive, or one alone. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { PICTURE_WIDTHS } from '@alvex/core';
import { useAnswer } from '../../state/use-answer.ts';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Field, Select } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { Card, Choice, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { SlidePreview } from './previews.tsx';

/** Of a mail or a page, of a screen, of a large one. */
const WIDTHS = [1280, PICTURE_WIDTHS.usual, 3840] as const;
const WHICH = { all: t('All that are shown'), one: t('One slide') } as const;
const KINDS = { png: t('PNG: pixels, for any place'), svg: t('SVG: lines and text, sharp at any size') } as const;

export function PicturesCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [format, setFormat] = useState<keyof typeof KINDS>('png');
  const [width, setWidth] = useState<number>(PICTURE_WIDTHS.usual);
  const [which, setWhich] = useState<keyof typeof WHICH>('all');
  const [wanted, setWanted] = useState(1);
  // A slide that went meanwhile cannot be meant.
  const one = which === 'all' ? null : Math.min(Math.max(1, wanted), Math.max(1, hidden.length));
  const { answer } = useAnswer(one === null ? null : { what: 'drawn', number: one });
  const shown = hidden.filter((off) => !off).length;
  return (
    <Card
      name={FORMAT_LABELS.png}
      purpose={t('To put elsewhere')}
      heading={t('{png} of slides, {format}', { png: FORMAT_LABELS.png, format: format.toUpperCase() })}
      preview={<SlidePreview deck={props.deck.id} number={one} />}
    >
      <Box display="flex" flexWrap="wrap" gap="8px 14px">
        <OneOf label={t('Which')} value={which} options={WHICH} choose={setWhich} />
        {one !== null && (
          <Choice>
            {t('Its number')}
            <Field
              type="number"
              min={1}
              max={Math.max(1, hidden.length)}
              value={one}
              w="80px"
              onChange={(event) => setWanted(Math.round(event.target.valueAsNumber) || 1)}
            />
          </Choice>
        )}
        <OneOf label={t('Written as')} value={format} options={KINDS} choose={setFormat} />
        {format === 'png' && (
          <Choice>
            {t('Width of each')}
            <Select value={width} onChange={(event) => setWidth(Number(event.target.value))}>
              {WIDTHS.map((pixels) => (
                <option key={pixels} value={pixels}>
                  {t('{pixels} pixels', { pixels })}
                </option>
              ))}
            </Select>
          </Choice>
        )}
      </Box>
      <Inside>
        {one === null ? (
          <li>{t('{n} slides, a picture each, in one ZIP archive, named by number and title', { count: shown })}</li>
        ) : (
          <li>
            {t('slide {one} alone{hidden}', { one, hidden: hidden[one - 1] === true && t(', which you have hidden') })}
          </li>
        )}
        <li>
          {format === 'png'
            ? t('for a web page or a message; text in it cannot be found or changed')
            : t('text can be found and changed; fonts and pictures are in the file')}
        </li>
      </Inside>
      <Download
        key={`${format} ${one}`}
        {...props}
        card="pictures"
        format={format}
        choices={{
          ...(format === 'png' ? { width: String(width) } : {}),
          ...(one === null ? {} : { only: String(one) }),
        }}
        holds={one === null ? count(shown, 'picture') : t('slide {one}', { one })}
        {...(answer === null ? {} : { title: answer.title })}
      />
    </Card>
  );
}
