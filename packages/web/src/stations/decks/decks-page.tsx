/** The list of decks, and the ways to bring a document in. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import type { DeckSummary } from '@alvex/contract';
import type { NewDocument } from '../../api/client.ts';
import { bringBack, bringIn, dismiss, refreshDecks, remove, rename, useDecks } from '../../state/decks-store.ts';
import { closeDeck } from '../../state/session.ts';
import { count, dayAndTime } from '../../ui/format.ts';
import { NameField } from '../../ui/name-field.tsx';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { FilesPanel } from './files-panel.tsx';
import { PastePanel } from './paste-panel.tsx';
import { StarterPanel } from './starter-panel.tsx';

const Drop = chakra('div', {
  base: {
    border: '1px dashed',
    borderColor: 'hole',
    bg: 'card',
    px: '32px',
    py: '36px',
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
const Track = chakra('div', { base: { height: '4px', bg: 'line', width: '100%', maxW: '360px', overflow: 'hidden' } });

const ACCEPTED = '.alvex,.docx,.docm,.odt,.rtf,.pdf,.md,.markdown,.html,.htm,.opml,.txt';

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

  const take = async (documents: readonly NewDocument[], station = 'slides') => {
    const deck = await bringIn(...documents);
    if (deck !== undefined) await navigate(`/decks/${deck.id}/${station}`);
  };
  const takeFiles = (files: FileList | null) => {
    const documents = [...(files ?? [])].map((file): NewDocument => ({ body: file, name: file.name }));
    if (documents.length > 1) setSeveral(documents);
    else if (documents.length === 1) void take(documents);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    takeFiles(event.dataTransfer.files);
  };

  return (
    <Box maxW="860px" mx="auto" px="24px" py="40px" display="grid" gap="26px">
      <Box as="header" display="flex" alignItems="baseline" gap="16px" flexWrap="wrap">
        <chakra.span fontFamily="heading" fontStyle="italic" fontWeight={700} fontSize="32px" color="pine">
          Alvex
        </chakra.span>
        <Small>A document and its slides, two editions of the same text.</Small>
      </Box>

      {failure !== null && (
        <Notice tone="fault" role="alert">
          <Box flex="1" minW="240px">
            <b>
              {failure.file === undefined
                ? 'That did not work'
                : `${failure.file} ${/^\d+ files$/.test(failure.file) ? 'were' : 'was'} not brought in`}
            </b>
            <Box>{failure.message}</Box>
            {failure.kept !== undefined && <Box color="soft">{failure.kept}</Box>}
          </Box>
          <Action size="small" onClick={dismiss}>
            Close
          </Action>
        </Notice>
      )}
      {deleted !== null && (
        <Notice tone="calm" role="status">
          <Box flex="1">“{deleted.name}” was deleted.</Box>
          <Action size="small" onClick={() => void bringBack(deleted)}>
            Bring it back
          </Action>
        </Notice>
      )}

      {reading !== null ? (
        <Drop role="status">
          <Box>
            {reading.waiting > 0
              ? `${reading.name} is number ${reading.waiting} in the queue`
              : `${reading.done === 0 ? 'Sending' : 'Reading'} ${reading.name} …`}
          </Box>
          <Track
            role="progressbar"
            aria-label="Reading"
            aria-valuenow={Math.round(reading.done * 100)}
            aria-valuemin={0}
            aria-valuemax={100}
          >
            <Box h="100%" bg="pine" style={{ width: `${Math.max(4, reading.done * 100)}%` }} />
          </Track>
          <Action size="small" onClick={reading.cancel}>
            Cancel
          </Action>
        </Drop>
      ) : several.length > 0 ? (
        <FilesPanel files={several} take={(...documents) => void take(documents)} close={close} />
      ) : open === 'paste' ? (
        <PastePanel take={(document) => void take([document])} close={close} />
      ) : open === 'start' ? (
        <StarterPanel take={(document) => void take([document], 'document')} close={close} />
      ) : (
        <Drop
          over={over}
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
        >
          <Heading as="h2">Drop documents here</Heading>
          <Small>
            DOCX, ODT, RTF, PDF, Markdown, HTML, OPML or plain text. Headings become slides, text your notes. Several
            files become parts of one document. The files themselves are not changed. A deck that was saved as one file
            comes back as it was.
          </Small>
          <Box display="flex" gap="10px">
            <Action look="main" onClick={() => chooser.current?.click()}>
              Choose files
            </Action>
            <Action onClick={() => setOpen('paste')}>Paste text</Action>
            <Action onClick={() => setOpen('start')}>Start an outline</Action>
          </Box>
          <input
            ref={chooser}
            type="file"
            multiple
            accept={ACCEPTED}
            hidden
            aria-label="Document"
            onChange={(event) => {
              takeFiles(event.target.files);
              event.target.value = '';
            }}
          />
        </Drop>
      )}

      <Box as="section" aria-label="Decks">
        <Heading as="h2" mb="10px">
          Decks
        </Heading>
        {decks?.length === 0 && <Small>None yet. A deck appears here as soon as you bring in a document.</Small>}
        <chakra.ul p="0" m="0">
          {decks?.map((deck) => (
            <DeckRow key={deck.id} deck={deck} />
          ))}
        </chakra.ul>
      </Box>
      {restorable.length > 0 && <DeletedDecks decks={restorable} />}
    </Box>
  );
}

const KEPT_DAYS = 30;

function DeletedDecks({ decks }: { readonly decks: readonly DeckSummary[] }) {
  const [open, setOpen] = useState(false);
  return (
    <Box as="section" aria-label="Deleted decks">
      <Action look="quiet" size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {count(decks.length, 'deleted deck')}
      </Action>
      {open && (
        <>
          <Small mt="6px">Kept for {KEPT_DAYS} days; then they go for good, with their files.</Small>
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
                  deleted {dayAndTime(deck.deletedAt ?? deck.updatedAt)}
                </Small>
                <Action size="small" aria-label={`Restore ${deck.name}`} onClick={() => void bringBack(deck)}>
                  Restore
                </Action>
              </Row>
            ))}
          </chakra.ul>
        </>
      )}
    </Box>
  );
}

function DeckRow({ deck }: { readonly deck: DeckSummary }) {
  const [naming, setNaming] = useState(false);
  return (
    <Row>
      <Box minW="0">
        {naming ? (
          <NameField name={deck.name} keep={(name) => void rename(deck.id, name)} close={() => setNaming(false)} />
        ) : (
          <Link to={`/decks/${deck.id}/slides`} style={{ color: 'inherit', textDecoration: 'none' }}>
            <chakra.span fontFamily="heading" fontSize="lg" fontWeight={600} _hover={{ textDecoration: 'underline' }}>
              {deck.name}
            </chakra.span>
          </Link>
        )}
        <Small>
          {deck.fileName} · {count(deck.words, 'word')}
        </Small>
      </Box>
      <Small css={{ '@media (max-width: 640px)': { display: 'none' } }}>{dayAndTime(deck.updatedAt)}</Small>
      <Box display="flex" gap="4px">
        <Action look="quiet" size="small" aria-label={`Rename ${deck.name}`} onClick={() => setNaming(true)}>
          Rename
        </Action>
        <Action look="quiet" size="small" aria-label={`Delete ${deck.name}`} onClick={() => void remove(deck)}>
          Delete
        </Action>
      </Box>
    </Row>
  );
}
