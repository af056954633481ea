/** The controls that every station uses. */
import { chakra } from '@chakra-ui/react';

export const Action = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    gap: '6px',
    border: '1px solid',
    borderRadius: 'sm',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
    textDecoration: 'none',
    lineHeight: '1.3',
    _disabled: { opacity: 0.45, cursor: 'default' },
  },
  variants: {
    look: {
      main: { bg: 'pine', borderColor: 'pine', color: 'pineText', _hover: { filter: 'brightness(1.12)' } },
      plain: { bg: 'card', borderColor: 'line', color: 'ink', _hover: { borderColor: 'pine' } },
      chosen: { bg: 'pineWash', borderColor: 'pine', color: 'ink', fontWeight: 600 },
      quiet: {
        bg: 'transparent',
        borderColor: 'transparent',
        color: 'soft',
        _hover: { color: 'ink', borderColor: 'line' },
      },
      danger: { bg: 'card', borderColor: 'line', color: 'red', _hover: { borderColor: 'red' } },
    },
    size: {
      small: { px: '8px', py: '3px', fontSize: 'xs', minH: '24px' },
      normal: { px: '12px', py: '6px', fontSize: 'sm', minH: '30px' },
    },
  },
  defaultVariants: { look: 'plain', size: 'normal' },
});

export const Heading = chakra('h1', {
  base: { fontFamily: 'heading', fontWeight: 600, fontSize: 'xl', lineHeight: '1.25' },
});
export const Small = chakra('p', { base: { color: 'soft', fontSize: 'sm' } });

/** Said to screen readers, and not seen. */
export const Unseen = chakra('span', {
  base: {
    position: 'absolute',
    width: '1px',
    height: '1px',
    overflow: 'hidden',
    clipPath: 'inset(50%)',
    whiteSpace: 'nowrap',
  },
});

/** A notice: what happened, what was kept, what to do. */
export const Notice = chakra('div', {
  base: {
    borderLeft: '3px solid',
    px: '12px',
    py: '8px',
    fontSize: 'sm',
    display: 'flex',
    gap: '12px',
    alignItems: 'center',
    flexWrap: 'wrap',
  },
  variants: {
    tone: {
      attention: { bg: 'amberWash', borderColor: 'amber', color: 'amberText' },
      fault: { bg: 'redWash', borderColor: 'red', color: 'ink' },
      calm: { bg: 'pineWash', borderColor: 'pine', color: 'ink' },
    },
  },
  defaultVariants: { tone: 'attention' },
});

export const Field = chakra('input', {
  base: {
    bg: 'card',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    px: '8px',
    py: '5px',
    fontSize: 'md',
    minW: 0,
    _focusVisible: { borderColor: 'pine' },
  },
});

/** A fault named in a line of other facts. */
export const Warning = chakra('span', {
  base: { color: 'amberText', bg: 'amberWash', borderLeft: '3px solid', borderColor: 'amber', px: '6px' },
});

const Track = chakra('div', { base: { height: '4px', bg: 'line', width: '100%', maxW: '360px', overflow: 'hidden' } });
/** @param done 0 to 1. */
export function ProgressBar({ label, done }: { readonly label: string; readonly done: number }) {
  const percent = Math.round(done * 100);
  return (
    <Track role="progressbar" aria-label={label} aria-valuenow={percent} aria-valuemin={0} aria-valuemax={100}>
      <chakra.div h="100%" bg="pine" style={{ width: `${Math.max(4, percent)}%` }} />
    </Track>
  );
}

export const Select = chakra('select', {
  base: {
    bg: 'card',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    px: '6px',
    py: '4px',
    fontSize: 'sm',
    color: 'ink',
    maxW: '100%',
  },
});

/** A station that is one column of lines under a heading. */
export const ColumnPage = chakra('div', {
  base: {
    h: '100%',
    display: 'flex',
    flexDirection: 'column',
    maxW: '980px',
    mx: 'auto',
    px: '24px',
    py: '18px',
    gap: '14px',
  },
});
