/** What is said to the slide, as large as its speaker reads it. */
import { Box, chakra } from '@chakra-ui/react';
import { useState, type Ref } from 'react';
import { Action, Small } from '../ui/recipes.tsx';
import { RunsText } from '../ui/runs.tsx';
import { t } from '../words/words.ts';
import type { Row } from '../worker/shown.ts';

const Words = chakra('section', {
  base: { overflowY: 'auto', fontFamily: 'heading', lineHeight: 1.5, minW: 0, overflowWrap: 'anywhere', pr: '8px' },
});
const SIZES = [16, 19, 22, 26, 31, 37, 44] as const; // pixels
const KEPT_SIZE = 'alvex.speaker-size';

/** @param focus Where the focus waits: on a button, Space and Enter would press it again in the place of going on. */
export function SpokenNotes({
  notes,
  focus,
}: {
  readonly notes: Row['notes'] | undefined;
  readonly focus: Ref<HTMLElement>;
}) {
  const [size, setSize] = useState(() => Number(localStorage.getItem(KEPT_SIZE) ?? 2));
  const resize = (by: number) => {
    const wanted = Math.max(0, Math.min(SIZES.length - 1, size + by));
    localStorage.setItem(KEPT_SIZE, String(wanted));
    setSize(wanted);
  };
  return (
    <Words ref={focus} aria-label={t('Speaker notes')} tabIndex={0}>
      <Box display="flex" gap="6px" alignItems="center" fontFamily="body" mb="10px">
        <Small>{t('Notes')}</Small>
        <Action
          size="small"
          look="quiet"
          aria-label={t('Smaller notes')}
          disabled={size === 0}
          onClick={() => resize(-1)}
        >
          {t('A−')}
        </Action>
        <Action
          size="small"
          look="quiet"
          aria-label={t('Larger notes')}
          disabled={size === SIZES.length - 1}
          onClick={() => resize(1)}
        >
          {t('A+')}
        </Action>
      </Box>
      <Box fontSize={`${SIZES[size] ?? SIZES[2]}px`} display="grid" gap="0.6em">
        {notes?.length === 0 && <Small>{t('This slide has no notes.')}</Small>}
        {notes?.map((note) => (
          <Box as="p" key={note.id} pl={note.kind === 'item' ? `${note.depth * 1.1}em` : undefined}>
            {note.kind === 'item' && `${note.mark?.text ?? '•'} `}
            <RunsText runs={note.runs} />
          </Box>
        ))}
      </Box>
    </Words>
  );
}
