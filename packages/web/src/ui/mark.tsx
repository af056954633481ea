/** Marks of the destinations: told apart by shape first, colour second. The same everywhere. */
import { pointLevel, type Destination } from '@alvex/core';

const STROKE = 2.4;

function shape(destination: Destination) {
  switch (destination) {
    case 'section':
      return <path d="M6 3v13h18" fill="none" strokeWidth={STROKE} />;
    case 'title':
      return <rect x="4" y="7" width="22" height="6" fill="currentColor" stroke="none" />;
    case 'slide':
      return <path d="M5 5.5h20M5 10h20M5 14.5h13" strokeWidth="1.7" />;
    case 'notes':
      return <path d="M4 8q3.5-4.4 7 0t7 0 7 0M4 13.5q3.5-4.4 7 0t7 0 7 0" fill="none" strokeWidth="1.7" />;
    case 'out':
      return <circle cx="15" cy="10" r="6" fill="none" strokeWidth="1.7" strokeDasharray="3 2.2" />;
    case 'point1':
    case 'point2':
    case 'point3':
    case 'point4':
    case 'point5': {
      const count = pointLevel(destination) ?? 1;
      const first = 15 - (count - 1) * 2.5;
      return (
        <path d={Array.from({ length: count }, (_, i) => `M${first + i * 5} 4v12`).join('')} strokeWidth={STROKE} />
      );
    }
  }
}

const COLORS: Partial<Record<Destination, string>> = {
  notes: 'var(--chakra-colors-soft)',
  out: 'var(--chakra-colors-pale)',
};

export function Mark({ destination, size = 30 }: { readonly destination: Destination; readonly size?: number }) {
  return (
    <svg
      viewBox="0 0 30 20"
      width={size}
      height={(size * 2) / 3}
      stroke="currentColor"
      color={COLORS[destination] ?? 'var(--chakra-colors-pine)'}
      aria-hidden="true"
    >
      {shape(destination)}
    </svg>
  );
}
