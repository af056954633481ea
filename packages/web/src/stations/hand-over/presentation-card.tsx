/** The presentation: what it holds, and its download. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { designNamed, fontPairNamed, type DeckLook, type TemplateUse } from '@alvex/core';
import { fontUrl } from '../../api/client.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { count, listed } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { t } from '../../words/words.ts';
import { Card, Inside, OneOf } from './card.tsx';
import { Download, type FormatProps } from './download.tsx';
import { SlidePreview } from './previews.tsx';

const KINDS = {
  pptx: t('PPTX: Office Open XML'),
  odp: 'ODP: OpenDocument',
} as const;

export function PresentationCard(props: FormatProps) {
  const { view } = props;
  const { counts } = view;
  const [embeds, setEmbeds] = useState(false);
  const [format, setFormat] = useState<keyof typeof KINDS>('pptx');
  const open = format === 'odp';
  const ships = view.template === null && pairOf(view.look).source === 'ships';
  const fonts = ships && embeds;
  return (
    <Card
      name={FORMAT_LABELS.pptx}
      purpose={t('To edit')}
      heading={`${FORMAT_LABELS.pptx}, ${format.toUpperCase()}`}
      preview={<SlidePreview deck={props.deck.id} />}
    >
      <OneOf label={t('Written as')} value={format} options={KINDS} choose={setFormat} />
      <Inside>
        <li>
          {t('{n} slides{sections}, titles and points in the layout’s placeholders', {
            count: view.pages.order.length,
            sections: counts.sections > 0 && !open && t(' in {n} sections', { count: counts.sections }),
          })}
        </li>
        <li>{t('speaker notes on {n} slides', { count: counts.notes })}</li>
        {counts.tables > 0 && <li>{t('{n} slides with a native table', { count: counts.tables })}</li>}
        {counts.pictures > 0 && (
          <li>
            {t('{n} slides with a picture, described where the document describes it', { count: counts.pictures })}
          </li>
        )}
        {open && counts.sections > 0 && <li>{t('this format has no sections: each is its opening slide')}</li>}
        {open && counts.pictures > 0 && (
          <li>{t('round corners and tints of pictures are left out: it has neither')}</li>
        )}
        {open && view.template !== null ? (
          <li>
            {t('drawn like {fileName}, as near as this format can; on its own layouts only as PPTX', {
              fileName: view.template.fileName,
            })}
          </li>
        ) : view.template === null ? (
          <ThemeLine look={view.look} embedded={fonts} />
        ) : (
          <TemplateLines template={view.template} />
        )}
      </Inside>
      {ships && (
        <chakra.label display="flex" gap="8px" alignItems="flex-start" fontSize="sm" cursor="pointer">
          <input type="checkbox" checked={embeds} onChange={(event) => setEmbeds(event.target.checked)} />
          {t('Put the fonts in the file, for computers that lack them')}
        </chakra.label>
      )}
      <Download
        key={format}
        {...props}
        card="presentation"
        format={format}
        choices={{ thumbnail: '1', ...(fonts ? { fonts: '1' } : {}) }}
        holds={count(view.pages.order.length, 'slide')}
      />
    </Card>
  );
}

const KEPT: Readonly<Record<TemplateUse['keep'], string>> = {
  none: t('its own slides are left out'),
  before: t('its own slides stand before yours'),
  after: t('its own slides stand behind yours'),
};

/** What comes of the organisation's file. */
function TemplateLines({ template }: { readonly template: TemplateUse }) {
  const { answer } = useAnswer({ what: 'template' });
  const missing = answer?.fonts.filter(({ stands }) => stands !== 'as-wide').map(({ name }) => name) ?? [];
  return (
    <>
      <li>{t('built on {fileName}: its masters, layouts, fonts and colours', { fileName: template.fileName })}</li>
      {(answer?.slides ?? 0) > 0 && (
        <li>
          {template.behind !== undefined
            ? t('yours stand behind its slide {behind}', { behind: template.behind })
            : template.replaces !== undefined
              ? t('its own slides stay; yours stand instead of those made of {replaces} before', {
                  replaces: template.replaces,
                })
              : KEPT[template.keep]}
        </li>
      )}
      {missing.length > 0 && (
        <li>{t('set in {fonts}, which whoever edits it must have installed', { fonts: listed(missing) })}</li>
      )}
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
        {t('theme {label}; its fonts, {fonts}, stand on most computers', {
          label: design.label,
          fonts: listed(fonts),
        })}
      </li>
    );
  if (embedded)
    return (
      <li>
        {t(
          'theme {label}; its fonts, {fonts}, go along, with their letters of your slides and those of all languages in Latin script',
          { label: design.label, fonts: listed(fonts) },
        )}
      </li>
    );
  return (
    <li>
      {t('theme {label}; whoever edits it must install', { label: design.label })}{' '}
      {fonts.map((font, i) => (
        <span key={font}>
          {i > 0 && t(' and ')}
          <a href={fontUrl(font)} download>
            {font}
          </a>
        </span>
      ))}
      {t(', which is free to do')}
    </li>
  );
}
