/** An organisation's presentation file: its layouts, colours and fonts are used, and its parts stay as they are. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { LayoutName, TemplateUse } from '@alvex/core';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAhead } from '../../state/use-ahead.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { count, decimal, listed, quoted } from '../../ui/format.ts';
import { LAYOUT_LABELS } from '../../ui/labels.ts';
import { Action, Heading, Notice, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { TemplateAnswer } from '../../worker/questions.ts';
import { replacing, TEMPLATE_FILES, useTemplateFile } from '../shared/use-template-file.ts';
import { tellingSlides, type ShelfProps } from '../shared/own-slides.tsx';
import { PresentationStrip } from './presentation-strip.tsx';

const SHOWN = 8;
const KEEP_LABELS = {
  none: t('its own slides are left out'),
  before: t('its own slides first, then yours'),
  after: t('yours first, then its own slides'),
} as const;
/** @param where A key of `KEEP_LABELS`, or behind which of its slides yours stand. */
function placed({ behind: _, ...use }: TemplateUse, where: string): TemplateUse {
  return where in KEEP_LABELS
    ? { ...use, keep: where as TemplateUse['keep'] }
    : { ...use, keep: 'before', behind: Number(where) };
}
const Matches = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'repeat(auto-fill, minmax(310px, 1fr))',
    gap: '4px 18px',
    fontSize: 'sm',
  },
});

export function TemplateShelf({ pages }: ShelfProps) {
  const use = useDeck((state) => state.view?.template ?? null);
  const { answer } = useAnswer({ what: 'template' });
  const { take, busy, failure, removed } = useTemplateFile();
  const keys = useMemo(() => tellingSlides(pages, SHOWN), [pages]);
  return (
    <>
      <Heading>{t('A template of your organisation')}</Heading>
      <Small mb="10px">
        {t(
          'A presentation file, PPTX. Your slides are built on its layouts; its masters, colours, fonts and logos stay in the result as they are.',
        )}
      </Small>
      <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap">
        <FileButton
          accept={TEMPLATE_FILES}
          label={t('File of the template')}
          look={use === null ? 'main' : 'plain'}
          disabled={busy}
          take={(file) => void take(file)}
        >
          {busy ? t('Reading …') : use === null ? t('Choose a file …') : t('Another file …')}
        </FileButton>
        {use !== null && (
          <>
            <chakra.b>{use.fileName}</chakra.b>
            <Action look="quiet" size="small" onClick={() => edit({ kind: 'template', template: null })}>
              {t('Without it: back to the theme')}
            </Action>
          </>
        )}
      </Box>
      {failure !== null && (
        <Notice tone="fault" role="alert" mt="10px">
          {t('The file cannot be used as a template. {failure} Nothing was changed.', { failure })}
        </Notice>
      )}
      {removed !== null && (
        <Notice role="status" mt="10px">
          {removed}
        </Notice>
      )}
      {use !== null && answer === null && <Small mt="10px">{t('Reading the template …')}</Small>}
      {use !== null && answer !== null && (
        <>
          <Facts use={use} answer={answer} slides={pages.order.length} />
          <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(230px, 1fr))" gap="12px" my="14px">
            {keys.map((key) => (
              <DeckSlide key={key} slideKey={key} number={pages.order.indexOf(key) + 1} />
            ))}
          </Box>
          <MatchList use={use} answer={answer} used={new Set(pages.layouts)} />
        </>
      )}
    </>
  );
}

interface FactsProps {
  readonly use: TemplateUse;
  readonly answer: TemplateAnswer;
  /** How many the deck has. */
  readonly slides: number;
}

function Facts({ use, answer, slides }: FactsProps) {
  const setPlace = (where: string) => edit({ kind: 'template', template: placed(use, where) });
  return (
    <Box mt="10px" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap="6px">
      <About answer={answer} />
      {answer.slides > 0 && <PlaceAmong use={use} answer={answer} setPlace={setPlace} />}
      {use.keep !== 'none' && <Replacing use={use} answer={answer} />}
      {answer.slides > 0 && (
        <PresentationStrip
          use={use}
          answer={answer}
          slides={slides}
          place={(behind) => setPlace(behind === 0 ? 'after' : behind === answer.slides ? 'before' : `${behind}`)}
        />
      )}
    </Box>
  );
}

type AboutProps = Pick<FactsProps, 'use' | 'answer'>;

/** What the template is, and what of it is not as in its file. */
function About({ answer }: Pick<FactsProps, 'answer'>) {
  const near = answer.fonts.filter(({ stands }) => stands === 'near');
  return (
    <>
      <Small>
        {t('{layouts} on {masters}, slides of {width} by {height} inches; set in {fonts}.', {
          layouts: count(answer.layouts.length, 'layout'),
          masters: count(answer.masters.length, 'master'),
          width: decimal(answer.size.width),
          height: decimal(answer.size.height),
          fonts: listed(answer.fonts.map(({ name }) => name)),
        })}
      </Small>
      {near.length > 0 && (
        <Notice>
          {t(
            '{fonts} do not ship with Alvex: a like font measures and draws here, so lines may break elsewhere where the font itself is installed.',
            { count: near.length, fonts: listed(near.map(({ name }) => name)) },
          )}
        </Notice>
      )}
      {answer.mended.length > 0 && (
        <Small>
          {t(
            '{n} colours of the template would not be read as text on its ground: text takes another of its colours or a shade, shapes keep them.',
            { count: answer.mended.length },
          )}
        </Small>
      )}
      {answer.undrawn > 0 && (
        <Small>
          {t('{n} decorations of the layouts cannot be drawn here; the presentation will have them.', {
            count: answer.undrawn,
          })}
        </Small>
      )}
    </>
  );
}

