/** What would bring the talk down to the time that there is: one by one, or all. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { edit } from '../../state/log-store.ts';
import { ask } from '../../state/core-link.ts';
import { count, duration, percent, quoted } from '../../ui/format.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import type { Saving, Savings } from '../../worker/protocol.ts';

const NEAR = 0.1;

interface Props {
  readonly minutes: number | null;
  readonly total: number /* s */;
}

export function Fit({ minutes, total }: Props) {
  const [found, setFound] = useState<Savings | 'counting' | string | null>(null);
  if (minutes === null || (total <= minutes * 60 * (1 + NEAR) && (found === null || typeof found === 'string')))
    return null;
  const find = async () => {
    setFound('counting');
    try {
      setFound((await ask({ what: 'savings', minutes })) ?? 'The deck changed meanwhile. Try it again.');
    } catch (error) {
      setFound(error instanceof Error ? error.message : String(error));
    }
  };
  const use = (steps: readonly Saving[]) => {
    edit({ kind: 'all', edits: steps.flatMap(({ edits }) => edits) });
    if (found === null || typeof found === 'string') return;
    const rest = found.steps.filter((step) => !steps.includes(step));
    setFound(rest.length === 0 ? null : { ...found, steps: rest });
  };
  const named = count(minutes, 'minute');
  return (
    <section>
      <Heading as="h2" fontFamily="body" fontSize="lg" mb="8px">
        Fit it to {named}
      </Heading>
      {found === null || typeof found === 'string' ? (
        <Box display="flex" gap="10px" alignItems="center">
          <Action size="small" look="main" disabled={found === 'counting'} onClick={() => void find()}>
            {found === 'counting' ? 'Counting …' : 'See what would do it'}
          </Action>
          <Small role="status">
            {found !== null && found !== 'counting' ? found : 'Nothing is changed until you choose.'}
          </Small>
        </Box>
      ) : (
        <Box display="grid" gap="4px">
          <Box display="flex" gap="10px" justifyContent="space-between" alignItems="center">
            <Small role="status">
              {found.steps.length === 0
                ? 'There is nothing to save without leaving out what matters.'
                : `${!found.near ? 'The nearest that is possible is' : found.steps.length > 1 ? 'Together they come to' : 'That comes to'} ${duration(found.after)}.`}
            </Small>
            {found.steps.length > 1 && (
              <Action size="small" look="main" onClick={() => use(found.steps)}>
                Do all {found.steps.length}
              </Action>
            )}
          </Box>
          <chakra.ol listStyle="none" display="grid">
            {found.steps.map((step) => (
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
      )}
    </section>
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
