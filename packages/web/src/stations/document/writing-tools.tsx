/** What can be done to the text that is being written. */
import { Box, chakra } from '@chakra-ui/react';
import { useEditorState, type Editor } from '@tiptap/react';
import { Bold, Image, Italic, Link2, List, ListOrdered, Minus, Quote, Table2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { safeLink } from '@alvex/core';
import { ApiError, sendPicture } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { Action, Field } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

export function WritingTools({ editor, close }: { readonly editor: Editor; readonly close: () => void }) {
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
    const link = safeLink(href);
    setLinking(false);
    setFault(null);
    if (href.trim() === '') chain().unsetLink().run();
    else if (link !== undefined) chain().setLink({ href: link }).run();
    else setFault(t('A link begins with https://, mailto: or #.'));
  };
  const look = (on: boolean) => (on ? 'chosen' : 'plain');
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
      {([1, 2, 3, 4] as const).map((level) => (
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
      <Action
        size="small"
        aria-label={t('List')}
        look={look(state.level === 'item')}
        onClick={() => chain().toggleBulletList().run()}
      >
        <List size={13} />
      </Action>
      <Action size="small" aria-label={t('Numbered list')} onClick={() => chain().toggleOrderedList().run()}>
        <ListOrdered size={13} />
      </Action>
      <Action size="small" aria-label={t('Quotation')} onClick={() => chain().toggleBlockquote().run()}>
        <Quote size={13} />
      </Action>
      <Action size="small" aria-label={t('Bold')} look={look(state.bold)} onClick={() => chain().toggleBold().run()}>
        <Bold size={13} />
      </Action>
      <Action
        size="small"
        aria-label={t('Italic')}
        look={look(state.italic)}
        onClick={() => chain().toggleItalic().run()}
      >
        <Italic size={13} />
      </Action>
      <Action size="small" aria-label={t('Link')} look={look(state.link)} onClick={() => setLinking(!linking)}>
        <Link2 size={13} />
      </Action>
      <Action size="small" aria-label={t('Separator')} onClick={() => chain().setHorizontalRule().run()}>
        <Minus size={13} />
      </Action>
      <Action
        size="small"
        aria-label={t('Table')}
        onClick={() => chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run()}
      >
        <Table2 size={13} />
      </Action>
      <Action size="small" aria-label={t('Picture')} onClick={() => chooser.current?.click()}>
        <Image size={13} />
      </Action>
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
      {fault !== null && (
        <chakra.span role="alert" color="red" fontSize="xs">
          {fault}
        </chakra.span>
      )}
      {state.table && (
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
      )}
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
