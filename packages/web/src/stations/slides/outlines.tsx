/** The document's outline and the deck's beside each other, with what is different between them. */
import { Box, chakra } from '@chakra-ui/react';
import { useRef, type ReactNode } from 'react';
import type { DeckLine, Difference, DocumentLine, BlockId } from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { grouped } from '../../ui/format.ts';
import { Mark } from '../../ui/mark.tsx';
import { Action, Small } from '../../ui/recipes.tsx';
import { useRows, VirtualRows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';

const Columns = chakra('div', {
  base: {
    flex: 1,
    minH: 0,
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
    '@media (max-width: 720px)': { gridTemplateColumns: 'minmax(0, 1fr)', overflowY: 'auto' },
  },
});
const Line = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: '34px minmax(0, 1fr) auto',
    gap: '10px',
    w: '100%',
    border: 0,
    borderTop: '1px solid',
    borderColor: 'line',
    bg: 'transparent',
    textAlign: 'left',
    cursor: 'pointer',
    py: '6px',
    alignItems: 'baseline',
    fontFamily: 'heading',
    _hover: { bg: 'pineWash' },
    '& small': { color: 'soft', fontFamily: 'body', fontSize: 'xs' },
  },
  variants: { pale: { true: { color: 'pale' } } },
});
const Tag = chakra('span', {
  base: {
    fontFamily: 'body',
    fontSize: 'xs',
    color: 'amberText',
    bg: 'amberWash',
    px: '5px',
    ml: '6px',
    whiteSpace: 'nowrap',
  },
});

const DIFFERENCES: Readonly<Record<Difference, string>> = {
  moved: t('moved'),
  retitled: t('retitled'),
  repeated: t('goes on'),
  own: t('your own'),
  hidden: t('hidden'),
  made: t('made of the deck'),
};

export function TwoOutlines({ go }: { readonly go: (page: number, block: BlockId | null) => void }) {
  const { answer } = useAnswer({ what: 'outlines' });
  if (answer === null) return <Small p="20px">{t('Comparing …')}</Small>;
  const { document, deck, removed } = answer;
  const leftOut = document.filter(({ state }) => state === 'left-out').length;
  const differing = deck.filter(({ differences }) => differences.some((one) => one !== 'repeated')).length;
  return (
    <Columns data-testid="outlines">
      <Side
        label={t('Outline of the document')}
        head={t('The document: {n} headings{out}', {
          count: document.length,
          out: leftOut > 0 ? t(', {leftOut} left out', { leftOut }) : '',
        })}
        length={document.length}
        line={(i) => <HeadingLine line={document[i]!} go={go} />}
      />
      <Side
        label={t('Outline of the deck')}
        head={t('The deck: {n} slides{as}', {
          count: deck.length,
          as: differing > 0 ? t(', {differing} not as in the document', { differing }) : t(', as in the document'),
        })}
        length={deck.length + removed.length}
        line={(i) =>
          i < deck.length ? (
            <SlideLine line={deck[i]!} go={go} />
          ) : (
            <Box
              display="flex"
              gap="10px"
              alignItems="center"
              py="4px"
              color="pale"
              borderTop="1px solid"
              borderColor="line"
            >
              <Mark destination="out" size={24} />
              <chakra.span fontFamily="heading" textDecoration="line-through" flex="1">
                {removed[i - deck.length]!.title}
              </chakra.span>
              <Action
                size="small"
                look="quiet"
                onClick={() => edit({ kind: 'restore', slides: [removed[i - deck.length]!.slide] })}
              >
                {t('Bring back')}
              </Action>
            </Box>
          )
        }
      />
    </Columns>
  );
}

function Side({
  label,
  head,
  length,
  line,
}: {
  readonly label: string;
  readonly head: string;
  readonly length: number;
  readonly line: (index: number) => ReactNode;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useRows({
    count: length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 36,
    overscan: 12,
  });
  return (
    <Box display="flex" flexDirection="column" minH="0" px="20px" borderRight="1px solid" borderColor="line">
      <Small py="10px">{head}</Small>
      <Box ref={scroller} flex="1" minH="0" overflowY="auto" pb="40px">
        <VirtualRows virtualizer={virtualizer} label={label} rowLabel={(i) => t('Line {i}', { i: i + 1 })} row={line} />
      </Box>
    </Box>
  );
}

const INDENT = 16;

function HeadingLine({
  line,
  go,
}: {
  readonly line: DocumentLine;
  readonly go: (page: number, block: BlockId | null) => void;
}) {
  const { level, text, words, slide, state, block } = line;
  return (
    <Line pale={state === 'left-out'} onClick={() => slide !== null && go(slide - 1, block)}>
      <small>{slide === null ? <Mark destination="out" size={24} /> : slide}</small>
      <span style={{ paddingLeft: Math.max(0, level - 1) * INDENT, fontWeight: level <= 1 ? 600 : 400 }}>
        {text || <i>{t('empty heading')}</i>}
        {state === 'spoken' && <Tag>{t('spoken')}</Tag>}
        {state === 'left-out' && <Tag>{t('left out')}</Tag>}
      </span>
      <small>{grouped(words)}</small>
    </Line>
  );
}

function SlideLine({
  line,
  go,
}: {
  readonly line: DeckLine;
  readonly go: (page: number, block: BlockId | null) => void;
}) {
  const { number, title, points, differences, kind } = line;
  return (
    <Line onClick={() => go(number - 1, line.block)} pale={differences.includes('hidden')}>
      <small>{number}</small>
      <span>
        <chakra.b fontWeight={kind === 'content' ? 600 : 700}>{title}</chakra.b>
        {differences.map((one) => (
          <Tag key={one}>{DIFFERENCES[one]}</Tag>
        ))}
        {points.map((point, i) => (
          <chakra.span key={i} display="block" pl={`${INDENT}px`} fontSize="sm" color="soft">
            {point}
          </chakra.span>
        ))}
      </span>
      <small>{kind === 'section' ? t('section') : ''}</small>
    </Line>
  );
}
