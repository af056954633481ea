/** The rows of a long list that are near what is seen, each in its place. */
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
    // Plain elements: these come and go with every step of scrolling.
    <div
      style={{ position: 'relative', height: virtualizer.getTotalSize() }}
      {...(label === undefined ? {} : { role: 'list', 'aria-label': label })}
    >
      {virtualizer.getVirtualItems().map(({ key, index, start }) => (
        // Placed by top, not by transform: what sticks within a row would not see a transform.
        <div
          key={key}
          ref={virtualizer.measureElement}
          data-index={index}
          style={{ position: 'absolute', left: 0, right: 0, top: start }}
          {...(rowLabel === undefined ? {} : { role: 'listitem', 'aria-label': rowLabel(index) })}
        >
          {row(index)}
        </div>
      ))}
    </div>
  );
}
