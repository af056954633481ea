/** Takes pasted text: rich text keeps its headings, lists and tables; plain text is Markdown or an outline. */
import { Box, chakra } from '@chakra-ui/react';
import { useState, type ClipboardEvent } from 'react';
import { countWords, looksLikeMarkdown } from '@alvex/core';
import type { NewDocument } from '../../api/client.ts';
import { count } from '../../ui/format.ts';
import { Action, Notice, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

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

/** A text from the clipboard, and as rich text where that says more. */
export interface Pasted {
  readonly text: string;
  readonly rich: string | null;
}
export const NOTHING_PASTED: Pasted = { text: '', rich: null };

export function pastedIn(data: DataTransfer): Pasted {
  const html = data.getData('text/html');
  return { text: data.getData('text/plain'), rich: STRUCTURE.test(html) ? html : null };
}

const LONGEST_NAME = 48;

/** The first words of a text, by which its deck is known where it has no title. */
function beginningOf(text: string): string {
  const line = text.split('\n').find((one) => /\p{L}/u.test(one)) ?? '';
  const words = line
    .replace(/[#*_`>\\/:?"<|]+/g, ' ')
    .trim()
    .split(/\s+/);
  let name = words[0] ?? '';
  for (const word of words.slice(1))
    if (`${name} ${word}`.length <= LONGEST_NAME) name += ` ${word}`;
    else break;
  return name.slice(0, LONGEST_NAME).replace(/[.,;:]+$/, '') || t('Pasted text');
}

export function PastePanel({
  first,
  take,
  close,
}: {
  /** What was pasted already. */
  readonly first: Pasted;
  readonly take: (document: NewDocument) => void;
  readonly close: () => void;
}) {
  const [text, setText] = useState(first.text);
  const [rich, setRich] = useState(first.rich);
  const onPaste = (event: ClipboardEvent) => {
    const pasted = pastedIn(event.clipboardData);
    if (pasted.rich === null || text.trim() !== '') return;
    event.preventDefault();
    setRich(pasted.rich);
    setText(pasted.text);
  };
  const make = () => {
    // Plain text is Markdown where it looks like it, else an outline by its indents.
    const [body, type] = rich === null ? [text, looksLikeMarkdown(text) ? 'markdown' : 'text'] : [rich, 'html'];
    take({
      body: new Blob([body]),
      name: `${beginningOf(text)}.${type === 'html' ? 'html' : type === 'text' ? 'txt' : 'md'}`,
      type,
    });
  };
  return (
    <Box display="grid" gap="10px">
      <Area
        autoFocus
        aria-label={t('Text')}
        placeholder={t(
          'Paste or write here. A line that begins with # is a heading, one with - a list item; indented lines are an outline.',
        )}
        value={text}
        readOnly={rich !== null}
        onChange={(event) => setText(event.target.value)}
        onPaste={onPaste}
      />
      {rich !== null && (
        <Notice tone="calm">
          <Box flex="1">{t('Rich text: its headings, lists, tables, bold and links are kept.')}</Box>
          <Action size="small" onClick={() => setRich(null)}>
            {t('Use the plain text')}
          </Action>
        </Notice>
      )}
      <Box display="flex" gap="10px" alignItems="center">
        <Action look="main" disabled={text.trim() === '' && rich === null} onClick={make}>
          {t('Make slides of it')}
        </Action>
        <Action onClick={close}>{t('Cancel')}</Action>
        <Small ml="auto">{count(countWords(text), 'word')}</Small>
      </Box>
    </Box>
  );
}
