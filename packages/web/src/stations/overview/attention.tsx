/** What needs a word before the deck is opened, each with its answer. */
import { Box, chakra } from '@chakra-ui/react';
import { useId, useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { findTitle, markAs, markAsText, type Block } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { quoted } from '../../ui/format.ts';
import { Action, Heading } from '../../ui/recipes.tsx';
import { rich, t } from '../../words/words.ts';
import { usePrivateParts } from '../shared/private-parts.ts';

const Line = chakra('li', {
  base: {
    listStyle: 'none',
    borderLeft: '3px solid',
    borderColor: 'amber',
    pl: '12px',
    py: '3px',
    display: 'flex',
    gap: '8px 20px',
    alignItems: 'center',
    justifyContent: 'space-between',
    flexWrap: 'wrap',
  },
});

export function Attention() {
  const id = useId();
  const lines = [...useHeadings(), ...usePrivate(), ...useLosses(), ...useLeftOut(), ...useReadiness()];
  if (lines.length === 0) return null;
  return (
    <Box as="section" aria-labelledby={id} borderTop="1px solid" borderColor="line" pt="18px">
      <Heading as="h2" id={id} fontFamily="body" fontSize="lg" mb="10px">
        {t('Worth a look')}
      </Heading>
      <chakra.ul display="grid" gap="10px">
        {lines.map(({ key, text, answer }) => (
          <Line key={key}>
            <Box flex="1" minW="min(320px, 100%)">
              {text}
            </Box>
            <Box display="flex" gap="8px" flexWrap="wrap">
              {answer}
            </Box>
          </Line>
        ))}
      </chakra.ul>
    </Box>
  );
}

interface Remark {
  readonly key: string;
  readonly text: ReactNode;
  readonly answer: ReactNode;
}

const Go = ({ to, children }: { readonly to: string; readonly children: ReactNode }) => (
  <Link to={to} style={{ textDecoration: 'none' }}>
    <Action as="span">{children}</Action>
  </Link>
);

const isHeading = (block: Block): boolean => block.kind === 'heading' && block.left === undefined;

/** Lines that look like headings, that were taken as such, or that there are none at all. */
function useHeadings(): readonly Remark[] {
  const structure = useDeck((state) => state.structure);
  const blocks = useDeck((state) => state.blocks);
  const marked = useMemo(() => {
    const title = findTitle(blocks);
    return blocks.some((block) => isHeading(block) && block !== title);
  }, [blocks]);
  if (structure === null) return [];
  const { groups, made, findings } = structure;
  const alike = groups.reduce((sum, group) => sum + group.blocks.length, 0);
  const taken = made.flatMap((one) => one.blocks);
  const structural = findings.filter(({ kind }) => kind !== 'private-part');
  return [
    ...(alike === 0
      ? []
      : [
          {
            key: 'alike',
            text: <>{rich('<b>{n} lines</b> look like headings, and are not marked as such.', { count: alike })}</>,
            answer: (
              <>
                <Action
                  onClick={() => edit({ kind: 'all', edits: groups.map((group) => markAs(group.blocks, group.level)) })}
                >
                  {alike === 1 ? t('Mark it as a heading') : t('Mark them as headings')}
                </Action>
                <Go to="../document">{t('Look at them', { count: alike })}</Go>
              </>
            ),
          },
        ]),
    ...(taken.length === 0
      ? []
      : [
          {
            key: 'taken',
            text: (
              <>{rich('<b>{n} lines</b> of text are taken as headings, by their look.', { count: taken.length })}</>
            ),
            answer: (
              <>
                <Action onClick={() => edit(markAsText(taken))}>
                  {t('Take them as text', { count: taken.length })}
                </Action>
                <Go to="../document">{t('Look at them', { count: taken.length })}</Go>
              </>
            ),
          },
        ]),
    ...(marked || alike > 0
      ? []
      : [
          {
            key: 'none',
            text: t(
              'Nothing is marked as a heading, and no line looks like one: slides follow the topics of the text.',
            ),
            answer: <Go to="../document">{t('Mark headings in the text')}</Go>,
          },
        ]),
    ...(structural.length === 0
      ? []
      : [
          {
            key: 'structure',
            text: rich('<b>{n} things</b> in the document’s structure could be better.', { count: structural.length }),
            answer: <Go to="../document">{t('Look at the structure')}</Go>,
          },
        ]),
  ];
}

function usePrivate(): readonly Remark[] {
  return usePrivateParts().map(({ block, title, show }) => ({
    key: `private ${block}`,
    text: rich('The part <b>{title}</b> seems to be for the speaker. It is in the speaker notes, not on a slide.', {
      title: quoted(title),
    }),
    answer: <Action onClick={() => edit(show)}>{t('Show it on slides')}</Action>,
  }));
}

/** What the reader of the file could not keep. */
function useLosses(): readonly Remark[] {
  const diagnostics = useDeck((state) => state.diagnostics.length);
  if (diagnostics === 0) return [];
  return [
    {
      key: 'losses',
      text: <>{rich('<b>{n} things</b> of the file could not be brought in as they are.', { count: diagnostics })}</>,
      answer: <Go to="../document?show=losses">{t('Read which')}</Go>,
    },
  ];
}

/** What belongs to the page and not to the text, and what the author left out. */
function useLeftOut(): readonly Remark[] {
  const blocks = useDeck((state) => state.blocks);
  const { furniture, deleted } = useMemo(
    () => ({
      furniture: blocks.filter(({ left }) => left !== undefined && left !== 'deleted'),
      deleted: blocks.filter(({ left }) => left === 'deleted'),
    }),
    [blocks],
  );
  const back = (kept: readonly Block[]) => (
    <Action onClick={() => edit({ kind: 'keep', blocks: kept.map(({ id }) => id) })}>
      {t('Bring them back', { count: kept.length })}
    </Action>
  );
  return [
    ...(furniture.length === 0
      ? []
      : [
          {
            key: 'furniture',
            text: rich(
              '<b>{n} lines</b> that belong to the page and not to the text (menus, page numbers, contents) are left out.',
              { count: furniture.length },
            ),
            answer: (
              <>
                {back(furniture)}
                <Go to="../document">{t('Look at them', { count: furniture.length })}</Go>
              </>
            ),
          },
        ]),
    ...(deleted.length === 0
      ? []
      : [
          {
            key: 'deleted',
            text: <>{rich('<b>{n} passages</b> of the document are left out by you.', { count: deleted.length })}</>,
            answer: back(deleted),
          },
        ]),
  ];
}

/** Slides that cannot be shown as they are. */
function useReadiness(): readonly Remark[] {
  const { answer } = useAnswer({ what: 'readiness' });
  if (answer === null || answer.ready === answer.of) return [];
  const { ready, of } = answer;
  return [
    {
      key: 'ready',
      text: <>{rich('<b>{ready} of {n} slides</b> can be shown as they are.', { ready, count: of })}</>,
      answer: <Go to="../check">{t('See what the others lack', { count: of - ready })}</Go>,
    },
  ];
}
