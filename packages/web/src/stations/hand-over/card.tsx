/** What one thing that is handed over looks like. */
import { chakra } from '@chakra-ui/react';

export const Card = chakra('section', {
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
