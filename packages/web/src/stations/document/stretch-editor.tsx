/** Writes a stretch of the document in place; what is written is kept after a moment, and when one leaves. */
import { Box, chakra } from '@chakra-ui/react';
import { Extension, Mark, mergeAttributes, Node } from '@tiptap/core';
import { TableKit } from '@tiptap/extension-table';
import {
  EditorContent,
  ReactNodeViewRenderer,
  NodeViewWrapper,
  useEditor,
  useEditorState,
  type Editor,
  type NodeViewProps,
} from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { Bold, Image, Italic, Link2, List, ListOrdered, Minus, Quote, Table2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Block, BlockId, Picture } from '@alvex/core';
import { ApiError, pictureUrl, sendPicture } from '../../api/client.ts';
import { edit, useDeck } from '../../state/deck-store.ts';
import { BlockText } from '../../ui/block-text.tsx';
import { Action, Field } from '../../ui/recipes.tsx';
import { write } from './use-selection.ts';
import { fromEditor, toEditor } from './written-blocks.ts';

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

/** Blocks know where they came from; what is split off is new. */
const BlockIds = Extension.create({
  name: 'blockIds',
  addGlobalAttributes: () => [
    {
      types: ['heading', 'paragraph', 'codeBlock', 'horizontalRule', 'table', 'keptBlock', 'newPicture'],
      attributes: { blockId: { default: null, keepOnSplit: false, rendered: false } },
    },
    { types: ['paragraph'], attributes: { role: { default: null, keepOnSplit: false, rendered: false } } },
  ],
});

const Position = Mark.create({
  name: 'position',
  addAttributes: () => ({ at: { default: 'super' } }),
  parseHTML: () => [
    { tag: 'sup', attrs: { at: 'super' } },
    { tag: 'sub', attrs: { at: 'sub' } },
  ],
  renderHTML: ({ mark, HTMLAttributes }) => [
    mark.attrs['at'] === 'sub' ? 'sub' : 'sup',
    mergeAttributes(HTMLAttributes),
    0,
  ],
});

/** A picture, a footnote, or what is left out: moved and taken out here, not written. */
const KeptBlock = Node.create({
  name: 'keptBlock',
  group: 'block',
  atom: true,
  draggable: true,
  parseHTML: () => [{ tag: 'div[data-kept]' }],
  renderHTML: () => ['div', { 'data-kept': '' }],
  addNodeView: () => ReactNodeViewRenderer(KeptView),
});

function KeptView({ node }: NodeViewProps) {
  const block = useDeck((state) => state.blockById.get(node.attrs['blockId'] as string));
  const deck = useDeck((state) => state.deck?.id ?? '');
  return (
    <NodeViewWrapper>
      <Box color={block?.left === undefined ? undefined : 'pale'}>
        {block !== undefined && <BlockText block={block} deck={deck} />}
      </Box>
    </NodeViewWrapper>
  );
}

/** A picture that is put in here. */
const NewPicture = Node.create({
  name: 'newPicture',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({ picture: { default: null, rendered: false } }),
  parseHTML: () => [{ tag: 'div[data-new-picture]' }],
  renderHTML: () => ['div', { 'data-new-picture': '' }],
  addNodeView: () => ReactNodeViewRenderer(NewPictureView),
});

function NewPictureView({ node }: NodeViewProps) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const picture = node.attrs['picture'] as Picture;
  return (
    <NodeViewWrapper>
      <chakra.img
        src={pictureUrl(deck, picture.id)}
        alt=""
        maxH="160px"
        maxW="260px"
        border="1px solid"
        borderColor="line"
      />
    </NodeViewWrapper>
  );
}

/** One level down or up without leaving the text: `Ctrl .` and `Ctrl ,`. */
const Levels = Extension.create({
  name: 'levels',
  addKeyboardShortcuts() {
    const step = (by: 1 | -1) => () => {
      const { editor } = this;
      if (editor.isActive('listItem'))
        return by > 0 ? editor.commands.sinkListItem('listItem') : editor.commands.liftListItem('listItem');
      const level = editor.isActive('heading') ? (editor.getAttributes('heading')['level'] as number) : by > 0 ? 0 : 7;
      const next = level + by;
      return next < 1 || next > 6 ? editor.commands.setParagraph() : editor.commands.setHeading({ level: next as 1 });
    };
    return { 'Mod-.': step(1), 'Mod-,': step(-1) };
  },
});

let counter = 0;
const stamp = Date.now().toString(36);
const newId = (): string => `w${stamp}${(++counter).toString(36)}`;

