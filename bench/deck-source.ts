/** Markdown of a deck of `slides` slides: title, a spoken paragraph, five points. */
import { sentence } from './measure.ts';

export const deckSource = (slides: number): string =>
  Array.from(
    { length: slides },
    (_, i) =>
      `# ${sentence(i, 5)}\n\n${sentence(i, 30)}\n\n${Array.from({ length: 5 }, (_, k) => `- ${sentence(i + k, 9)}`).join('\n')}\n\n`,
  ).join('');
