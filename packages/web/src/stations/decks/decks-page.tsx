/** The list of decks, and the ways to bring a document in. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useEffectEvent, useLayoutEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { DOCUMENT_ENDINGS } from '@alvex/core';
import type { DeckSummary } from '@alvex/contract';
import type { NewDocument } from '../../api/client.ts';
import { bringBack, bringIn, dismiss, openDemo, refreshDecks, useDecks } from '../../state/decks-store.ts';
import { closeDeck } from '../../state/session.ts';
import { count, dayAndTime } from '../../ui/format.ts';
import { Action, Heading, Notice, ProgressBar, Select, Small } from '../../ui/recipes.tsx';
import { language, LANGUAGES, speak } from '../../words/language.ts';
import { t } from '../../words/words.ts';
import { DeckCards } from './deck-cards.tsx';
import { FilesPanel } from './files-panel.tsx';
import { NOTHING_PASTED, PastePanel, pastedIn, type Pasted } from './paste-panel.tsx';
import { StarterPanel } from './starter-panel.tsx';

const Drop = chakra('div', {
  base: {
    border: '1px dashed',
    borderColor: 'hole',
    bg: 'card',
    px: '32px',
    py: '26px',
    display: 'grid',
    gap: '14px',
    justifyItems: 'center',
    textAlign: 'center',
  },
  variants: { over: { true: { borderColor: 'pine', borderStyle: 'solid', bg: 'pineWash' } } },
});
const Row = chakra('li', {
  base: {
    listStyle: 'none',
    display: 'grid',
    gridTemplateColumns: '1fr auto auto',
    gap: '18px',
    alignItems: 'center',
    borderTop: '1px solid',
    borderColor: 'line',
    py: '10px',
    '@media (max-width: 640px)': { gridTemplateColumns: '1fr auto' },
  },
});

const ACCEPTED = ['alvex', ...DOCUMENT_ENDINGS].map((ending) => `.${ending}`).join(',');

export function DecksPage() {
  const { decks, restorable, failure, reading, deleted } = useDecks();
  const [over, setOver] = useState(false);
  const [open, setOpen] = useState<'paste' | 'start' | null>(null);
  const [several, setSeveral] = useState<readonly NewDocument[]>([]);
  const close = () => {
    setOpen(null);
    setSeveral([]);
  };
  const chooser = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  useEffect(() => {
    closeDeck();
    void refreshDecks();
  }, []);

  const take = async (documents: readonly NewDocument[], station = 'overview') => {
    const deck = await bringIn(...documents);
    // A deck that was saved as a file has been worked on before.
    if (deck !== undefined) await navigate(`/decks/${deck.id}/${deck.version > 0 ? 'slides' : station}`);
  };
  const takeFiles = (files: FileList | null) => {
    const documents = [...(files ?? [])].map((file): NewDocument => ({ body: file, name: file.name }));
    if (documents.length > 1) setSeveral(documents);
    else if (documents.length === 1) void take(documents);
  };
  const [pasted, setPasted] = useState<Pasted>(NOTHING_PASTED);
  // Files are dropped, and files and text pasted, wherever on the page.
  const busy = reading !== null;
  const onDrag = useEffectEvent((event: DragEvent) => {
    if (event.dataTransfer?.types.includes('Files') !== true) return;
    // Else the browser would leave the page for the file.
    event.preventDefault();
    if (busy) return;
    // Leaving the window has no element that is entered.
    setOver(event.type === 'dragover' || (event.type === 'dragleave' && event.relatedTarget !== null));
    if (event.type === 'drop') takeFiles(event.dataTransfer.files);
  });
  const onPaste = useEffectEvent((event: ClipboardEvent) => {
    const { target, clipboardData } = event;
    if (clipboardData === null || busy || open === 'start' || several.length > 0) return;
    if (target instanceof HTMLElement && target.matches('input, textarea')) return;
    if (clipboardData.files.length > 0) return takeFiles(clipboardData.files);
    const text = pastedIn(clipboardData);
    if (text.text.trim() === '' && text.rich === null) return;
    event.preventDefault();
    setPasted(text);
    setOpen('paste');
  });
  // Before the page is seen: the browser would leave it for a file that is dropped at once.
  useLayoutEffect(() => {
    const stop = new AbortController();
    for (const name of ['dragover', 'dragleave', 'drop'] as const)
      window.addEventListener(name, onDrag, { signal: stop.signal });
    window.addEventListener('paste', onPaste, { signal: stop.signal });
    return () => stop.abort();
  }, []);

  return (
    <Box
      as="main"
      maxW="1208px"
      mx="auto"
      px="24px"
      py="32px"
      display="grid"
      gridTemplateColumns="minmax(0, 1fr)"
      gap="26px"
    >
      <title>{t('Decks · Alvex')}</title>
      <Box as="header" display="flex" alignItems="baseline" gap="16px" flexWrap="wrap">
        <chakra.h1 fontFamily="heading" fontStyle="italic" fontWeight={700} fontSize="32px" color="pine">
          Alvex
        </chakra.h1>
        <Small>{t('A document and its slides, two editions of the same text.')}</Small>
        <Select
          aria-label={t('Language')}
          ml="auto"
          value={language === 'de' ? 'de' : 'en'}
          disabled={reading !== null}
          onChange={(event) => speak(event.target.value as 'en' | 'de')}
        >
          {Object.entries(LANGUAGES).map(([one, name]) => (
            <option key={one} value={one} lang={one}>
              {name}
            </option>
          ))}
        </Select>
      </Box>

      {failure !== null && (
        <Notice tone="fault" role="alert">
          <Box flex="1" minW="240px">
            <b>
              {failure.file === undefined
                ? t('That did not work')
                : t('Not brought in: {file}', { file: failure.file })}
            </b>
            <Box>{failure.message}</Box>
            {failure.kept !== undefined && <Box color="soft">{failure.kept}</Box>}
          </Box>
          <Action size="small" onClick={dismiss}>
            {t('Close')}
          </Action>
        </Notice>
      )}
      {deleted.length > 0 && (
        <Notice tone="calm" role="status">
          <Box flex="1">
            {deleted.length === 1
              ? t('“{name}” was deleted.', { name: deleted[0]!.name })
              : t('{all} decks were deleted.', { all: deleted.length })}
          </Box>
          <Action size="small" onClick={() => void bringBack(...deleted)}>
            {t('Bring them back', { count: deleted.length })}
          </Action>
        </Notice>
      )}

      {reading !== null ? (
        <Drop role="status">
          <Box>
            {reading.waiting > 0
              ? t('{name} is number {waiting} in the queue', { name: reading.name, waiting: reading.waiting })
              : `${reading.done === 0 ? t('Sending') : t('Reading')} ${reading.name} …`}
          </Box>
          <ProgressBar label={t('Reading')} done={reading.done} />
          <Action size="small" onClick={reading.cancel}>
            {t('Cancel')}
          </Action>
        </Drop>
      ) : several.length > 0 ? (
        <FilesPanel files={several} take={(...documents) => void take(documents)} close={close} />
      ) : open === 'paste' ? (
        <PastePanel first={pasted} take={(document) => void take([document])} close={close} />
      ) : open === 'start' ? (
        <StarterPanel take={(document) => void take([document], 'document')} close={close} />
      ) : (
        <Drop over={over}>
          <Heading as="h2">{t('Drop documents here')}</Heading>
          <Small maxW="700px">
            {t(
              'Or anywhere on this page; text is pasted with Ctrl+V. DOCX, ODT, RTF, PDF, Markdown, HTML, OPML or plain text: headings become slides, text your notes. Presentations (PPTX, ODP) are read as documents: titles become headings, notes text. Several files become parts of one document. The files themselves are not changed; a deck that was saved as one file comes back as it was.',
            )}
          </Small>
          <Box display="flex" flexWrap="wrap" justifyContent="center" gap="10px">
            <Action look="main" onClick={() => chooser.current?.click()}>
              {t('Choose files')}
            </Action>
            <Action
              onClick={() => {
                setPasted(NOTHING_PASTED);
                setOpen('paste');
              }}
            >
              {t('Paste text')}
            </Action>
            <Action onClick={() => setOpen('start')}>{t('Start an outline')}</Action>
          </Box>
          <input
            ref={chooser}
            type="file"
            multiple
            accept={ACCEPTED}
            hidden
            aria-label={t('Document')}
            onChange={(event) => {
              takeFiles(event.target.files);
              event.target.value = '';
            }}
          />
        </Drop>
      )}

      {decks?.length === 0 && <Empty open={(deck) => void navigate(`/decks/${deck.id}/overview`)} />}
      {decks !== null && decks.length > 0 && <DeckCards decks={decks} />}
      {restorable.length > 0 && <DeletedDecks decks={restorable} />}
    </Box>
  );
}

const KEPT_DAYS = 30;

function DeletedDecks({ decks }: { readonly decks: readonly DeckSummary[] }) {
  const [open, setOpen] = useState(false);
  return (
    <Box as="section" aria-label={t('Deleted decks')}>
      <Action look="quiet" size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {count(decks.length, 'deleted deck')}
      </Action>
      {open && (
        <>
          <Small mt="6px">
            {t('Kept for {days} days; then they go for good, with their files.', { days: KEPT_DAYS })}
          </Small>
          <chakra.ul p="0" m="0" mt="6px">
            {decks.map((deck) => (
              <Row key={deck.id}>
                <Box minW="0" color="soft">
                  <chakra.span fontFamily="heading" fontSize="lg">
                    {deck.name}
                  </chakra.span>
                  <Small>{deck.fileName}</Small>
                </Box>
                <Small css={{ '@media (max-width: 640px)': { display: 'none' } }}>
                  {t('deleted {deletedAt}', { deletedAt: dayAndTime(deck.deletedAt ?? deck.updatedAt) })}
                </Small>
                <Action
                  size="small"
                  aria-label={t('Restore {name}', { name: deck.name })}
                  onClick={() => void bringBack(deck)}
                >
                  {t('Restore')}
                </Action>
              </Row>
            ))}
          </chakra.ul>
        </>
      )}
    </Box>
  );
}

/** Nothing is here yet. */
function Empty({ open }: { readonly open: (deck: DeckSummary) => void }) {
  const [busy, setBusy] = useState(false);
  const look = async () => {
    setBusy(true);
    const deck = await openDemo();
    setBusy(false);
    if (deck !== undefined) open(deck);
  };
  return (
    <Box as="section" aria-label={t('Decks')} display="grid" gap="10px" justifyItems="start">
      <Heading as="h2">{t('Decks')}</Heading>
      <Small>{t('None yet. A deck appears here as soon as you bring in a document.')}</Small>
      <Action disabled={busy} onClick={() => void look()}>
        {busy ? t('Reading …') : t('Try it with a sample report')}
      </Action>
    </Box>
  );
}