export default function StretchEditor({ ids }: { readonly ids: readonly BlockId[] }) {
  const start = useRef<readonly Block[]>([]);
  if (start.current.length === 0) start.current = ids.flatMap((id) => useDeck.getState().blockById.get(id) ?? []);
  /** What stands in the document for what is written here. */
  const standing = useRef<{ ids: readonly BlockId[]; known: ReadonlyMap<string, Block> }>({
    ids,
    known: new Map(start.current.map((block) => [block.id, block])),
  });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const changed = useRef(false);

  const keep = (editor: Editor): void => {
    clearTimeout(timer.current);
    if (!changed.current) return;
    changed.current = false;
    const { ids: replaces, known } = standing.current;
    const { blocks, pictures } = fromEditor(editor.getJSON(), known, newId);
    if (blocks.length === 0 && replaces.length === 0) return;
    edit({ kind: 'write', replaces, after: null, blocks, ...(pictures.length === 0 ? {} : { pictures }) });
    const left = replaces.filter((id) => !blocks.some((block) => block.id === id));
    const now = [...blocks.map(({ id }) => id), ...left];
    standing.current = {
      ids: now,
      known: new Map([...known, ...blocks.map((block) => [block.id as string, block as Block] as const)]),
    };
    write(now);
    nameBlocks(
      editor,
      blocks.map(({ id }) => id),
    );
  };

  const editor = useEditor({
    extensions: [
      StarterKit.configure({ link: { openOnClick: false, autolink: true }, trailingNode: false }),
      TableKit.configure({ table: { resizable: false } }),
      BlockIds,
      Position,
      KeptBlock,
      NewPicture,
      Levels,
    ],
    content: toEditor(start.current),
    autofocus: 'start',
    injectCSS: false,
    editorProps: { attributes: { 'aria-label': 'Text of the document', role: 'textbox', 'aria-multiline': 'true' } },
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
    const now = () => latest.current(editor);
    window.addEventListener('pagehide', now);
    document.addEventListener('visibilitychange', now);
    return () => {
      window.removeEventListener('pagehide', now);
      document.removeEventListener('visibilitychange', now);
      now();
    };
  }, [editor]);
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
      <Tools editor={editor} close={close} />
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

function Tools({ editor, close }: { readonly editor: Editor; readonly close: () => void }) {
  const state = useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      level: current.isActive('heading')
        ? String(current.getAttributes('heading')['level'])
        : current.isActive('listItem')
          ? 'item'
          : 'text',
      bold: current.isActive('bold'),
      italic: current.isActive('italic'),
      link: current.isActive('link'),
      table: current.isActive('table'),
    }),
  });
  const [linking, setLinking] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const putIn = async (file: File | undefined) => {
    const deck = useDeck.getState().deck;
    if (file === undefined || deck === null) return;
    setFault(null);
    try {
      // The server answers only once it keeps the picture; until then nothing refers to it.
      const picture = await sendPicture(deck.id, file, file.name);
      editor.chain().focus().insertContent({ type: 'newPicture', attrs: { picture } }).run();
    } catch (error) {
      setFault(error instanceof ApiError ? error.message : String(error));
    }
  };
  const chain = () => editor.chain().focus();
  const setLink = (href: string) => {
    setLinking(false);
    if (href.trim() === '') chain().unsetLink().run();
    else if (/^(https?:\/\/|mailto:|#)/i.test(href.trim())) chain().setLink({ href: href.trim() }).run();
  };
  const look = (on: boolean) => (on ? 'chosen' : 'plain');
  return (
    <Box
      role="toolbar"
      aria-label="Writing"
      display="flex"
      gap="4px"
      flexWrap="wrap"
      p="6px 10px"
      borderBottom="1px solid"
      borderColor="line"
      alignItems="center"
      fontFamily="body"
    >
      {([1, 2, 3, 4] as const).map((level) => (
        <Action
          key={level}
          size="small"
          look={look(state.level === String(level))}
          aria-label={`Heading ${level}`}
          onClick={() => chain().setHeading({ level }).run()}
        >
          {level}
        </Action>
      ))}
      <Action size="small" look={look(state.level === 'text')} onClick={() => chain().setParagraph().run()}>
        text
      </Action>
      <Action
        size="small"
        aria-label="List"
        look={look(state.level === 'item')}
        onClick={() => chain().toggleBulletList().run()}
      >
        <List size={13} />
      </Action>
      <Action size="small" aria-label="Numbered list" onClick={() => chain().toggleOrderedList().run()}>
        <ListOrdered size={13} />
      </Action>
      <Action size="small" aria-label="Quotation" onClick={() => chain().toggleBlockquote().run()}>
        <Quote size={13} />
      </Action>
      <Action size="small" aria-label="Bold" look={look(state.bold)} onClick={() => chain().toggleBold().run()}>
        <Bold size={13} />
      </Action>
      <Action size="small" aria-label="Italic" look={look(state.italic)} onClick={() => chain().toggleItalic().run()}>
        <Italic size={13} />
      </Action>
      <Action size="small" aria-label="Link" look={look(state.link)} onClick={() => setLinking(!linking)}>
        <Link2 size={13} />
      </Action>
      <Action size="small" aria-label="Separator" onClick={() => chain().setHorizontalRule().run()}>
        <Minus size={13} />
      </Action>
      <Action
        size="small"
        aria-label="Table"
        onClick={() => chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run()}
      >
        <Table2 size={13} />
      </Action>
      <Action size="small" aria-label="Picture" onClick={() => chooser.current?.click()}>
        <Image size={13} />
      </Action>
      <input
        ref={chooser}
        type="file"
        hidden
        accept="image/png,image/jpeg,image/gif"
        aria-label="Picture file"
        onChange={(event) => {
          void putIn(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {fault !== null && (
        <chakra.span role="alert" color="red" fontSize="xs">
          {fault}
        </chakra.span>
      )}
      {state.table && (
        <>
          <Action size="small" onClick={() => chain().addRowAfter().run()}>
            + row
          </Action>
          <Action size="small" onClick={() => chain().addColumnAfter().run()}>
            + column
          </Action>
          <Action size="small" onClick={() => chain().deleteRow().run()}>
            − row
          </Action>
          <Action size="small" onClick={() => chain().deleteColumn().run()}>
            − column
          </Action>
        </>
      )}
      {linking && (
        <Field
          autoFocus
          aria-label="Address of the link"
          placeholder="https://"
          defaultValue={(editor.getAttributes('link')['href'] as string | undefined) ?? ''}
          fontSize="xs"
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === 'Enter') setLink(event.currentTarget.value);
            if (event.key === 'Escape') setLinking(false);
          }}
        />
      )}
      <Action size="small" look="main" ml="auto" onClick={close} title="Esc">
        Done
      </Action>
    </Box>
  );
}
