/** What would bring the talk down to the time that there is: one by one, or all. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { count, duration, percent, quoted } from '../../ui/format.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { NEAR } from '@alvex/core';
import type { Saving, Savings } from '../../worker/protocol.ts';

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
        Fit it to {count(minutes, 'minute')}
      </Heading>
      {wanted && answer !== null ? (
        <Offered savings={answer} />
      ) : (
        <Box display="flex" gap="10px" alignItems="center">
          <Action size="small" look="main" disabled={wanted && failure === null} onClick={() => setWanted(true)}>
            {wanted && failure === null ? 'Counting …' : 'See what would do it'}
          </Action>
          <Small role="status">{failure ?? 'Nothing is changed until you choose.'}</Small>
        </Box>
      )}
    </section>
  );
}

const use = (steps: readonly Saving[]): void => edit({ kind: 'all', edits: steps.flatMap(({ edits }) => edits) });

function Offered({ savings: { steps, after, near } }: { readonly savings: Savings }) {
  const comesTo = !near
    ? 'The nearest that is possible is'
    : steps.length > 1
      ? 'Together they come to'
      : 'That comes to';
  return (
    <Box display="grid" gap="4px">
      <Box display="flex" gap="10px" justifyContent="space-between" alignItems="center">
        <Small role="status">
          {steps.length === 0
            ? 'There is nothing to save without leaving out what matters.'
            : `${comesTo} ${duration(after)}.`}
        </Small>
        {steps.length > 1 && (
          <Action size="small" look="main" onClick={() => use(steps)}>
            Do all {steps.length}
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
              saves {duration(step.seconds)}
            </chakra.span>
            <Action size="small" onClick={() => use([step])}>
              Do it
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
      return `Speak the main sentences: about ${percent(Number(text))} of the notes`;
    case 'back-up':
      return `Keep ${quoted(text)} for questions: hidden, behind the last slide`;
    case 'sections':
      return `Leave out ${quoted(text)}; Document brings it back`;
  }
}
