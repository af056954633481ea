/** A picture for a slide: from a file, pasted, or from the library in the colours of the deck. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import {
  designNamed,
  isDark,
  LIBRARY,
  LIBRARY_SIZE,
  makePalette,
  runsText,
  searchWords,
  seedOf,
  TagIndex,
  type LibraryPicture,
  type Palette,
  type Picture,
} from '@alvex/core';
import { ApiError, pictureUrl, sendPicture } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { Action, Field, Notice, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { useAnswer } from '../../state/use-answer.ts';
import type { Row } from '../../worker/shown.ts';
import { PanelPart, PanelRow } from './panel-part.tsx';
import { newId } from './slide-work.ts';

export function PlacePicture({ row }: { readonly row: Row }) {
  const [open, setOpen] = useState(false);
  return (
    <PanelPart head={t('A picture for this slide')}>
      <Action size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {t('From a file, pasted, or from the library')}
      </Action>
      {open && (
        <PictureChooser
          row={row}
          take={(picture, alt) => {
            edit({ kind: 'place', slide: row.slide, part: newId(), after: row.all.at(-1)?.id ?? null, picture, alt });
            setOpen(false);
          }}
        />
      )}
    </PanelPart>
  );
}

const Choices = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(96px, 1fr))', gap: '6px', mt: '8px' },
});
const Choice = chakra('button', {
  base: { border: '1px solid', borderColor: 'line', bg: 'card', p: '2px', cursor: 'pointer' },
});

const SHOWN = 8;
const index = new TagIndex(LIBRARY);

interface ChooserProps {
  readonly row: Row;
  readonly take: (picture: Picture, alt: string | null) => void;
}

export function PictureChooser({ row, take }: ChooserProps) {
  const [words, setWords] = useState('');
  const { busy, failure, send } = useSending(take);
  return (
    <Box
      mt="6px"
      onPaste={(event) => {
        const file = [...event.clipboardData.files].find(({ type }) => type.startsWith('image/'));
        if (file === undefined) return;
        event.preventDefault();
        void send(file, file.name, null);
      }}
    >
      <PanelRow>
        <FileButton
          size="small"
          accept="image/png,image/jpeg,image/gif"
          label={t('File of the picture')}
          take={(file) => void send(file, file.name, null)}
        >
          {t('A file …')}
        </FileButton>
        <Field
          aria-label={t('Search pictures, or paste one')}
          placeholder={t('search pictures, or paste one here')}
          value={words}
          flex="1"
          minW="220px"
          onChange={(event) => setWords(event.target.value)}
        />
      </PanelRow>
      {failure !== null && (
        <Notice tone="fault" role="alert" mt="6px">
          {failure}
        </Notice>
      )}
      <OwnPictures row={row} words={words} busy={busy} take={take} />
      <FromLibrary row={row} words={words} busy={busy} send={send} />
      <Small mt="4px">{t('Drawn for Alvex, in the colours of your deck, free to use (MIT).')}</Small>
    </Box>
  );
}

/** Sends pictures to the deck, one at a time, and gives them on when they are there. */
function useSending(take: ChooserProps['take']) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (body: Blob, name: string, alt: string | null) => {
    setBusy(true);
    setFailure(null);
    try {
      take(await sendPicture(deck, body, name), alt);
    } catch (error) {
      setFailure(error instanceof ApiError ? error.message : t('This picture was not taken. Nothing was changed.'));
    }
    setBusy(false);
  };
  return { busy, failure, send };
}

interface ShelfProps {
  readonly row: Row;
  /** What is searched; without, what fits the slide is shown. */
  readonly words: string;
  readonly busy: boolean;
}

function OwnPictures({ row, words, busy, take }: ShelfProps & { readonly take: ChooserProps['take'] }) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const { answer: own } = useAnswer({ what: 'ownPictures', words, text: textOf(row) });
  if (own === null || own.length === 0) return null;
  return (
    <>
      <Small mt="6px">{t('In this deck')}</Small>
      <Choices>
        {own.map(({ picture, alt }) => (
          <Choice
            key={picture.id}
            disabled={busy}
            title={alt ?? ''}
            aria-label={t('In this deck: {alt}', { alt: alt ?? t('without a description') })}
            onClick={() => take(picture, alt)}
          >
            <img
              src={pictureUrl(deck, picture.id)}
              alt=""
              loading="lazy"
              style={{ display: 'block', width: '100%', aspectRatio: '4 / 3', objectFit: 'contain' }}
            />
          </Choice>
        ))}
      </Choices>
      <Small mt="6px">{t('In the library')}</Small>
    </>
  );
}

function FromLibrary({
  row,
  words,
  busy,
  send,
}: ShelfProps & { readonly send: ReturnType<typeof useSending>['send'] }) {
  const look = useDeck((state) => state.view?.look);
  const palette = useMemo(
    () => (look === undefined ? undefined : makePalette(seedOf(designNamed(look.theme), look.palette), isDark(look))),
    [look],
  );
  if (palette === undefined) return null;
  const isSearched = words.trim() !== '';
  const fitting = index.search(searchWords(isSearched ? words : textOf(row)), SHOWN);
  const shown = fitting.length > 0 || isSearched ? fitting : LIBRARY.slice(0, SHOWN);
  const fromLibrary = async (picture: LibraryPicture) =>
    send(await rastered(picture, palette), `${picture.name}.png`, picture.shows);
  return (
    <>
      <Choices>
        {shown.map((picture) => (
          <Choice
            key={picture.name}
            disabled={busy}
            title={picture.shows}
            aria-label={t('Library: {shows}', { shows: picture.shows })}
            onClick={() => void fromLibrary(picture)}
          >
            <img src={dataUrl(picture, palette)} alt="" style={{ display: 'block', width: '100%' }} />
          </Choice>
        ))}
      </Choices>
      {shown.length === 0 && <Small mt="6px">{t('The library has no picture for this word.')}</Small>}
    </>
  );
}

const textOf = (row: Row): string =>
  [row.title.runs, ...row.all.flatMap((part) => ('runs' in part ? [part.runs] : []))].map(runsText).join(' ');

const dataUrl = (picture: LibraryPicture, palette: Palette): string =>
  `data:image/svg+xml,${encodeURIComponent(picture.svg(palette))}`;

/** As PNG: a format that every receiver shows. */
async function rastered(picture: LibraryPicture, palette: Palette): Promise<Blob> {
  const { width, height } = LIBRARY_SIZE;
  const image = new Image(width, height);
  image.src = dataUrl(picture, palette);
  await image.decode();
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.drawImage(image, 0, 0, width, height);
  return canvas.convertToBlob({ type: 'image/png' });
}
