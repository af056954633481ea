/** Layouts for the whole deck, chosen together: seen first, taken by one action. */
import { Box, chakra } from '@chakra-ui/react';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { LAYOUT_LABELS } from '../../ui/labels.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { lowered, rich, t } from '../../words/words.ts';
import { Sheet } from '../shared/own-slides.tsx';

const Changes = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(360px, 1fr))', gap: '18px', mt: '14px' },
});
const MOST = 60;

export function LayoutsShelf() {
  const { answer, failure } = useAnswer({ what: 'arrangement' });
  const deck = useDeck((state) => state.deck?.id ?? '');
  const arranged = useDeck((state) => state.view?.arranged ?? false);
  return (
    <>
      <Heading>{t('Layouts, chosen for all slides together')}</Heading>
      <Small mb="10px">
        {t(
          'By how well each fits, by variety from slide to slide, and by keeping to a few within a section. Slides whose layout you fixed stay. It is one step to undo.',
        )}
      </Small>
      {failure !== null && <Small role="alert">{failure}</Small>}
      {answer === null ? (
        <Small>{t('Weighing the layouts of all slides …')}</Small>
      ) : (
        <>
          <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap">
            <Action
              look="main"
              disabled={answer.changes.length === 0}
              onClick={() => edit({ kind: 'arrange', layouts: answer.layouts })}
            >
              {answer.changes.length === 0
                ? t('All slides are so already')
                : t('Arrange {n} slides', { count: answer.changes.length })}
            </Action>
            {arranged && (
              <Action look="plain" onClick={() => edit({ kind: 'arrange', layouts: [] })}>
                {t('Back to the usual layouts')}
              </Action>
            )}
            {answer.fixed > 0 && <Small>{t('{n} slides fixed by you.', { count: answer.fixed })}</Small>}
          </Box>
          <Changes>
            {answer.changes.slice(0, MOST).map((change) => (
              <Box key={change.after.key} aria-label={t('Slide {number}', { number: change.number })} role="group">
                <Small mb="4px">
                  {rich(
                    'Slide {number}: {from} becomes <b>{to}</b>',
                    {
                      number: change.number,
                      from: lowered(LAYOUT_LABELS[change.from]),
                      to: lowered(LAYOUT_LABELS[change.to]),
                    },
                    { b: (words) => <chakra.b color="ink">{words}</chakra.b> },
                  )}
                </Small>
                <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px">
                  {[change.before, change.after].map((drawing, i) => (
                    <Sheet key={i}>
                      <SlideDrawing
                        drawing={drawing}
                        deck={deck}
                        number={change.number}
                        label={
                          i === 0
                            ? t('Slide {number} now', { number: change.number })
                            : t('Slide {number} then', { number: change.number })
                        }
                      />
                    </Sheet>
                  ))}
                </Box>
              </Box>
            ))}
          </Changes>
          {answer.changes.length > MOST && (
            <Small mt="10px">{t('and {all} more.', { all: answer.changes.length - MOST })}</Small>
          )}
        </>
      )}
    </>
  );
}
