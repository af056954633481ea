/** What was found in the structure: lines that look like headings, and what would make poor slides, with repairs. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import {
  blockText,
  groupBy,
  markAs,
  markAsText,
  together,
  type Block,
  type BlockId,
  type Finding,
  type FindingKind,
  type Level,
  type LookAlikes,
  type MadeHeadings,
  type Repair,
} from '@alvex/core';
import { ask } from '../../state/core-link.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { KeptField } from '../../ui/kept-field.tsx';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { rich, t } from '../../words/words.ts';
import { FINDINGS, REPAIRS } from './labels.ts';
import { repairAll } from './line-actions.ts';
import { detailText, lookText, reasonText } from './look-text.ts';
import { chooseAll } from './use-selection.ts';

const Card = chakra('section', {
  base: { borderTop: '1px solid', borderColor: 'line', py: '12px', display: 'grid', gap: '7px' },
});
const Jump = chakra('button', {
  base: {
    border: 0,
    bg: 'transparent',
    p: 0,
    textAlign: 'left',
    cursor: 'pointer',
    fontFamily: 'heading',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
    minW: 0,
    _hover: { textDecoration: 'underline' },
  },
});
const Select = chakra('select', {
  base: {
    bg: 'card',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    px: '4px',
    py: '2px',
    fontSize: 'xs',
  },
});

const SHOWN = 4;
const LEVELS: readonly Level[] = [1, 2, 3, 4, 5, 6];

interface Props {
  readonly go: (block: BlockId) => void;
}

export function StructurePanel({ go }: Props) {
  const structure = useDeck((state) => state.structure);
  const blockById = useDeck((state) => state.blockById);
  const kinds = useMemo(() => [...groupBy(structure?.findings ?? [], ({ kind }) => kind)], [structure]);
  if (structure === null) return <Small>{t('Looking the document through …')}</Small>;
  const nothing = structure.groups.length === 0 && kinds.length === 0;
  return (
    <>
      <Heading as="h2" fontSize="lg">
        {t('Structure')}
      </Heading>
      {nothing && (
        <Small mt="6px">{t('Nothing to put right: levels follow each other, and every heading has text.')}</Small>
      )}
      {structure.made.map((made) => (
        <MadeCard key={made.blocks[0]} made={made} blockById={blockById} go={go} />
      ))}
      {structure.groups.length > 1 && (
        <Action
          look="main"
          size="small"
          my="10px"
          onClick={() =>
            edit({ kind: 'all', edits: structure.groups.map(({ blocks, level }) => markAs(blocks, level)) })
          }
        >
          {t('Mark them all as proposed')}
        </Action>
      )}
      {structure.groups.map((group) => (
        <LookAlikeCard key={group.key} group={group} blockById={blockById} go={go} />
      ))}
      {kinds.map(([kind, found]) => (
        <FindingCard key={kind} kind={kind} found={found} blockById={blockById} go={go} />
      ))}
    </>
  );
}

function LookAlikeCard({
  group,
  blockById,
  go,
}: Props & { readonly group: LookAlikes; readonly blockById: ReadonlyMap<string, Block> }) {
  const [level, setLevel] = useState<Level>(group.level);
  const [slides, setSlides] = useState<number | null>(null);
  const now = useDeck((state) => state.view?.pages.order.length ?? 0);
  const [first] = group.blocks;
  const sample = blockById.get(first!);
  const change = markAs(group.blocks, level);
  useEffect(() => {
    let wanted = true;
    void ask({ what: 'slides', edits: [markAs(group.blocks, level)] }).then((then) => {
      if (wanted) setSlides(then);
    });
    return () => {
      wanted = false;
    };
  }, [group, level]);
  return (
    <Card aria-label={t('Lines that look alike: {look}', { look: lookText(group.traits) })}>
      <Box fontSize="sm">
        {rich('<b>{n} lines look</b> like headings: {look}', {
          count: group.blocks.length,
          look: lookText(group.traits),
        })}
      </Box>
      {sample !== undefined && (
        <Jump onClick={() => go(first!)} aria-label={t('Go to “{sample}”', { sample: blockText(sample) })}>
          <chakra.span
            display="block"
            bg="card"
            border="1px solid"
            borderColor="line"
            px="10px"
            py="6px"
            overflow="hidden"
            textOverflow="ellipsis"
            style={{
              fontWeight: group.traits.bold ? 700 : 400,
              fontStyle: group.traits.italic ? 'italic' : 'normal',
              fontSize: Math.min(22, Math.max(11, (group.traits.size ?? 12) * 1.15)),
              textAlign: group.traits.centred ? 'center' : 'left',
            }}
          >
            {blockText(sample)}
          </chakra.span>
        </Jump>
      )}
      <Small fontSize="xs">
        {t('{confidence} % sure: {reasons}.', {
          confidence: Math.round(group.confidence * 100),
          reasons: group.reasons.map(reasonText).join('; '),
        })}
      </Small>
      <Box display="flex" gap="6px" alignItems="center" flexWrap="wrap">
        <Select
          aria-label={t('Level')}
          value={level}
          onChange={(event) => setLevel(Number(event.target.value) as Level)}
        >
          {LEVELS.map((one) => (
            <option key={one} value={one}>
              {t('heading {one}', { one })}
            </option>
          ))}
        </Select>
        <Action look="main" size="small" onClick={() => edit(change)}>
          {group.blocks.length === 1 ? t('Mark it') : t('Mark all {all}', { all: group.blocks.length })}
        </Action>
        <Action size="small" look="quiet" onClick={() => chooseAll(group.blocks)}>
          {t('Choose them')}
        </Action>
      </Box>
      <Small fontSize="xs" role="status">
        {slides === null ? '\u00a0' : t('{n} slides now, {slides} then', { count: now, slides })}
      </Small>
    </Card>
  );
}

/** What Alvex, or the author, took as headings by its look, and the way back. */
function MadeCard({
  made: { traits, blocks },
  blockById,
  go,
}: Props & { readonly made: MadeHeadings; readonly blockById: ReadonlyMap<string, Block> }) {
  const [first] = blocks;
  const sample = blockById.get(first!);
  return (
    <Card aria-label={t('Lines taken as headings: {look}', { look: lookText(traits) })}>
      <Box fontSize="sm">
        {rich('<b>{n} lines</b> of text taken as headings: {look}', { count: blocks.length, look: lookText(traits) })}
      </Box>
      {sample !== undefined && <Jump onClick={() => go(first!)}>{blockText(sample)}</Jump>}
      <Box display="flex" gap="6px" flexWrap="wrap">
        <Action size="small" onClick={() => edit(markAsText(blocks))}>
          {blocks.length === 1 ? t('Make it text again') : t('Make them text again')}
        </Action>
        <Action size="small" look="quiet" onClick={() => chooseAll(blocks)}>
          {blocks.length === 1 ? t('Choose it') : t('Choose them')}
        </Action>
      </Box>
    </Card>
  );
}

