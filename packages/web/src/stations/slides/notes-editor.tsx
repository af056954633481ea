/** Writes what is spoken with a slide: paragraphs, lists, bold, italic, links. What is written is kept when one leaves. */
import { Box, chakra } from '@chakra-ui/react';
import { EditorContent, useEditorState, type Editor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { Bold, Italic, List, ListOrdered } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Note, NoteText } from '@alvex/core';
import { Action } from '../../ui/recipes.tsx';
import { useWriter } from '../../ui/use-writer.tsx';
import { t } from '../../words/words.ts';
import { notesFromEditor, notesToEditor, sameNotes } from './written-notes.ts';

const Paper = chakra('div', {
  base: {
    bg: 'card',
    border: '1px solid',
    borderColor: 'pine',
    borderRadius: 'sm',
    fontSize: '13px',
    lineHeight: 1.5,
    '& .ProseMirror': {
      outline: 'none',
      p: '8px',
      minH: '120px',
      maxH: '420px',
      overflowY: 'auto',
      whiteSpace: 'pre-wrap',
    },
    '& .ProseMirror > * + *': { mt: '6px' },
    '& ul, & ol': { pl: '20px' },
    '& ul': { listStyle: 'disc' },
    '& ol': { listStyle: 'decimal' },
    '& a': { color: 'pine' },
  },
});

const EXTENSIONS = [
  StarterKit.configure({
    heading: false,
    codeBlock: false,
    blockquote: false,
    horizontalRule: false,
    trailingNode: false,
    link: { openOnClick: false, autolink: true },
  }),
];

interface Props {
  readonly notes: readonly Note[];
  /** Called with what was written, if it is other than before. */
  readonly keep: (notes: readonly NoteText[]) => void;
  readonly close: () => void;
}

export default function NotesEditor({ notes, keep, close }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const editor = useWriter('end', {
    extensions: EXTENSIONS,
    content: notesToEditor(notes),
    editorProps: { attributes: { 'aria-label': t('Speaker notes'), role: 'textbox', 'aria-multiline': 'true' } },
  });
  const leave = () => {
    if (editor === null) return close();
    const written = notesFromEditor(editor.getJSON());
    if (!sameNotes(written, notes)) keep(written);
    close();
  };
  const latest = useRef(leave);
  useEffect(() => {
    latest.current = leave;
  });
  useEffect(() => {
    // A click anywhere else, or leaving the page, keeps what was written.
    const outside = (event: Event) => {
      if (!(event.target instanceof Node) || frame.current?.contains(event.target) !== true) latest.current();
    };
    window.addEventListener('pointerdown', outside);
    window.addEventListener('pagehide', outside);
    return () => {
      window.removeEventListener('pointerdown', outside);
      window.removeEventListener('pagehide', outside);
    };
  }, []);
  if (editor === null) return null;
  return (
    <Paper
      ref={frame}
      onKeyDown={(event) => {
        event.stopPropagation();
        // Escape keeps what was written; undoing takes it back.
        if (event.key !== 'Escape' && !(event.key === 'Enter' && (event.ctrlKey || event.metaKey))) return;
        event.preventDefault();
        leave();
      }}
    >
      <Tools editor={editor} leave={leave} />
      <EditorContent editor={editor} />
    </Paper>
  );
}

function Tools({ editor, leave }: { readonly editor: Editor; readonly leave: () => void }) {
  const state = useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      bold: current.isActive('bold'),
      italic: current.isActive('italic'),
      list: current.isActive('bulletList'),
      numbers: current.isActive('orderedList'),
    }),
  });
  const chain = () => editor.chain().focus();
  const tools = [
    { name: t('Bold'), on: state.bold, icon: Bold, act: () => chain().toggleBold().run() },
    { name: t('Italic'), on: state.italic, icon: Italic, act: () => chain().toggleItalic().run() },
    { name: t('List'), on: state.list, icon: List, act: () => chain().toggleBulletList().run() },
    { name: t('Numbered list'), on: state.numbers, icon: ListOrdered, act: () => chain().toggleOrderedList().run() },
  ];
  return (
    <Box
      role="toolbar"
      aria-label={t('Writing notes')}
      display="flex"
      gap="3px"
      p="4px"
      borderBottom="1px solid"
      borderColor="line"
    >
      {tools.map(({ name, on, icon: Icon, act }) => (
        <Action
          key={name}
          size="small"
          look={on ? 'chosen' : 'quiet'}
          aria-label={name}
          title={name}
          aria-pressed={on}
          onMouseDown={(event) => event.preventDefault()}
          onClick={act}
        >
          <Icon size={13} />
        </Action>
      ))}
      <Action size="small" ml="auto" title={t('Ctrl Enter or Escape')} onClick={leave}>
        {t('Done')}
      </Action>
    </Box>
  );
}
