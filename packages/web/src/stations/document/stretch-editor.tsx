/** Writes a stretch of the document in place; what is written is kept after a moment, and when one leaves. */
import { useWriter } from '../../ui/use-writer.tsx';
import { chakra } from '@chakra-ui/react';
import { EditorContent, type Editor } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import { writeChange, type Block, type BlockId, type WrittenBlock } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { EXTENSIONS } from './editor-extensions.tsx';
import { write } from './use-selection.ts';
import { WritingTools } from './writing-tools.tsx';
import { fromEditor, toEditor } from '../../ui/written-blocks.ts';
import { t } from '../../words/words.ts';

const Paper = chakra('div', {
  base: {
    bg: 'card',
    border: '1px solid',
    borderColor: 'pine',
    mx: '20px',
    my: '6px',
    fontFamily: 'heading',
    fontSize: '14px',
    lineHeight: 1.5,
    '& .ProseMirror': {
      outline: 'none',
      p: '12px 24px 16px 74px',
      minH: '60px',
      whiteSpace: 'pre-wrap',
      overflowWrap: 'anywhere',
    },
    '& .ProseMirror > * + *': { mt: '8px' },
    '& h1': { fontSize: '19px', fontWeight: 600, lineHeight: 1.3 },
    '& h2': { fontSize: '16px', fontWeight: 600 },
    '& h3, & h4, & h5, & h6': { fontWeight: 600 },
    '& ul, & ol': { pl: '22px' },
    '& ul': { listStyle: 'disc' },
    '& ol': { listStyle: 'decimal' },
    '& blockquote': { borderLeft: '2px solid', borderColor: 'line', pl: '14px', fontStyle: 'italic' },
    '& pre, & code': { fontFamily: 'mono', fontSize: '12px' },
    '& table': { borderCollapse: 'collapse', fontFamily: 'body', fontSize: '12px' },
    '& td, & th': {
      border: '1px solid',
      borderColor: 'line',
      px: '8px',
      py: '3px',
      textAlign: 'left',
      minW: '50px',
      verticalAlign: 'top',
    },
    '& .selectedCell': { bg: 'pineWash' },
    '& a': { color: 'pine' },
    '& hr': { border: 0, borderTop: '1px dashed', borderColor: 'line' },
    '& .ProseMirror-selectednode': { outline: '2px solid', outlineColor: 'pine' },
    '@media (max-width: 560px)': { mx: '6px', '& .ProseMirror': { pl: '16px', pr: '12px' } },
  },
});

const KEEP_MS = 1200;

let counter = 0;
const stamp = Date.now().toString(36);
const newId = (): string => `w${stamp}${(++counter).toString(36)}`;

export default function StretchEditor({ ids }: { readonly ids: readonly BlockId[] }) {
  const start = useRef<readonly Block[]>([]);
  if (start.current.length === 0) start.current = ids.flatMap((id) => useDeck.getState().blockById.get(id) ?? []);
  /** What stands in the document for what is written here. */
  const standing = useRef<{
    readonly blocks: readonly (Block | WrittenBlock)[];
    /** Taken out here; they stay in the document, left out. */
    readonly gone: readonly BlockId[];
    readonly known: ReadonlyMap<string, Block>;
  }>({ blocks: start.current, gone: [], known: new Map(start.current.map((block) => [block.id, block])) });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const changed = useRef(false);

  const keep = (editor: Editor): void => {
    clearTimeout(timer.current);
    if (!changed.current) return;
    changed.current = false;
    const { blocks: before, gone, known } = standing.current;
    const { blocks, pictures } = fromEditor(editor.getJSON(), known, newId);
    const change = writeChange(before, blocks, gone.at(-1) ?? null);
    if (change === undefined) return;
    edit({ ...change, ...(pictures.length === 0 ? {} : { pictures }) });
    const here = new Set<string>(blocks.map(({ id }) => id));
    const left = [...gone, ...change.replaces].filter((id) => !here.has(id));
    const now = [...blocks.map(({ id }) => id), ...left];
    standing.current = {
      blocks,
      gone: left,
      known: new Map([...known, ...blocks.map((block) => [block.id as string, block as Block] as const)]),
    };
    write(now);
    nameBlocks(
      editor,
      blocks.map(({ id }) => id),
    );
  };

  const editor = useWriter('start', {
    extensions: EXTENSIONS,
    content: toEditor(start.current),
    editorProps: { attributes: { 'aria-label': t('Text of the document'), role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: current, transaction }) => {
      if (transaction.getMeta('naming') === true) return;
      changed.current = true;
      clearTimeout(timer.current);
      timer.current = setTimeout(() => keep(current), KEEP_MS);
    },
  });
  const latest = useRef(keep);
  useEffect(() => {
    latest.current = keep;
  });
  useEffect(() => {
    if (editor === null) return;
    const now = () => latest.current(editor);
    window.addEventListener('pagehide', now);
    document.addEventListener('visibilitychange', now);
    return () => {
      window.removeEventListener('pagehide', now);
      document.removeEventListener('visibilitychange', now);
      now();
    };
  }, [editor]);
  if (editor === null) return null;
  const close = () => {
    keep(editor);
    write(null);
  };
  return (
    <Paper
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape' || (event.key === 'Enter' && (event.ctrlKey || event.metaKey))) {
          event.preventDefault();
          close();
        }
      }}
    >
      <WritingTools editor={editor} close={close} />
      <EditorContent editor={editor} />
    </Paper>
  );
}

/** Tells the editor's blocks the ids that they have in the document now, in order. */
function nameBlocks(editor: Editor, ids: readonly string[]): void {
  const { tr } = editor.state;
  let at = 0;
  editor.state.doc.descendants((node, position, parent) => {
    if (!('blockId' in node.attrs) || parent?.type.name === 'tableCell' || parent?.type.name === 'tableHeader')
      return true;
    const empty = node.isTextblock && node.textContent.trim() === '';
    if (empty) return false;
    const id = ids[at++];
    if (id !== undefined && node.attrs['blockId'] !== id) tr.setNodeAttribute(position, 'blockId', id);
    return false;
  });
  tr.setMeta('naming', true).setMeta('addToHistory', false);
  if (tr.docChanged) editor.view.dispatch(tr);
}
