/** Beside the matrix: running text, front and back matter, what is done with a slide that holds too much, rules below one heading. */
import { Box, chakra } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import {
  blockText,
  DENSITIES,
  DESTINATIONS,
  destinationsOf,
  FULL_RULES,
  MATTER_KINDS,
  TEXT_KINDS,
  type Destination,
  type Prose,
  type TextKind,
  type BlockId,
} from '@alvex/core';
import { usePrivateParts } from '../shared/private-parts.ts';
import { useSpokenParts } from '../shared/spoken-parts.ts';
import { useDeck, useMap } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { percent, quoted } from '../../ui/format.ts';
import { DENSITY_LABELS, DESTINATION_LABELS, FULL_LABELS, KIND_LABELS, MATTER_LABELS } from '../../ui/labels.ts';
import { Mark } from '../../ui/mark.tsx';
import { Action, Select, Small } from '../../ui/recipes.tsx';
import { lowered, t } from '../../words/words.ts';

const Row = chakra('div', {
  base: { display: 'flex', gap: '6px', rowGap: '4px', alignItems: 'center', flexWrap: 'wrap', mb: '8px' },
});

interface SettingProps {
  readonly label: string;
  /** The label takes no more room than it needs. */
  readonly narrow?: boolean;
  readonly children: ReactNode;
}

export function Setting({ label, narrow = false, children }: SettingProps) {
  return (
    <Row role="group" aria-label={label}>
      <Small w={narrow ? undefined : '170px'} flexShrink="0">
        {label}
      </Small>
      <Row flex="1" minW="min(300px, 100%)" mb="0">
        {children}
      </Row>
    </Row>
  );
}

interface ChoiceProps {
  readonly on: boolean;
  readonly choose: () => void;
  readonly children: ReactNode;
}

const Choice = ({ on, choose, children }: ChoiceProps) => (
  <Action size="small" look={on ? 'chosen' : 'plain'} aria-pressed={on} onClick={choose}>
    {children}
  </Action>
);

const setProse = (prose: Prose): void => edit({ kind: 'prose', prose });

/** Whole, first sentences, or shortened to a density. */
export function ProseSetting() {
  const prose = useDeck((state) => state.view?.prose);
  if (prose === undefined) return null;
  const density = prose.as === 'short' ? prose.density : 'half';
  return (
    <>
      <Setting label={t('Body text')}>
        <Choice on={prose.as === 'whole'} choose={() => setProse({ as: 'whole' })}>
          {t('exact words, as the map says')}
        </Choice>
        <Choice on={prose.as === 'told'} choose={() => setProse({ as: 'told' })}>
          {t('the same, and no slide with a title alone')}
        </Choice>
        <Choice on={prose.as === 'first'} choose={() => setProse({ as: 'first' })}>
          {t('first sentence a point, the rest spoken')}
        </Choice>
        <Choice on={prose.as === 'short'} choose={() => setProse({ as: 'short', density })}>
          {t('shortened on slides, the whole spoken')}
        </Choice>
      </Setting>
      {prose.as === 'short' && (
        <Row>
          <Small w="170px">{t('How much of it')}</Small>
          <input
            type="range"
            min={0}
            max={DENSITIES.length - 1}
            step={1}
            value={DENSITIES.indexOf(prose.density)}
            aria-label={t('How much of the body text')}
            aria-valuetext={DENSITY_LABELS[prose.density]}
            style={{ width: 180 }}
            onChange={(event) => setProse({ as: 'short', density: DENSITIES[Number(event.target.value)]! })}
          />
          <Small>{t('{density}, in your own sentences', { density: DENSITY_LABELS[prose.density] })}</Small>
        </Row>
      )}
    </>
  );
}

const SHARES: readonly number[] = [0.7, 0.5, 0.33, 0.15];

/** How much of what is spoken stands in the notes. */
export function NotesSetting() {
  const speech = useDeck((state) => state.view?.speech);
  if (speech === undefined) return null;
  const set = (share: number | null): void => edit({ kind: 'speech', share });
  const shares = speech === null || SHARES.includes(speech) ? SHARES : [...SHARES, speech].sort((a, b) => b - a);
  return (
    <Setting label={t('Speaker notes')}>
      <Choice on={speech === null} choose={() => set(null)}>
        {t('all of the text')}
      </Choice>
      {shares.map((share) => (
        <Choice key={share} on={speech === share} choose={() => set(share)}>
          {t('about {share}', { share: percent(share) })}
        </Choice>
      ))}
    </Setting>
  );
}

export function MatterSetting() {
  const matter = useDeck((state) => state.view?.matter) ?? [];
  return (
    <Setting label={t('Slides added')}>
      {MATTER_KINDS.map((part) => (
        <Choice
          key={part}
          on={matter.includes(part)}
          choose={() => edit({ kind: 'matter', part, on: !matter.includes(part) })}
        >
          {MATTER_LABELS[part]}
        </Choice>
      ))}
      <SectionSwitch />
    </Setting>
  );
}

