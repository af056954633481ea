/** What can be done to the text that is being written. */
import { Box, chakra } from '@chakra-ui/react';
import { useEditorState, type Editor } from '@tiptap/react';
import { Bold, Image, Italic, Link2, List, ListOrdered, Minus, Quote, Table2, type LucideIcon } from 'lucide-react';
import { useRef, useState } from 'react';
import { safeLink } from '@alvex/core';
import { ApiError, sendPicture } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { Action, Field } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

const LEVELS = [1, 2, 3, 4] as const;

export function WritingTools({ editor, close }: { readonly editor: Editor; readonly close: () => void }) {
  const state = useEditorState({ editor, selector: ({ editor: current }) => stateOf(current) });
  const [linking, setLinking] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const chain = () => editor.chain().focus();
  const setLink = (href: string) => {
    const link = safeLink(href);
    setLinking(false);
    setFault(null);
    if (href.trim() === '') chain().unsetLink().run();
    else if (link !== undefined) chain().setLink({ href: link }).run();
    else setFault(t('A link begins with https://, mailto: or #.'));
  };
  return (
    <Box
      role="toolbar"
      aria-label={t('Writing')}
      display="flex"
      gap="4px"
      flexWrap="wrap"
      p="6px 10px"
      borderBottom="1px solid"
      borderColor="line"
      alignItems="center"
      fontFamily="body"
    >
      {LEVELS.map((level) => (
        <Action
          key={level}
          size="small"
          look={look(state.level === String(level))}
          aria-label={t('Heading {level}', { level })}
          onClick={() => chain().setHeading({ level }).run()}
        >
          {level}
        </Action>
      ))}
      <Action size="small" look={look(state.level === 'text')} onClick={() => chain().setParagraph().run()}>
        {t('text')}
      </Action>
      <Tool label={t('List')} icon={List} on={state.level === 'item'} act={() => chain().toggleBulletList().run()} />
      <Tool label={t('Numbered list')} icon={ListOrdered} act={() => chain().toggleOrderedList().run()} />
      <Tool label={t('Quotation')} icon={Quote} act={() => chain().toggleBlockquote().run()} />
      <Tool label={t('Bold')} icon={Bold} on={state.bold} act={() => chain().toggleBold().run()} />
      <Tool label={t('Italic')} icon={Italic} on={state.italic} act={() => chain().toggleItalic().run()} />
      <Tool label={t('Link')} icon={Link2} on={state.link} act={() => setLinking(!linking)} />
      <Tool label={t('Separator')} icon={Minus} act={() => chain().setHorizontalRule().run()} />
      <Tool
        label={t('Table')}
        icon={Table2}
        act={() => chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run()}
      />
      <PictureTool editor={editor} tell={setFault} />
      {fault !== null && (
        <chakra.span role="alert" color="red" fontSize="xs">
          {fault}
        </chakra.span>
      )}
      {state.table && <TableTools chain={chain} />}
      {linking && (
        <Field
          autoFocus
          aria-label={t('Address of the link')}
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
        {t('Done')}
      </Action>
    </Box>
  );
}

const stateOf = (editor: Editor) => ({
  level: editor.isActive('heading')
    ? String(editor.getAttributes('heading')['level'])
    : editor.isActive('listItem')
      ? 'item'
      : 'text',
  bold: editor.isActive('bold'),
  italic: editor.isActive('italic'),
  link: editor.isActive('link'),
  table: editor.isActive('table'),
});

const look = (on: boolean) => (on ? 'chosen' : 'plain');

function Tool({
  label,
  icon: Icon,
  on = false,
  act,
}: {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly on?: boolean;
  readonly act: () => void;
}) {
  return (
    <Action size="small" aria-label={label} look={look(on)} onClick={act}>
      <Icon size={13} />
    </Action>
  );
}

/** @param tell Takes what went wrong; null where it is tried again. */
function PictureTool({ editor, tell }: { readonly editor: Editor; readonly tell: (fault: string | null) => void }) {
  const chooser = useRef<HTMLInputElement>(null);
  const putIn = async (file: File | undefined) => {
    const deck = useDeck.getState().deck;
    if (file === undefined || deck === null) return;
    tell(null);
    try {
      // The server answers only once it keeps the picture; until then nothing refers to it.
      const picture = await sendPicture(deck.id, file, file.name);
      editor.chain().focus().insertContent({ type: 'newPicture', attrs: { picture } }).run();
    } catch (error) {
      tell(error instanceof ApiError ? error.message : String(error));
    }
  };
  return (
    <>
      <Tool label={t('Picture')} icon={Image} act={() => chooser.current?.click()} />
      <input
        ref={chooser}
        type="file"
        hidden
        accept="image/png,image/jpeg,image/gif"
        aria-label={t('Picture file')}
        onChange={(event) => {
          void putIn(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}

function TableTools({ chain }: { readonly chain: () => ReturnType<Editor['chain']> }) {
  return (
    <>
      <Action size="small" onClick={() => chain().addRowAfter().run()}>
        {t('+ row')}
      </Action>
      <Action size="small" onClick={() => chain().addColumnAfter().run()}>
        {t('+ column')}
      </Action>
      <Action size="small" onClick={() => chain().deleteRow().run()}>
        {t('− row')}
      </Action>
      <Action size="small" onClick={() => chain().deleteColumn().run()}>
        {t('− column')}
      </Action>
    </>
  );
}
