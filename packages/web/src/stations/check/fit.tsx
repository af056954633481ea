/** What would bring the talk down to the time that there is: one by one, or all. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { NEAR } from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { duration, percent, quoted } from '../../ui/format.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Saving, Savings } from '../../worker/questions.ts';

interface Props {
  readonly minutes: number | null;
  readonly total: number /* s */;
}

/** What is offered is always for the deck as it is: after a step, or an undo, it is found anew. */
export function Fit({ minutes, total }: Props) {
  const [wanted, setWanted] = useState(false);
  const over = minutes !== null && total > minutes * 60 * (1 + NEAR);
  const { answer, failure } = useAnswer(wanted && over ? { what: 'savings', minutes } : null);
  if (!over) return null;
  return (
    <section>
      <Heading as="h2" fontFamily="body" fontSize="lg" mb="8px">
        {t('Fit it to {n} minutes', { count: minutes })}
      </Heading>
      {wanted && answer !== null ? (
        <Offered savings={answer} />
      ) : (
        <Box display="flex" gap="10px" alignItems="center">
          <Action size="small" look="main" disabled={wanted && failure === null} onClick={() => setWanted(true)}>
            {wanted && failure === null ? t('Counting …') : t('See what would do it')}
          </Action>
          <Small role="status">{failure ?? t('Nothing is changed until you choose.')}</Small>
        </Box>
      )}
    </section>
  );
}

const use = (steps: readonly Saving[]): void => edit({ kind: 'all', edits: steps.flatMap(({ edits }) => edits) });

function Offered({ savings: { steps, after, near } }: { readonly savings: Savings }) {
  const comesTo = !near
    ? t('The nearest that is possible is')
    : steps.length > 1
      ? t('Together they come to')
      : t('That comes to');
  return (
    <Box display="grid" gap="4px">
      <Box display="flex" gap="10px" justifyContent="space-between" alignItems="center">
        <Small role="status">
          {steps.length === 0
            ? t('There is nothing to save without leaving out what matters.')
            : `${comesTo} ${duration(after)}.`}
        </Small>
        {steps.length > 1 && (
          <Action size="small" look="main" onClick={() => use(steps)}>
            {t('Do all {all}', { all: steps.length })}
          </Action>
        )}
      </Box>
      <chakra.ol listStyle="none" display="grid">
        {steps.map((step) => (
          <chakra.li
            key={`${step.kind} ${step.text}`}
            display="flex"
            gap="10px"
            alignItems="baseline"
            borderTop="1px solid"
            borderColor="line"
            py="5px"
            fontSize="sm"
          >
            <Box flex="1" minW="0">
              {savingText(step)}
            </Box>
            <chakra.span color="soft" whiteSpace="nowrap">
              {t('saves {seconds}', { seconds: duration(step.seconds) })}
            </chakra.span>
            <Action size="small" onClick={() => use([step])}>
              {t('Do it')}
            </Action>
          </chakra.li>
        ))}
      </chakra.ol>
    </Box>
  );
}

function savingText({ kind, text }: Saving): string {
  switch (kind) {
    case 'notes':
      return t('Speak the main sentences: about {share} of the notes', { share: percent(Number(text)) });
    case 'back-up':
      return t('Keep {text} for questions: hidden, behind the last slide', { text: quoted(text) });
    case 'sections':
      return t('Leave out {text}; Document brings it back', { text: quoted(text) });
  }
}
