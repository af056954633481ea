/** The rows of a long list that are near what is seen, each in its place. */
import { Box } from '@chakra-ui/react';
import type { Virtualizer } from '@tanstack/react-virtual';
import type { ReactNode } from 'react';

interface Props {
  readonly virtualizer: Virtualizer<HTMLElement, Element> | Virtualizer<HTMLDivElement, Element>;
  readonly row: (index: number) => ReactNode;
  /** Said to screen readers; with it the rows are a list. */
  readonly label?: string;
  readonly rowLabel?: (index: number) => string;
}

export function VirtualRows({ virtualizer, row, label, rowLabel }: Props) {
  return (
    <Box
      position="relative"
      style={{ height: virtualizer.getTotalSize() }}
      {...(label === undefined ? {} : { role: 'list', 'aria-label': label })}
    >
      {virtualizer.getVirtualItems().map(({ key, index, start }) => (
        // Placed by top, not by transform: what sticks within a row would not see a transform.
        <Box
          key={key}
          ref={virtualizer.measureElement}
          data-index={index}
          position="absolute"
          left="0"
          right="0"
          style={{ top: start }}
          {...(rowLabel === undefined ? {} : { role: 'listitem', 'aria-label': rowLabel(index) })}
        >
          {row(index)}
        </Box>
      ))}
    </Box>
  );
}
