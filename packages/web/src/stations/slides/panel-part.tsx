/** One heading and what belongs to it, in a panel below a slide. */
import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export const Panel = chakra('div', {
  base: {
    borderLeft: '3px solid',
    borderColor: 'pine',
    pl: '12px',
    mt: '10px',
    display: 'grid',
    gap: '14px',
    fontSize: 'sm',
  },
});
const Head = chakra('h2', { base: { fontWeight: 600, fontSize: 'sm', mb: '4px' } });

export function PanelPart({ head, children }: { readonly head: string; readonly children: ReactNode }) {
  return (
    <section aria-label={head}>
      <Head>{head}</Head>
      {children}
    </section>
  );
}

/** Controls in a row. */
export const PanelRow = chakra('div', {
  base: { display: 'flex', flexWrap: 'wrap', gap: '6px', alignItems: 'center', mt: '6px' },
});
