/** Why a map is suggested, in a sentence or two. */
import type { Suggestion, Target } from '@alvex/core';
import { count } from '../../ui/format.ts';
import { t } from '../../words/words.ts';

/** @param target Undefined where nothing is wanted: any length is right. */
export function suggestionText({ best, near, costed }: Suggestion, target: Target | null): string {
  const slides = count(best.slides, 'slide');
  const spoken = count(Math.max(1, Math.round(best.spokenMinutes)), 'minute');
  const wanted = target && count(target.amount, target.unit === 'slides' ? 'slide' : 'minute');
  if (!near && target !== null) {
    const got = target.unit === 'slides' ? best.slides : best.spokenMinutes;
    return [
      t('No map comes near the {wanted} you want; the nearest makes {slides}, {spoken} to speak.', {
        wanted,
        slides,
        spoken,
      }),
      got > target.amount
        ? t('Leave out sections, or shorten the text, to come nearer.')
        : t('The document has no more to say: titles from lower headings, or its text on slides, come nearest.'),
    ].join(' ');
  }
  const facts = [
    wanted === null
      ? t('it makes {slides}', { slides })
      : target?.unit === 'slides'
        ? t('it makes {slides}, for the {amount} you want', { slides, amount: target.amount })
        : t('it makes {slides}, for your {wanted}', { slides, wanted }),
    t('about {words} on each', { words: count(best.words, 'word') }),
    ...(best.spokenMinutes >= 0.5 ? [t('{spoken} to speak', { spoken })] : []),
    best.spills === 0
      ? t('none of them too full')
      : best.full === 'shorten'
        ? t('{spills} of them shortened', { spills: best.spills })
        : t('{spills} of them continued', { spills: best.spills }),
  ];
  const numbers = costed.map((one) => one.slides);
  const [least, most] = [Math.min(...numbers), Math.max(...numbers)];
  return [
    t('Suggested because {facts}, and {last}.', { facts: facts.slice(0, -1).join(', '), last: facts.at(-1) }),
    ...(least === most
      ? []
      : [
          t('The {tried} maps that were tried make {least} to {n} slides.', {
            tried: costed.length,
            least,
            count: most,
          }),
        ]),
  ].join(' ');
}