/** Section openers are a matter of the map: every heading level one destination up or down. */
function SectionSwitch() {
  const branches = useSpokenParts();
  const map = useMap();
  const levels = useDeck((state) => state.blocks)
    .filter((block) => block.kind === 'heading' && block.left === undefined)
    .map((block) => (block.kind === 'heading' ? block.level : 0));
  const used = [...new Set(levels)].sort();
  if (map === undefined || used.length < 2) return null;
  const headings = used.map((level) => `heading${level}` as TextKind);
  const on = headings.some((kind) => map[kind] === 'section');
  const order: readonly Destination[] = ['section', 'title', 'point1', 'point2', 'point3', 'point4', 'point5'];
  const step = on ? 1 : -1;
  const shifted = Object.fromEntries(
    headings.map((kind) => {
      const at = order.indexOf(map[kind]);
      return [kind, at < 0 ? map[kind] : order[Math.max(0, Math.min(order.length - 1, at + step))]!];
    }),
  );
  return (
    <Choice on={on} choose={() => edit({ kind: 'map', name: null, map: { ...map, ...shifted }, branches })}>
      {t('Section openers')}
    </Choice>
  );
}

export function FullSetting() {
  const full = useDeck((state) => state.view?.full);
  return (
    <Setting label={t('A slide that holds too much is')}>
      {FULL_RULES.map((rule) => (
        <Choice key={rule} on={full === rule} choose={() => edit({ kind: 'full', rule })}>
          {FULL_LABELS[rule]}
        </Choice>
      ))}
    </Setting>
  );
}

/** Below one heading, a kind of text goes elsewhere. */
export function BranchSetting() {
  const branches = useDeck((state) => state.view?.branches) ?? [];
  const hidden = usePrivateParts();
  const map = useDeck((state) => state.view?.map);
  const blocks = useDeck((state) => state.blocks);
  const [adding, setAdding] = useState(false);
  const headings = blocks.flatMap((block) =>
    block.kind === 'heading' && block.left === undefined
      ? [{ id: block.id, text: blockText(block), level: block.level }]
      : [],
  );
  const nameOf = (id: string): string => {
    const block = blocks.find((one) => one.id === id);
    return block === undefined ? t('a heading that is gone') : blockText(block);
  };
  if (headings.length === 0 || map === undefined) return null;
  return (
    <Box mb="8px">
      {hidden.map(({ block, title, show }) => (
        <Row key={block} pl="12px">
          <chakra.span fontFamily="heading">{quoted(title)}</chakra.span>
          <Small>{t('is not for the audience, it seems, and waits as spoken')}</Small>
          <Action size="small" onClick={() => edit(show)}>
            {t('Show it on slides')}
          </Action>
        </Row>
      ))}
      <Setting label={t('Below one heading')}>
        {branches.length === 0 && !adding && <Small>{t('no rules: everything goes as the map says.')}</Small>}
        <Action size="small" look="quiet" aria-expanded={adding} onClick={() => setAdding(!adding)}>
          {adding ? t('Close') : t('Add a rule')}
        </Action>
      </Setting>
      {branches.map(({ block, text, to }) => (
        <Row key={`${block} ${text}`} pl="12px">
          <chakra.span fontFamily="heading">{quoted(nameOf(block))}</chakra.span>
          <Small>
            {lowered(KIND_LABELS[text])} {'→'}
          </Small>
          <Mark destination={to} size={24} />
          <Small>{DESTINATION_LABELS[to]}</Small>
          <Action size="small" look="quiet" onClick={() => edit({ kind: 'branch', block, text, to: null })}>
            {t('Take back')}
          </Action>
        </Row>
      ))}
      {adding && <NewRule headings={headings} done={() => setAdding(false)} />}
    </Box>
  );
}

const MOST_HEADINGS = 2000;

function NewRule({
  headings,
  done,
}: {
  readonly headings: readonly { readonly id: BlockId; readonly text: string; readonly level: number }[];
  readonly done: () => void;
}) {
  const [block, setBlock] = useState(headings[0]!.id);
  const [text, setText] = useState<TextKind>('body');
  const [to, setTo] = useState<Destination>('slide');
  const choices = DESTINATIONS.filter((one) => destinationsOf(text).includes(one));
  return (
    <Row pl="12px">
      <Select
        aria-label={t('Heading')}
        value={block}
        onChange={(event) => setBlock(headings.find(({ id }) => id === event.target.value)?.id ?? block)}
        maxW="240px"
      >
        {headings.slice(0, MOST_HEADINGS).map((heading) => (
          <option key={heading.id} value={heading.id}>
            {'\u2003'.repeat(heading.level - 1)}
            {heading.text.slice(0, 80)}
          </option>
        ))}
      </Select>
      <Select
        aria-label={t('Kind of text')}
        value={text}
        onChange={(event) => {
          const kind = event.target.value as TextKind;
          setText(kind);
          if (!destinationsOf(kind).includes(to)) setTo('slide');
        }}
      >
        {TEXT_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {KIND_LABELS[kind]}
          </option>
        ))}
      </Select>
      <Small>{t('goes to')}</Small>
      <Select aria-label={t('Destination')} value={to} onChange={(event) => setTo(event.target.value as Destination)}>
        {choices.map((one) => (
          <option key={one} value={one}>
            {DESTINATION_LABELS[one]}
          </option>
        ))}
      </Select>
      <Action
        size="small"
        look="main"
        onClick={() => {
          edit({ kind: 'branch', block, text, to });
          done();
        }}
      >
        {t('Set')}
      </Action>
    </Row>
  );
}
