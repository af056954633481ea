/** Chooses how slides come, and whether their points come one by one. */
import { chakra } from '@chakra-ui/react';
import { TRANSITIONS, type Motion } from '@alvex/core';
import { useAhead } from '../../state/use-ahead.ts';
import { TRANSITION_LABELS } from '../../ui/labels.ts';
import { Action } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

const Field = chakra('fieldset', {
  base: { border: 0, p: 0, m: 0, minW: 0, display: 'flex', gap: '6px', flexWrap: 'wrap' },
});

export function MotionFields({
  motion,
  choose,
}: {
  readonly motion: Motion;
  readonly choose: (motion: Motion) => void;
}) {
  const [own, setOwn] = useAhead(motion);
  const set = (change: Partial<Motion>) => {
    const next = { ...own, ...change };
    setOwn(next);
    choose(next);
  };
  return (
    <>
      <Field>
        <chakra.legend fontSize="sm" color="soft" mb="5px">
          {t('A slide comes')}
        </chakra.legend>
        {TRANSITIONS.map((one) => (
          <Action
            key={one}
            size="small"
            look={own.transition === one ? 'chosen' : 'plain'}
            aria-pressed={own.transition === one}
            onClick={() => set({ transition: one })}
          >
            {TRANSITION_LABELS[one]}
          </Action>
        ))}
      </Field>
      <chakra.label display="flex" gap="8px" alignItems="flex-start" fontSize="sm" cursor="pointer">
        <input type="checkbox" checked={own.points} onChange={(event) => set({ points: event.target.checked })} />
        {t('Points come one by one, each with what stands below it')}
      </chakra.label>
    </>
  );
}
