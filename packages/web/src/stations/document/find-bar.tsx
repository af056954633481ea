/** Finds words in the document. */
import { Box, chakra } from '@chakra-ui/react';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { blockText, type Block } from '@alvex/core';
import { grouped } from '../../ui/format.ts';
import { Action, Field } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

export function FindBar({
  blocks,
  show,
}: {
  readonly blocks: readonly Block[];
  /** Called with the blocks that were found, and the one to look at. */
  readonly show: (found: ReadonlySet<string>, at: string | null) => void;
}) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const wanted = useDeferredValue(text.trim().toLowerCase());
  const found = useMemo(
    () =>
      wanted.length < 2
        ? []
        : blocks.filter((block) => blockText(block).toLowerCase().includes(wanted)).map(({ id }) => id),
    [blocks, wanted],
  );
  const current = found[at % Math.max(1, found.length)] ?? null;
  useEffect(() => show(new Set(found), current), [found, current, show]);
  const step = (by: number) => setAt((now) => (found.length === 0 ? 0 : (now + by + found.length) % found.length));
  return (
    <Box display="flex" gap="4px" alignItems="center" role="search">
      <Field
        type="search"
        aria-label={t('Find in the text')}
        placeholder={t('Find')}
        w="150px"
        fontSize="sm"
        py="3px"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') step(event.shiftKey ? -1 : 1);
          if (event.key === 'Escape') setText('');
        }}
      />
      {wanted.length >= 2 && (
        <>
          <chakra.span role="status" fontSize="xs" color="soft" whiteSpace="nowrap">
            {found.length === 0
              ? t('not there')
              : t('{at} of {all}', { at: grouped(at + 1), all: grouped(found.length) })}
          </chakra.span>
          <Action size="small" look="quiet" aria-label={t('Before')} onClick={() => step(-1)}>
            <ChevronUp size={13} />
          </Action>
          <Action size="small" look="quiet" aria-label={t('Next')} onClick={() => step(1)}>
            <ChevronDown size={13} />
          </Action>
        </>
      )}
    </Box>
  );
}
