/** Takes pasted text: rich text keeps its headings, lists and tables; plain text is Markdown or an outline. */
import { Box, chakra } from '@chakra-ui/react';
import { useState, type ClipboardEvent } from 'react';
import { countWords, looksLikeMarkdown } from '@alvex/core';
import type { NewDocument } from '../../api/client.ts';
import { count } from '../../ui/format.ts';
import { Action, Notice, Small } from '../../ui/recipes.tsx';

const Area = chakra('textarea', {
  base: {
    w: '100%',
    minH: '220px',
    bg: 'card',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    p: '14px',
    fontFamily: 'heading',
    fontSize: 'lg',
    lineHeight: 1.5,
    resize: 'vertical',
  },
});

/** Elements that say more than the plain text of the same paste. */
const STRUCTURE = /<(h[1-6]|p|li|table|b|strong|i|em|a|blockquote)\b/i;

export function PastePanel({
  take,
  close,
}: {
  readonly take: (document: NewDocument) => void;
  readonly close: () => void;
}) {
  const [text, setText] = useState('');
  const [rich, setRich] = useState<string | null>(null);
  const onPaste = (event: ClipboardEvent) => {
    const html = event.clipboardData.getData('text/html');
    if (!STRUCTURE.test(html) || text.trim() !== '') return;
    event.preventDefault();
    setRich(html);
    setText(event.clipboardData.getData('text/plain'));
  };
  const make = () => {
    // Plain text is Markdown where it looks like it, else an outline by its indents.
    const [body, type] = rich === null ? [text, looksLikeMarkdown(text) ? 'markdown' : 'text'] : [rich, 'html'];
    take({
      body: new Blob([body]),
      name: `Pasted text.${type === 'html' ? 'html' : type === 'text' ? 'txt' : 'md'}`,
      type,
    });
  };
  return (
    <Box display="grid" gap="10px">
      <Area
        autoFocus
        aria-label="Text"
        placeholder="Paste or write here. A line that begins with # is a heading, one with - a list item; indented lines are an outline."
        value={text}
        readOnly={rich !== null}
        onChange={(event) => setText(event.target.value)}
        onPaste={onPaste}
      />
      {rich !== null && (
        <Notice tone="calm">
          <Box flex="1">Rich text: its headings, lists, tables, bold and links are kept.</Box>
          <Action size="small" onClick={() => setRich(null)}>
            Take the plain text
          </Action>
        </Notice>
      )}
      <Box display="flex" gap="10px" alignItems="center">
        <Action look="main" disabled={text.trim() === '' && rich === null} onClick={make}>
          Make slides of it
        </Action>
        <Action onClick={close}>Cancel</Action>
        <Small ml="auto">{count(countWords(text), 'word')}</Small>
      </Box>
    </Box>
  );
}
