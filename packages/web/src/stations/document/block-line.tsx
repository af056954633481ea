/** One line of the document: its kind in the margin, its text, and the way to its slide. */
import { Box, chakra } from '@chakra-ui/react';
import { memo, type MouseEvent } from 'react';
import { Link } from 'react-router';
import type { Block } from '@alvex/core';
import { useLanguage, usePictures } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { BlockText } from '../../ui/block-text.tsx';
import { LEFT } from '../../ui/left-labels.ts';
import { Action } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { useSelection } from './use-selection.ts';

const Line = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '74px minmax(0, 660px) 84px',
    gap: '14px',
    alignItems: 'baseline',
    py: '4px',
    px: '20px',
    cursor: 'default',
    outlineOffset: '-2px',
    '& .to-slide': { opacity: 0 },
    '&:hover .to-slide, & .to-slide:focus-visible': { opacity: 1 },
    '@media (max-width: 560px)': {
      gridTemplateColumns: '44px minmax(0, 1fr) auto',
      px: '10px',
      '& .to-slide': { display: 'none' },
    },
  },
  variants: {
    chosen: { true: { bg: 'pineWash', boxShadow: 'inset 3px 0 0 {colors.pine}' } },
    left: { true: { color: 'pale', '& img': { opacity: 0.4 } } },
    found: { true: { bg: 'amberWash' } },
  },
});
const Margin = chakra('span', {
  base: { textAlign: 'right', fontSize: 'xs', color: 'soft', fontFamily: 'body', whiteSpace: 'nowrap' },
});

export const BlockLine = memo(function BlockLine({
  block,
  deck,
  found,
  tabbable,
  choose,
  write,
}: {
  readonly block: Block;
  readonly deck: string;
  readonly found: boolean;
  readonly tabbable: boolean;
  readonly choose: (id: string, event: MouseEvent) => void;
  readonly write: (id: string) => void;
}) {
  const chosen = useSelection((state) => state.chosen.has(block.id));
  const language = useLanguage();
  const pictures = usePictures();
  const { left } = block;
  return (
    <Line
      role="row"
      aria-selected={chosen}
      data-block={block.id}
      data-left={left}
      chosen={chosen}
      left={left !== undefined}
      found={found && !chosen}
      tabIndex={tabbable ? 0 : -1}
      onMouseDown={(event) => {
        // Shift and a click would choose letters.
        if (event.shiftKey) event.preventDefault();
      }}
      onClick={(event) => choose(block.id, event)}
      onDoubleClick={() => write(block.id)}
    >
      <Margin role="gridcell" alignSelf={block.kind === 'picture' || block.kind === 'table' ? 'start' : undefined}>
        {left === undefined ? marginText(block) : LEFT[left]}
      </Margin>
      <Box minW="0" role="gridcell" lang={language}>
        <BlockText block={block} deck={deck} pictures={pictures} whole />
      </Box>
      <span role="gridcell">
        {left === undefined ? (
          <Link
            className="to-slide"
            to={`../slides?at=${encodeURIComponent(block.id)}`}
            style={{ fontSize: 11, color: 'var(--chakra-colors-pine)' }}
            tabIndex={-1}
          >
            {t('its slide')}
          </Link>
        ) : (
          <Action
            size="small"
            look="quiet"
            onClick={(event) => {
              event.stopPropagation();
              edit({ kind: 'keep', blocks: [block.id] });
            }}
          >
            {t('Bring it back')}
          </Action>
        )}
      </span>
    </Line>
  );
});

const ROLES = { title: t('title'), subtitle: t('subtitle'), contents: t('contents'), caption: t('caption') } as const;
const KINDS = {
  table: t('table'),
  picture: t('picture'),
  quote: t('quotation'),
  code: t('code'),
  footnote: t('footnote'),
} as const;

function marginText(block: Block): string {
  switch (block.kind) {
    case 'heading':
      return t('heading {level}', { level: block.level });
    case 'listItem':
      return block.depth > 1 ? t('list, {depth}', { depth: block.depth }) : t('list');
    case 'paragraph':
      return block.role === undefined ? '' : ROLES[block.role];
    case 'break':
      return '';
    case 'table':
    case 'picture':
    case 'quote':
    case 'code':
    case 'footnote':
      return KINDS[block.kind];
  }
}
