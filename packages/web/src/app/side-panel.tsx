/** What opens at the right, over the station. */
import { chakra } from '@chakra-ui/react';

export const SidePanel = chakra('aside', {
  base: {
    position: 'absolute',
    top: 0,
    right: 0,
    bottom: 0,
    w: '360px',
    maxW: '100%',
    bg: 'card',
    borderLeft: '1px solid',
    borderColor: 'line',
    zIndex: 30,
    display: 'flex',
    flexDirection: 'column',
    fontSize: 'sm',
  },
});
