/** Each slide as a picture, in one archive. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { PICTURE_WIDTHS } from '@alvex/core';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Heading, Select } from '../../ui/recipes.tsx';
import { Card, Inside } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';

/** Of a mail or a page, of a screen, of a large one. */
const WIDTHS = [1280, PICTURE_WIDTHS.usual, 3840] as const;

export function PicturesCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [width, setWidth] = useState<number>(PICTURE_WIDTHS.usual);
  const shown = hidden.filter((off) => !off).length;
  return (
    <Card aria-label={FORMAT_LABELS.png}>
      <Heading as="h2" fontSize="lg">
        {FORMAT_LABELS.png}, PNG
      </Heading>
      <chakra.label display="grid" gap="3px" fontSize="sm" color="soft" justifyItems="start">
        Width of each
        <Select value={width} onChange={(event) => setWidth(Number(event.target.value))}>
          {WIDTHS.map((one) => (
            <option key={one} value={one}>
              {one} pixels
            </option>
          ))}
        </Select>
      </chakra.label>
      <Inside>
        <li>{count(shown, 'slide')}, a picture each, in one ZIP archive</li>
        <li>named by number and title, for a web page or a message</li>
      </Inside>
      <Download {...props} format="png" choices={{ width: String(width) }} holds={count(shown, 'picture')} />
    </Card>
  );
}
