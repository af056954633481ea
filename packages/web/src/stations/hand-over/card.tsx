/** What one thing that is handed over looks like: what it is for, how it begins, what it holds. */
import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Heading, Select, Small } from '../../ui/recipes.tsx';

const Frame = chakra('section', {
  base: {
    border: '1px solid',
    borderColor: 'line',
    bg: 'card',
    p: '20px',
    display: 'grid',
    gap: '10px',
    alignContent: 'start',
  },
});
export const Inside = chakra('ul', { base: { pl: '16px', fontSize: 'sm', color: 'soft', '& li': { py: '1px' } } });
/** A choice with its label. */
export const Choice = chakra('label', {
  base: {
    display: 'grid',
    gap: '3px',
    fontSize: 'sm',
    color: 'soft',
    justifyItems: 'start',
    maxW: '100%',
    '& select': { maxW: '100%' },
  },
});

/** What is going on with it. Its line is there before it says something, so that cards do not move under a hand. */
export const Status = chakra(
  'p',
  { base: { color: 'soft', fontSize: 'sm', minH: '1lh' } },
  { defaultProps: { role: 'status' } },
);

interface OneOfProps<V extends string> {
  readonly label: string;
  readonly value: V;
  /** What each is called, in the order in which they are offered. */
  readonly options: Readonly<Record<V, string>>;
  readonly choose: (value: V) => void;
}

export function OneOf<V extends string>({ label, value, options, choose }: OneOfProps<V>) {
  return (
    <Choice>
      {label}
      <Select value={value} onChange={(event) => choose(event.target.value as V)}>
        {Object.entries<string>(options).map(([one, name]) => (
          <option key={one} value={one}>
            {name}
          </option>
        ))}
      </Select>
    </Choice>
  );
}

interface Props {
  readonly name: string;
  /** `To edit`. */
  readonly purpose: string;
  readonly heading: string;
  /** How it begins, drawn. */
  readonly preview: ReactNode;
  readonly children: ReactNode;
}

export function Card({ name, purpose, heading, preview, children }: Props) {
  return (
    <Frame aria-label={name}>
      <Box>
        <Small>{purpose}</Small>
        <Heading as="h2" fontSize="lg">
          {heading}
        </Heading>
      </Box>
      <Box
        display="grid"
        gap="10px 16px"
        alignItems="start"
        css={{
          gridTemplateColumns: '150px minmax(0, 1fr)',
          '@media (max-width: 520px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
        }}
      >
        <Box maxW="150px" aria-hidden="true">
          {preview}
        </Box>
        <Box display="grid" gap="10px" gridTemplateColumns="minmax(0, 1fr)">
          {children}
        </Box>
      </Box>
    </Frame>
  );
}