function PlaceAmong({ use, answer, setPlace }: AboutProps & { readonly setPlace: (where: string) => void }) {
  return (
    <Box display="flex" flexWrap="wrap" gap="4px 8px" alignItems="center">
      <Small>{t('The file has {n} slides of its own:', { count: answer.slides })}</Small>
      <Select
        aria-label={t('Slides of the template')}
        value={use.behind === undefined ? use.keep : `${use.behind}`}
        maxW="min(420px, 100%)"
        onChange={(event) => setPlace(event.target.value)}
      >
        {Object.entries(KEEP_LABELS).map(([keep, label]) => (
          <option key={keep} value={keep}>
            {keep === 'before' && use.replaces !== undefined ? t('yours where those stood that they replace') : label}
          </option>
        ))}
        {Array.from({ length: answer.slides - 1 }, (_, i) => (
          <option key={i} value={`${i + 1}`}>
            {t('yours behind its slide {i}{title}', {
              i: i + 1,
              title: answer.titles[i] ? `, ${quoted(answer.titles[i])}` : '',
            })}
          </option>
        ))}
      </Select>
    </Box>
  );
}

/** Slides that were made of documents before, which these can replace. */
function Replacing({ use, answer }: AboutProps) {
  const replaced = answer.made.find(({ document }) => document === use.replaces);
  return (
    <>
      {answer.made.map(({ document, slides: made }) => (
        <chakra.label key={document} display="flex" gap="8px" fontSize="sm" cursor="pointer">
          <input
            type="checkbox"
            checked={use.replaces === document}
            onChange={(event) =>
              edit({ kind: 'template', template: replacing(use, event.target.checked ? document : null) })
            }
          />
          {t('Replace the {n} slides that were made of {document} before', { count: made.length, document })}
        </chakra.label>
      ))}
      {replaced !== undefined && replaced.changed.length > 0 && (
        <Notice>
          {t(
            '{n} of the slides that are replaced were written on in the file since: {slides}. These words go with them; the file that you brought stays as it is.',
            {
              count: replaced.changed.length,
              slides: replaced.changed.map((i) => t('slide {i}', { i: i + 1 })).join(', '),
            },
          )}
        </Notice>
      )}
    </>
  );
}

interface MatchProps {
  readonly use: TemplateUse;
  readonly answer: TemplateAnswer;
  readonly used: ReadonlySet<LayoutName>;
}

/** Which of its layouts stands for each of ours: those that the deck uses first. */
function MatchList({ use: inForce, answer, used }: MatchProps) {
  const [use, setUse] = useAhead(inForce);
  const [all, setAll] = useState(false);
  const shown = answer.matches.filter(({ layout }) => all || used.has(layout));
  const set = (layout: LayoutName, part: string) => {
    const { [layout]: _, ...others } = use.layouts;
    const template = { ...use, layouts: part === '' ? others : { ...others, [layout]: part } };
    setUse(template);
    edit({ kind: 'template', template });
  };
  return (
    <section aria-label={t('Layouts of the template')}>
      <Small mb="6px">{t('Which of its layouts your slides are built on')}</Small>
      <Matches>
        {shown.map(({ layout, part, chosen }) => (
          <chakra.label key={layout} display="grid" gridTemplateColumns="130px 1fr" gap="8px" alignItems="center">
            {LAYOUT_LABELS[layout]}
            <Select
              aria-label={t('Layout for {layout}', { layout: LAYOUT_LABELS[layout] })}
              value={chosen ? part : ''}
              onChange={(event) => set(layout, event.target.value)}
            >
              <option value="">
                {chosen ? t('as it was matched') : t('matched: {name}', { name: nameOf(answer, part) })}
              </option>
              {answer.layouts.map((one) => (
                <option key={one.part} value={one.part}>
                  {nameOf(answer, one.part)}
                </option>
              ))}
            </Select>
          </chakra.label>
        ))}
      </Matches>
      <Action size="small" look="quiet" mt="8px" onClick={() => setAll(!all)}>
        {all ? t('Only those in use') : t('All kinds of slides')}
      </Action>
    </section>
  );
}

function nameOf(answer: TemplateAnswer, part: string): string {
  const found = answer.layouts.find((one) => one.part === part);
  if (found === undefined) return part;
  const name = found.name || part.slice(part.lastIndexOf('/') + 1).replace('.xml', '');
  return answer.masters.length > 1 ? t('{name} (master {master})', { name, master: found.master + 1 }) : name;
}
