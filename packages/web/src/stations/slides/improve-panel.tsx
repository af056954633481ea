/** What would make one slide better, each with what it does: seen first, done by a click, undone like anything else. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import {
  plain,
  runsText,
  type Content,
  type Density,
  type ParallelAdvice,
  type Proposal,
  type SlideId,
  type PartId,
} from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { usePages } from '../../state/pages-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { count } from '../../ui/format.ts';
import { DENSITY_LABELS } from '../../ui/labels.ts';
import { Action, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { SlideAdvice } from '../../worker/questions.ts';
import { Panel, PanelPart } from './panel-part.tsx';
import { spokenInstead } from './slide-work.ts';

const Text = chakra('span', { base: { fontFamily: 'heading' } });

const RULES: Readonly<Record<ParallelAdvice['rule'], string>> = {
  base: t('begin with what is to be done (“mend …”)'),
  ing: t('begin with a form in -ing'),
  to: t('begin with “to”'),
  stop: t('end with a mark'),
  'no-stop': t('end without a full stop'),
  capital: t('begin with a capital'),
  small: t('begin with a small letter'),
};

const reword = ({ part, to }: Proposal) => ({ kind: 'reword', part, runs: to }) as const;

export function ImprovePanel({ slide, close }: { readonly slide: SlideId; readonly close: () => void }) {
  const { answer: advice } = useAnswer({ what: 'advice', slide });
  const parts = usePages((state) => [...state.rows.values()].find((row) => row.slide === slide)?.all);
  if (advice === null) return <Small mt="8px">{t('Looking …')}</Small>;
  const nothing =
    advice.titles.length === 0 &&
    advice.fewer.length === 0 &&
    advice.shorter.length === 0 &&
    advice.parallel.length === 0 &&
    advice.thinner === null &&
    advice.told === null;
  return (
    <Panel data-testid="improve">
      {nothing && <Small>{t('Nothing to suggest here.')}</Small>}
      {advice.titles.length > 0 && (
        <PanelPart head={t('A title from what stands here')}>
          <Choices>
            {advice.titles.map((title) => (
              <Action key={title} size="small" onClick={() => edit({ kind: 'retitle', slide, runs: plain(title) })}>
                <Text>{title}</Text>
              </Action>
            ))}
          </Choices>
        </PanelPart>
      )}
      {advice.told !== null && (
        <PanelPart head={t('Points from what is said to it')}>
          <Action size="small" onClick={() => edit(advice.told!)}>
            {t('Show what the notes say')}
          </Action>
        </PanelPart>
      )}
      {advice.fewer.length > 0 && <Fewer advice={advice} parts={parts ?? []} />}
      {advice.shorter.length > 0 && <Shorter advice={advice} />}
      {advice.parallel.map((one) => (
        <Parallel key={one.rule} advice={one} />
      ))}
      {advice.thinner !== null && (
        <PanelPart head={t('Notes that say less, in your own sentences')}>
          <Action size="small" onClick={() => edit(advice.thinner!)}>
            {t('Shorten to a third')}
          </Action>
        </PanelPart>
      )}
      <Box>
        <Action size="small" look="quiet" onClick={close}>
          {t('Close')}
        </Action>
      </Box>
    </Panel>
  );
}

const Choices = chakra('div', { base: { display: 'flex', gap: '6px', flexWrap: 'wrap', mb: '4px' } });

interface AdviceProps {
  readonly advice: SlideAdvice;
}

function Fewer({ advice, parts }: AdviceProps & { readonly parts: readonly Content[] }) {
  const [most, setMost] = useState<number | null>(null);
  const fewer = advice.fewer.find((one) => one.most === most);
  const textOf = (id: string): string => {
    const part = parts.find((one) => one.id === id);
    return part !== undefined && 'runs' in part ? runsText(part.runs) : t('a picture or table');
  };
  return (
    <PanelPart head={t('Fewer points; the others are spoken')}>
      <Choices>
        {advice.fewer.map((one) => (
          <Action
            key={one.most}
            size="small"
            look={one.most === most ? 'chosen' : 'plain'}
            aria-pressed={one.most === most}
            onClick={() => setMost(one.most === most ? null : one.most)}
          >
            {count(one.most, 'point')}
          </Action>
        ))}
      </Choices>
      {fewer !== undefined && <FewerPoints key={fewer.most} all={parts} proposed={fewer.parts} textOf={textOf} />}
    </PanelPart>
  );
}

function Shorter({ advice }: AdviceProps) {
  const [density, setDensity] = useState<Density | null>(null);
  const shorter = advice.shorter.find((one) => one.density === density);
  return (
    <PanelPart head={t('Shorter, in your own words')}>
      <Choices>
        {advice.shorter.map((one) => (
          <Action
            key={one.density}
            size="small"
            look={one.density === density ? 'chosen' : 'plain'}
            aria-pressed={one.density === density}
            onClick={() => setDensity(one.density === density ? null : (one.density as Density))}
          >
            {DENSITY_LABELS[one.density as Density]}
          </Action>
        ))}
      </Choices>
      {shorter !== undefined && <Proposals proposals={shorter.proposals} />}
    </PanelPart>
  );
}

function Parallel({ advice: { rule, odd, of } }: { readonly advice: ParallelAdvice }) {
  return (
    <PanelPart head={t('{of} of {n} points {rules}', { of: of - odd.length, count: of, rules: RULES[rule] })}>
      {odd.some(({ proposal }) => proposal !== null) && (
        <Proposals proposals={odd.flatMap(({ proposal }) => proposal ?? [])} />
      )}
      {odd
        .filter(({ proposal }) => proposal === null)
        .map(({ part, text }) => (
          <Small key={part}>
            <Text>{text}</Text> {t('does not; write it anew on the slide.')}
          </Small>
        ))}
    </PanelPart>
  );
}

/** The choice of points is seen, and can be made otherwise. */
function FewerPoints({
  all,
  proposed,
  textOf,
}: {
  readonly all: readonly Content[];
  readonly proposed: readonly PartId[];
  readonly textOf: (id: string) => string;
}) {
  const [spoken, setSpoken] = useState(new Set(proposed));
  const turn = (id: PartId) => {
    const next = new Set(spoken);
    if (!next.delete(id)) next.add(id);
    setSpoken(next);
  };
  return (
    <Box display="grid" gap="2px" mt="4px">
      {all
        .filter((part) => part.kind === 'point')
        .map(({ id }) => (
          <chakra.label key={id} display="flex" gap="8px" color={spoken.has(id) ? 'soft' : 'ink'}>
            <input type="checkbox" checked={!spoken.has(id)} onChange={() => turn(id)} />
            <Text>{textOf(id)}</Text>
          </chakra.label>
        ))}
      <Box mt="4px">
        <Action
          size="small"
          look="main"
          disabled={spoken.size === 0}
          onClick={() => edit(...spokenInstead({ all }, [...spoken]))}
        >
          {t('Speak {n} points', { count: spoken.size })}
        </Action>
      </Box>
    </Box>
  );
}

function Proposals({ proposals }: { readonly proposals: readonly Proposal[] }) {
  return (
    <Box display="grid" gap="4px">
      {proposals.map((proposal) => (
        <Box key={proposal.part} display="flex" gap="8px" alignItems="baseline">
          <Box flex="1" minW="0">
            <chakra.s color="pale" fontFamily="heading">
              {runsText(proposal.from)}
            </chakra.s>
            <br />
            <Text>{runsText(proposal.to)}</Text>
          </Box>
          <Action size="small" onClick={() => edit(reword(proposal))}>
            {t('Take it')}
          </Action>
        </Box>
      ))}
      {proposals.length > 1 && (
        <Box>
          <Action size="small" onClick={() => edit({ kind: 'all', edits: proposals.map(reword) })}>
            {t('Take all {all}', { all: proposals.length })}
          </Action>
        </Box>
      )}
    </Box>
  );
}
