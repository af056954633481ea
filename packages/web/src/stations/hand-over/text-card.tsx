/** The deck as text, to go on with elsewhere. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Heading, Select } from '../../ui/recipes.tsx';
import { Card, Inside } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';

const FORMATS = ['md', 'txt', 'opml'] as const;
const KINDS: Readonly<Record<(typeof FORMATS)[number], string>> = {
  md: 'Markdown: headings, lists, paragraphs',
  txt: 'Plain text: to paste anywhere',
  opml: 'OPML: an outline with notes',
};

const NAMES: Readonly<Record<(typeof FORMATS)[number], string>> = { md: 'Markdown', txt: 'TXT', opml: 'OPML' };
const HOLDS: Readonly<Record<(typeof FORMATS)[number], string>> = {
  md: 'brought in again, it makes the same slides; pictures are in the file',
  txt: 'tables line by line, pictures by their descriptions',
  opml: 'for outliners; tables line by line, pictures by their descriptions',
};

export function TextCard(props: FormatProps) {
  const { hidden } = props.view.pages;
  const [format, setFormat] = useState<(typeof FORMATS)[number]>('md');
  const off = hidden.filter(Boolean).length;
  const shown = hidden.length - off;
  return (
    <Card aria-label={FORMAT_LABELS.md}>
      <Heading as="h2" fontSize="lg">
        Slides as text, {NAMES[format]}
      </Heading>
      <chakra.label display="grid" gap="3px" fontSize="sm" color="soft" justifyItems="start">
        Written as
        <Select value={format} onChange={(event) => setFormat(event.target.value as typeof format)}>
          {FORMATS.map((one) => (
            <option key={one} value={one}>
              {KINDS[one]}
            </option>
          ))}
        </Select>
      </chakra.label>
      <Inside>
        <li>titles, points and speaker notes of {count(shown, 'slide')}</li>
        <li>{HOLDS[format]}</li>
        {off > 0 && <li>without the {count(off, 'slide')} that you have hidden</li>}
      </Inside>
      <Box>
        <Download key={format} {...props} format={format} choices={{}} holds={count(shown, 'slide')} />
      </Box>
    </Card>
  );
}
