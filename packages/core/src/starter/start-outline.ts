/** Writes a headed outline with prompts to fill in, by rules and templates: for those who have no document yet. */
import { PLANS, type PlannedPart, type Purpose } from './purposes.ts';

export interface OutlineWish {
  readonly purpose: Purpose;
  readonly topic: string;
  /** May be empty. */
  readonly audience: string;
  /** To speak. */
  readonly minutes: number;
}

const MINUTES_A_PART = 2;
const LEAST_PARTS = 3;

/** @returns Markdown. The same wish gives the same outline. */
export function startOutline(wish: OutlineWish): string {
  const topic = tidy(wish.topic) || 'The topic';
  const audience = tidy(wish.audience) || 'the audience';
  const fill = (text: string): string => text.replaceAll('{topic}', topic).replaceAll('{audience}', audience);
  const parts = chosenParts(PLANS[wish.purpose], wish.minutes);
  const minutes = Math.max(1, Math.round(wish.minutes));
  const each = Math.max(1, Math.round(minutes / parts.length));
  const points = each >= 2 ? 3 : 2;
  const lines = [
    `# ${topic}`,
    '',
    `For ${audience}, ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}. Every line below is a prompt: replace it with what you have to say.`,
    '',
  ];
  for (const part of parts) {
    lines.push(`## ${fill(part.title)}`, '');
    for (const point of part.points.slice(0, points)) lines.push(`- ${fill(point)}`);
    lines.push('', `${fill(part.spoken)} About ${each} ${each === 1 ? 'minute' : 'minutes'}.`, '');
  }
  return lines.join('\n');
}

/** As many parts as the time allows, the ones that matter least left away first, in their order. */
function chosenParts(plan: readonly PlannedPart[], minutes: number): readonly PlannedPart[] {
  const most = Math.max(LEAST_PARTS, Math.round(minutes / MINUTES_A_PART));
  const byWeight = plan.map((part, i) => ({ part, i })).sort((a, b) => a.part.weight - b.part.weight || a.i - b.i);
  return byWeight
    .slice(0, most)
    .sort((a, b) => a.i - b.i)
    .map(({ part }) => part);
}

/** One line, without what Markdown would read as marks. */
const tidy = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/([\\`*_[\]<>#])/g, '\\$1');
