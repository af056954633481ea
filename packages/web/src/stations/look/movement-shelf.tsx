/** How slides come on a screen, and whether points come one after the other: for all slides together. */
import { Box } from '@chakra-ui/react';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { Heading, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { MotionFields } from '../shared/motion-fields.tsx';
import type { ShelfProps } from '../shared/own-slides.tsx';

export function MovementShelf({ pages }: ShelfProps) {
  const motion = useDeck((state) => state.view?.motion);
  if (motion === undefined) return null;
  const stepped = pages.steps.filter((steps) => steps > 0).length;
  return (
    <Box maxW="640px" display="grid" gap="14px">
      <Heading>{t('Movement')}</Heading>
      <Small>
        {t(
          'As you present, in the web page and in the presentation file. Nothing moves unless you want it, and nothing moves for those whose system asks for less motion. One slide may do otherwise: in Slides, at its Look.',
        )}
      </Small>
      <MotionFields motion={motion} choose={(chosen) => edit({ kind: 'motion', motion: chosen })} />
      <Small role="status">
        {motion.points
          ? t('{n} slides with points that come one by one; each key press brings the next.', { count: stepped })
          : t('All points of a slide are there at once.')}
      </Small>
    </Box>
  );
}
