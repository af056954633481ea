/** The presentation: what it holds, and its download. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { designNamed, fontPairNamed, type DeckLook, type TemplateUse } from '@alvex/core';
import { fontUrl } from '../../api/client.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Card, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { SlidePreview } from './previews.tsx';

const KINDS = {
  pptx: 'PPTX: Office Open XML',
  odp: 'ODP: OpenDocument',
} as const;

export function PresentationCard(props: FormatProps) {
  const { view } = props;
  const { counts } = view;
  const [embeds, setEmbeds] = useState(false);
  const [format, setFormat] = useState<keyof typeof KINDS>('pptx');
  const open = format === 'odp';
  const ships = view.template === null && pairOf(view.look).source === 'ships';
  const fonts = ships && embeds && !open;
  return (
    <Card
      name={FORMAT_LABELS.pptx}
      purpose="To edit"
      heading={`${FORMAT_LABELS.pptx}, ${format.toUpperCase()}`}
      preview={<SlidePreview deck={props.deck.id} />}
    >
      <OneOf label="Written as" value={format} options={KINDS} choose={setFormat} />
      <Inside>
        <li>
          {count(view.pages.order.length, 'slide')}
          {counts.sections > 0 && !open && ` in ${count(counts.sections, 'section')}`}, titles and points in the
          layout’s placeholders
        </li>
        <li>speaker notes on {count(counts.notes, 'slide')}</li>
        {counts.tables > 0 && <li>{count(counts.tables, 'slide')} with a native table</li>}
        {counts.pictures > 0 && (
          <li>{count(counts.pictures, 'slide')} with a picture, described where the document describes it</li>
        )}
        {open && counts.sections > 0 && <li>this format has no sections: each is its opening slide</li>}
        {open && counts.pictures > 0 && <li>round corners and tints of pictures are left out: it has neither</li>}
        {open && view.template !== null ? (
          <li>drawn like {view.template.fileName}, as near as this format can; on its own layouts only as PPTX</li>
        ) : view.template === null ? (
          <ThemeLine look={view.look} embedded={fonts} />
        ) : (
          <TemplateLines template={view.template} />
        )}
      </Inside>
      {ships && !open && (
        <chakra.label display="flex" gap="8px" alignItems="flex-start" fontSize="sm" cursor="pointer">
          <input type="checkbox" checked={embeds} onChange={(event) => setEmbeds(event.target.checked)} />
          Put the fonts in the file, for computers that lack them
        </chakra.label>
      )}
      <Download
        key={format}
        {...props}
        card="presentation"
        format={format}
        choices={fonts ? { fonts: '1' } : {}}
        holds={count(view.pages.order.length, 'slide')}
      />
    </Card>
  );
}

const KEPT: Readonly<Record<TemplateUse['keep'], string>> = {
  none: 'its own slides are left out',
  before: 'its own slides stand before yours',
  after: 'its own slides stand behind yours',
};

/** What comes of the organisation's file. */
function TemplateLines({ template }: { readonly template: TemplateUse }) {
  const { answer } = useAnswer({ what: 'template' });
  const missing = answer?.fonts.filter(({ stands }) => stands !== 'as-wide').map(({ name }) => name) ?? [];
  return (
    <>
      <li>built on {template.fileName}: its masters, layouts, fonts and colours</li>
      {(answer?.slides ?? 0) > 0 && (
        <li>
          {template.behind !== undefined
            ? `yours stand behind its slide ${template.behind}`
            : template.replaces !== undefined
              ? `its own slides stay; yours stand instead of those made of ${template.replaces} before`
              : KEPT[template.keep]}
        </li>
      )}
      {missing.length > 0 && <li>set in {missing.join(' and ')}, which whoever edits it must have installed</li>}
    </>
  );
}

const pairOf = (look: DeckLook) => fontPairNamed(look.fonts) ?? fontPairNamed(designNamed(look.theme).fonts)!;

/** What whoever edits the presentation needs to have installed. @param embedded Whether its fonts go along. */
function ThemeLine({ look, embedded }: { readonly look: DeckLook; readonly embedded: boolean }) {
  const design = designNamed(look.theme);
  const pair = pairOf(look);
  const fonts = [...new Set([pair.heading, pair.body])];
  if (pair.source === 'common')
    return (
      <li>
        theme {design.label}; its fonts, {fonts.join(' and ')}, stand on most computers
      </li>
    );
  if (embedded)
    return (
      <li>
        theme {design.label}; its fonts, {fonts.join(' and ')}, go along, with their letters of your slides and those of
        all languages in Latin script
      </li>
    );
  return (
    <li>
      theme {design.label}; whoever edits it must install{' '}
      {fonts.map((font, i) => (
        <span key={font}>
          {i > 0 && ' and '}
          <a href={fontUrl(font)} download>
            {font}
          </a>
        </span>
      ))}
      , which is free to do
    </li>
  );
}
