/** One heading of the outline; its branch can be dragged, and others dropped before it. */
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { chakra } from '@chakra-ui/react';
import { memo, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { BlockId } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { grouped } from '../../ui/format.ts';
import { Unseen } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { shiftBranches } from './line-actions.ts';
import { placeBranch, stepBranch } from './outline-moves.ts';

const Row = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) auto',
    gap: '8px',
    w: '100%',
    border: 0,
    position: 'relative',
    bg: 'transparent',
    textAlign: 'left',
    py: '3px',
    pr: '4px',
    cursor: 'pointer',
    fontFamily: 'heading',
    fontSize: 'md',
    lineHeight: 1.35,
    _hover: { bg: 'pineWash' },
    '& .words': { color: 'soft', fontFamily: 'body', fontSize: 'xs', fontWeight: 400 },
    '& .drop': { position: 'absolute', top: '-1px', right: 0, h: '2px', bg: 'pine' },
  },
  variants: { dragged: { true: { opacity: 0.4 } } },
});

const INDENT = 14;

interface Props {
  readonly id: BlockId;
  readonly level: number;
  readonly text: string;
  readonly words: number;
  readonly go: (block: BlockId) => void;
}

const blocksNow = () => useDeck.getState().blocks;

export const OutlineRow = memo(function OutlineRow({ id, level, text, words, go }: Props) {
  const element = useRef<HTMLButtonElement>(null);
  const [dragged, setDragged] = useState(false);
  const [over, setOver] = useState<number | null>(null);
  useEffect(() => {
    const row = element.current;
    if (row === null) return;
    const levelAt = (x: number): number =>
      1 + Math.max(0, Math.round((x - row.getBoundingClientRect().left - 20) / INDENT));
    return combine(
      draggable({
        element: row,
        getInitialData: () => ({ branch: id }),
        onDragStart: () => setDragged(true),
        onDrop: () => setDragged(false),
      }),
      dropTargetForElements({
        element: row,
        canDrop: ({ source }) => source.data['branch'] !== id,
        onDrag: ({ location }) => setOver(levelAt(location.current.input.clientX)),
        onDragLeave: () => setOver(null),
        onDrop: ({ source, location }) => {
          setOver(null);
          const wanted = levelAt(location.current.input.clientX);
          edit(...placeBranch(blocksNow(), source.data['branch'] as BlockId, id, wanted));
        },
      }),
    );
  }, [id]);
  const onKey = (event: KeyboardEvent) => {
    if (!event.altKey) return;
    const { key } = event;
    const blocks = blocksNow();
    if (key === 'ArrowUp' || key === 'ArrowDown') edit(...stepBranch(blocks, id, key === 'ArrowUp' ? -1 : 1));
    else if (key === 'ArrowLeft' || key === 'ArrowRight') {
      const chosen = blocks.filter((block) => block.id === id);
      const made = shiftBranches(blocks, chosen, key === 'ArrowLeft' ? -1 : 1);
      if (made !== undefined) edit(made);
    } else return;
    event.preventDefault();
  };
  return (
    <Row
      ref={element}
      dragged={dragged}
      style={{ paddingLeft: (level - 1) * INDENT, fontWeight: level === 1 ? 600 : 400 }}
      onClick={() => go(id)}
      onKeyDown={onKey}
    >
      {over !== null && <span className="drop" style={{ left: (over - 1) * INDENT }} />}
      <span>
        {text || <i>{t('empty heading')}</i>}
        <Unseen>{t(', level {level},', { level })}</Unseen>
      </span>
      <span className="words">
        {grouped(words)}
        <Unseen> {words === 1 ? t('word') : t('words')}</Unseen>
      </span>
    </Row>
  );
});
