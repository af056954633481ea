/** The ways to bring a document in: files that are dropped or chosen, text that is pasted, an outline that is begun here. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffectEvent, useLayoutEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { DOCUMENT_ENDINGS } from '@alvex/core';
import type { NewDocument } from '../../api/client.ts';
import { bringIn, useDecks, type Reading } from '../../state/decks-store.ts';
import { Action, Heading, ProgressBar, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
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
const ACCEPTED = ['alvex', ...DOCUMENT_ENDINGS].map((ending) => `.${ending}`).join(',');

export function BringIn() {
  const reading = useDecks((state) => state.reading);
  const [open, setOpen] = useState<'paste' | 'start' | null>(null);
  const [several, setSeveral] = useState<readonly NewDocument[]>([]);
  const [pasted, setPasted] = useState<Pasted>(NOTHING_PASTED);
  const navigate = useNavigate();
  const close = () => {
    setOpen(null);
    setSeveral([]);
  };
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
  const paste = (text: Pasted) => {
    setPasted(text);
    setOpen('paste');
  };
  const over = useBroughtAnywhere({
    busy: reading !== null,
    takeFiles,
    // The panels have text of their own.
    paste: open === 'start' || several.length > 0 ? undefined : paste,
  });
  if (reading !== null) return <BeingRead reading={reading} />;
  if (several.length > 0)
    return <FilesPanel files={several} take={(...documents) => void take(documents)} close={close} />;
  if (open === 'paste') return <PastePanel first={pasted} take={(document) => void take([document])} close={close} />;
  if (open === 'start') return <StarterPanel take={(document) => void take([document], 'document')} close={close} />;
  return <Ways over={over} takeFiles={takeFiles} paste={() => paste(NOTHING_PASTED)} start={() => setOpen('start')} />;
}

function BeingRead({ reading }: { readonly reading: Reading }) {
  return (
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
  );
}

/** @param over Whether files are held over the page. */
function Ways({
  over,
  takeFiles,
  paste,
  start,
}: {
  readonly over: boolean;
  readonly takeFiles: (files: FileList | null) => void;
  readonly paste: () => void;
  readonly start: () => void;
}) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
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
        <Action onClick={paste}>{t('Paste text')}</Action>
        <Action onClick={start}>{t('Start an outline')}</Action>
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
  );
}

/**
 * Files are dropped, and files and text pasted, wherever on the page.
 * @param busy Whether nothing is taken now. @param paste Takes text; where it is not given, text goes where it is pasted.
 * @returns Whether files are held over the page.
 */
function useBroughtAnywhere({
  busy,
  takeFiles,
  paste,
}: {
  readonly busy: boolean;
  readonly takeFiles: (files: FileList) => void;
  readonly paste: ((text: Pasted) => void) | undefined;
}): boolean {
  const [over, setOver] = useState(false);
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
    if (clipboardData === null || busy || paste === undefined) return;
    if (target instanceof HTMLElement && target.matches('input, textarea')) return;
    if (clipboardData.files.length > 0) return takeFiles(clipboardData.files);
    const text = pastedIn(clipboardData);
    if (text.text.trim() === '' && text.rich === null) return;
    event.preventDefault();
    paste(text);
  });
  // Before the page is seen: the browser would leave it for a file that is dropped at once.
  useLayoutEffect(() => {
    const stop = new AbortController();
    for (const name of ['dragover', 'dragleave', 'drop'] as const)
      window.addEventListener(name, onDrag, { signal: stop.signal });
    window.addEventListener('paste', onPaste, { signal: stop.signal });
    return () => stop.abort();
  }, []);
  return over;
}
