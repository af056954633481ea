/** The Hand over station: one card a result, with what is inside. */
import { Box, chakra } from '@chakra-ui/react';
import { Download } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { DeckSummary } from '@alvex/contract';
import {
  designNamed,
  FORMAT_NAMES,
  FORMATS,
  fontPairNamed,
  type DeckLook,
  type FormatName,
  type TemplateUse,
} from '@alvex/core';
import { deckFileUrl, fontUrl, originalUrl, wholeDeckUrl } from '../../api/client.ts';
import { useDeck, type DeckState } from '../../state/deck-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { useLog } from '../../state/log-store.ts';
import { count } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';

const Wall = chakra('div', {
  base: { h: '100%', overflowY: 'auto', px: '24px', py: '18px', maxW: '980px', mx: 'auto' },
});
const Card = chakra('section', {
  base: {
    border: '1px solid',
    borderColor: 'line',
    bg: 'card',
    p: '20px',
    display: 'grid',
    gap: '10px',
    alignContent: 'start',
  },
});
const Inside = chakra('ul', { base: { pl: '16px', fontSize: 'sm', color: 'soft', '& li': { py: '1px' } } });

export function HandOverStation() {
  const deck = useDeck((state) => state.deck);
  const view = useDeck((state) => state.view);
  const [failure, setFailure] = useState<string | null>(null);
  if (deck === null || view === null) return null;
  return (
    <Wall>
      <Heading mb="14px">What you take with you</Heading>
      {failure !== null && (
        <Notice tone="fault" role="alert" mb="14px">
          {failure}
        </Notice>
      )}
      <Box display="grid" gap="16px" css={{ gridTemplateColumns: 'repeat(auto-fit, minmax(300px, 1fr))' }}>
        {FORMAT_NAMES.map((format) => (
          <FormatCard key={format} format={format} deck={deck} view={view} fail={setFailure} />
        ))}
        <DocumentCard deck={deck} />
        <WholeCard deck={deck} />
      </Box>
    </Wall>
  );
}

interface FormatProps {
  readonly format: FormatName;
  readonly deck: DeckSummary;
  readonly view: NonNullable<DeckState['view']>;
  /** Told why it could not be written; null when it is tried again. */
  readonly fail: (failure: string | null) => void;
}

function FormatCard({ format, deck, view, fail }: FormatProps) {
  const waiting = useLog((state) => state.sync.waiting);
  const [writing, setWriting] = useState(false);
  const [embeds, setEmbeds] = useState(false);
  const ships = view.template === null && pairOf(view.look).source === 'ships';
  const fonts = ships && embeds;
  const { label, inside } = FORMAT_LABELS[format];
  const ending = FORMATS[format].ending;
  const { counts } = view;
  const slides = view.pages.order.length;
  const download = async () => {
    setWriting(true);
    fail(null);
    try {
      const response = await fetch(deckFileUrl(deck.id, format, fonts));
      if (!response.ok) throw new Error(((await response.json()) as { error: { message: string } }).error.message);
      const link = document.createElement('a');
      link.href = URL.createObjectURL(await response.blob());
      link.download = `${deck.name.replace(/[\\/:*?"<>|]+/g, ' ').trim() || 'deck'}.${ending}`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    } catch (error) {
      const away = error instanceof TypeError;
      const reason = away
        ? 'The server cannot be reached. Your work is kept in this window.'
        : (error as Error).message;
      fail(`The ${label.toLowerCase()} was not written. ${reason}`);
    }
    setWriting(false);
  };
  return (
    <Card aria-label={label}>
      <Heading as="h2" fontSize="lg">
        {label}, {ending.toUpperCase()}
      </Heading>
      <Inside>
        <li>
          {count(slides, 'slide')}
          {counts.sections > 0 && ` in ${count(counts.sections, 'section')}`}, {inside}
        </li>
        <li>speaker notes on {count(counts.notes, 'slide')}</li>
        {counts.tables > 0 && <li>{count(counts.tables, 'slide')} with a native table</li>}
        {counts.pictures > 0 && (
          <li>{count(counts.pictures, 'slide')} with a picture, described where the document describes it</li>
        )}
        {view.template === null ? (
          <ThemeLine look={view.look} embedded={fonts} />
        ) : (
          <TemplateLines template={view.template} />
        )}
      </Inside>
      {ships && (
        <chakra.label display="flex" gap="8px" alignItems="flex-start" fontSize="sm" cursor="pointer">
          <input type="checkbox" checked={embeds} onChange={(event) => setEmbeds(event.target.checked)} />
          Put the fonts in the file, for computers that lack them
        </chakra.label>
      )}
      <Box>
        <Action look="main" onClick={() => void download()} disabled={writing || slides === 0 || waiting > 0}>
          <Download size={14} /> {writing ? 'Writing …' : `Download ${ending.toUpperCase()}`}
        </Action>
      </Box>
      {waiting > 0 && <Small>{count(waiting, 'edit')} must be kept on the server first.</Small>}
    </Card>
  );
}

/** The document as it came, in the edition that is in force. */
function DocumentCard({ deck }: { readonly deck: DeckSummary }) {
  const edition = useLog((state) => state.edition);
  return (
    <Card aria-label="Original">
      <Heading as="h2" fontSize="lg">
        Your document
      </Heading>
      <Inside>
        <li>
          {edition?.fileName ?? deck.fileName}
          {edition !== null && ', the edition in force'}
        </li>
        <li>byte for byte as you brought it in</li>
      </Inside>
      <Box display="flex" flexWrap="wrap" gap="8px">
        <OriginalLink url={originalUrl(deck.id, edition?.original)}>Download the original</OriginalLink>
        {edition !== null && <OriginalLink url={originalUrl(deck.id)}>The first edition, {deck.fileName}</OriginalLink>}
      </Box>
    </Card>
  );
}

/** All of it, for another computer or for later. */
function WholeCard({ deck }: { readonly deck: DeckSummary }) {
  const waiting = useLog((state) => state.sync.waiting);
  return (
    <Card aria-label="Whole deck">
      <Heading as="h2" fontSize="lg">
        The whole deck as one file
      </Heading>
      <Inside>
        <li>the document in all editions, pictures, the template, and every edit in force</li>
        <li>brought in on the page of decks, here or on another computer, it is the same deck</li>
      </Inside>
      <Box>
        {waiting > 0 ? (
          <Small>{count(waiting, 'edit')} must be kept on the server first.</Small>
        ) : (
          <OriginalLink url={wholeDeckUrl(deck.id)}>Save the deck</OriginalLink>
        )}
      </Box>
    </Card>
  );
}

function OriginalLink({ url, children }: { readonly url: string; readonly children: ReactNode }) {
  return (
    <a href={url} download style={{ textDecoration: 'none' }}>
      <Action as="span">
        <Download size={14} /> {children}
      </Action>
    </a>
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
