/** What can be done with the chosen lines. */
import { Box, chakra } from '@chakra-ui/react';
import { ArrowLeft, ArrowRight, PencilLine } from 'lucide-react';
import { linesLike, type Block, type Destination, type Level, type Shape } from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { count } from '../../ui/format.ts';
import { DESTINATION_LABELS } from '../../ui/labels.ts';
import { Mark } from '../../ui/mark.tsx';
import { Action } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { canShape, shapeAll, shiftBranches, stretchAround, turnAll } from './line-actions.ts';
import { chooseAll, clearSelection, write } from './use-selection.ts';

const Group = chakra('div', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    '& > button': { borderRadius: 0, ml: '-1px', minW: '30px', justifyContent: 'center' },
    '& > button:first-of-type': { borderLeftRadius: 'sm' },
    '& > button:last-of-type': { borderRightRadius: 'sm' },
  },
});

const LEVELS: readonly Level[] = [1, 2, 3, 4, 5, 6];
const DESTINATIONS: readonly Destination[] = ['point1', 'slide', 'notes', 'out'];

export function LineBar({ blocks, chosen }: { readonly blocks: readonly Block[]; readonly chosen: readonly Block[] }) {
  const [first] = chosen;
  if (first === undefined) return null;
  const like = chosen.length === 1 ? linesLike(blocks, first.id) : [];
  return (
    <Box
      role="toolbar"
      aria-label={t('Chosen lines')}
      px="20px"
      py="8px"
      bg="card"
      borderTop="1px solid"
      borderColor="soft"
      position="absolute"
      left="0"
      right="0"
      bottom="0"
      display="flex"
      gap="8px"
      rowGap="6px"
      alignItems="center"
      flexWrap="wrap"
      fontSize="sm"
    >
      <chakra.b minW="62px">{count(chosen.length, 'line')}</chakra.b>
      <Shapes chosen={chosen} />
      <Branches blocks={blocks} chosen={chosen} />
      <Destinations chosen={chosen} />
      {like.length > 1 && (
        <Action size="small" onClick={() => chooseAll(like)}>
          {t('{all} like this one', { all: like.length })}
        </Action>
      )}
      <Action size="small" title={t('Write here (Enter)')} onClick={() => write(stretchAround(blocks, first.id))}>
        <PencilLine size={13} /> {t('Write')}
      </Action>
      <Action size="small" look="quiet" onClick={clearSelection}>
        {t('Choose none')}
      </Action>
    </Box>
  );
}

interface ChosenProps {
  readonly chosen: readonly Block[];
}

function Shapes({ chosen }: ChosenProps) {
  const shaped = chosen.some(canShape);
  const shape = (as: Shape) => edit(shapeAll(chosen, as));
  const isLevel = (level: Level) => chosen.every((block) => block.kind === 'heading' && block.level === level);
  return (
    <Group role="group" aria-label={t('Heading level')}>
      {LEVELS.map((level) => (
        <Action
          key={level}
          size="small"
          look={isLevel(level) ? 'chosen' : 'plain'}
          aria-label={t('Heading {level}', { level })}
          aria-pressed={isLevel(level)}
          title={t('Heading {level} (key {level})', { level })}
          disabled={!shaped}
          onClick={() => shape({ kind: 'heading', level })}
        >
          {level}
        </Action>
      ))}
      <Action
        size="small"
        disabled={!shaped}
        title={t('Body text (key 0)')}
        onClick={() => shape({ kind: 'paragraph' })}
      >
        {t('text')}
      </Action>
      <Action
        size="small"
        disabled={!shaped}
        title={t('List item (key -)')}
        onClick={() => shape({ kind: 'listItem', depth: 1, ordered: false })}
      >
        {t('item')}
      </Action>
    </Group>
  );
}

function Branches({ blocks, chosen }: ChosenProps & { readonly blocks: readonly Block[] }) {
  const branches = chosen.some((block) => block.kind === 'heading' || block.kind === 'listItem');
  const shift = (by: 1 | -1) => {
    const made = shiftBranches(blocks, chosen, by);
    if (made !== undefined) edit(made);
  };
  return (
    <Group role="group" aria-label={t('Branch')}>
      <Action
        size="small"
        disabled={!branches}
        aria-label={t('Raise the branch')}
        title={t('Raise the branch (key <)')}
        onClick={() => shift(-1)}
      >
        <ArrowLeft size={13} /> {t('branch')}
      </Action>
      <Action
        size="small"
        disabled={!branches}
        aria-label={t('Lower the branch')}
        title={t('Lower the branch (key >)')}
        onClick={() => shift(1)}
      >
        <ArrowRight size={13} />
      </Action>
    </Group>
  );
}

function Destinations({ chosen }: ChosenProps) {
  return (
    <Group role="group" aria-label={t('Where they go')}>
      {DESTINATIONS.map((to) => (
        <Action
          key={to}
          size="small"
          aria-label={DESTINATION_LABELS[to]}
          title={DESTINATION_LABELS[to]}
          onClick={() => edit(turnAll(chosen, to))}
        >
          <Mark destination={to} size={22} />
        </Action>
      ))}
      <Action size="small" onClick={() => edit(turnAll(chosen, null))}>
        {t('as the map says')}
      </Action>
    </Group>
  );
}