function FindingCard({
  kind,
  found,
  blockById,
  go,
}: Props & {
  readonly kind: FindingKind;
  readonly found: readonly Finding[];
  readonly blockById: ReadonlyMap<string, Block>;
}) {
  const [all, setAll] = useState(false);
  const blocks = useDeck((state) => state.blocks);
  const title = FINDINGS[kind](found.length);
  const common = found[0]!.repairs.filter((repair) => repair.ask === undefined);
  return (
    <Card aria-label={title}>
      <Box fontSize="sm">{title}</Box>
      {found.slice(0, all ? 300 : SHOWN).map((finding) => (
        <FindingRow
          key={`${finding.block} ${detailText(finding.detail)}`}
          finding={finding}
          block={blockById.get(finding.block)}
          go={go}
        />
      ))}
      <Box display="flex" gap="6px" flexWrap="wrap">
        {found.length > 1 &&
          common.map((repair) => (
            <Action key={repair.name} size="small" onClick={() => edit(repairAll(kind, found, repair.name, blocks))}>
              {REPAIRS[repair.name].replace(/\bit\b/, 'all')}
            </Action>
          ))}
        {found.length > SHOWN && (
          <Action size="small" look="quiet" onClick={() => setAll(!all)}>
            {all ? t('Show fewer') : t('Show all {all}', { all: found.length })}
          </Action>
        )}
      </Box>
    </Card>
  );
}

function FindingRow({ finding, block, go }: Props & { readonly finding: Finding; readonly block: Block | undefined }) {
  const [asking, setAsking] = useState<Repair | null>(null);
  if (block === undefined) return null;
  const text = blockText(block).trim() || (block.kind === 'picture' ? 'picture' : t('no words'));
  const make = (repair: Repair) => {
    if (repair.ask === undefined) edit(...together(repair.changes));
    else setAsking(repair);
  };
  const describe = (alt: string) => {
    if (alt.trim() !== '' && block.kind === 'picture') edit({ kind: 'describe', block: block.id, alt });
  };
  return (
    <Box display="grid" gap="3px" fontSize="sm" minW="0">
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr) auto" gap="8px">
        <Jump onClick={() => go(block.id)}>{text}</Jump>
        <chakra.span
          color="soft"
          fontSize="xs"
          maxW="150px"
          overflow="hidden"
          textOverflow="ellipsis"
          whiteSpace="nowrap"
        >
          {detailText(finding.detail)}
        </chakra.span>
      </Box>
      {asking !== null ? (
        <KeptField
          autoFocus
          aria-label={t('Description of the picture')}
          placeholder={t('What the picture shows')}
          value=""
          keep={describe}
          left={() => setAsking(null)}
        />
      ) : (
        <Box display="flex" gap="4px" flexWrap="wrap">
          {finding.repairs.map((repair) => (
            <Action key={repair.name} size="small" onClick={() => make(repair)}>
              {REPAIRS[repair.name]}
            </Action>
          ))}
        </Box>
      )}
    </Box>
  );
}
