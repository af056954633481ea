/** A card that is one of several choices: what it is called, what it comes to. */
import { chakra } from '@chakra-ui/react';

export const ChoiceCard = chakra('button', {
  base: {
    display: 'grid',
    gap: '2px',
    alignContent: 'start',
    textAlign: 'left',
    bg: 'card',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    px: '14px',
    py: '11px',
    cursor: 'pointer',
    _hover: { borderColor: 'pine' },
    _disabled: { cursor: 'default', color: 'soft' },
  },
  variants: {
    on: { true: { bg: 'pineWash', borderColor: 'pine', boxShadow: 'inset 0 0 0 1px {colors.pine}' } },
  },
});

/** Three choices beside each other, and a place for more at the end. */
export const Choices = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'repeat(3, minmax(0, 1fr)) minmax(240px, 1.2fr)',
    gap: '14px',
    '@media (max-width: 900px)': { gridTemplateColumns: 'repeat(auto-fit, minmax(200px, 1fr))' },
  },
});
