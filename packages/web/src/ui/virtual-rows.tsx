/** The rows of a long list that are near what is seen, each in its place. */
import { useVirtualizer, type ReactVirtualizer } from '@tanstack/react-virtual';
import type { ReactNode } from 'react';

export type Rows<Scroller extends HTMLElement = HTMLDivElement> = ReactVirtualizer<Scroller, Element>;

/** Rows that have another height than was thought are placed before they are painted, without being drawn once more. */
export const useRows = <Scroller extends HTMLElement = HTMLDivElement>(
  options: Parameters<typeof useVirtualizer<Scroller, Element>>[0],
): Rows<Scroller> => useVirtualizer({ ...options, directDomUpdates: true, directDomUpdatesMode: 'position' });

interface Props {
  readonly virtualizer: Pick<Rows, 'containerRef' | 'getVirtualItems' | 'measureElement'>;
  readonly row: (index: number) => ReactNode;
  /** Said to screen readers; with it the rows are a list. */
  readonly label?: string;
  readonly rowLabel?: (index: number) => string;
}

export function VirtualRows({ virtualizer, row, label, rowLabel }: Props) {
  return (
    // Plain elements: these come and go with every step of scrolling.
    <div
      ref={virtualizer.containerRef}
      style={{ position: 'relative' }}
      {...(label === undefined ? {} : { role: 'list', 'aria-label': label })}
    >
      {virtualizer.getVirtualItems().map(({ key, index }) => (
        // Placed by top, not by transform: what sticks within a row would not see a transform.
        <div
          key={key}
          ref={virtualizer.measureElement}
          data-index={index}
          style={{ position: 'absolute', left: 0, right: 0 }}
          {...(rowLabel === undefined ? {} : { role: 'listitem', 'aria-label': rowLabel(index) })}
        >
          {row(index)}
        </div>
      ))}
    </div>
  );
}
