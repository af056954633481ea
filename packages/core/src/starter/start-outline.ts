/** Writes a headed outline with prompts to fill in, by rules and templates: for those who have no document yet. */
import { GERMAN } from './german.ts';
import { PLANS, type PlannedPart, type Purpose } from './purposes.ts';

export interface OutlineWish {
  readonly purpose: Purpose;
  readonly topic: string;
  /** May be empty. */
  readonly audience: string;
  /** To speak. */
  readonly minutes: number;
  /** In which its prompts are; English without. */
  readonly language?: StarterLanguage;
}
export type StarterLanguage = 'en' | 'de';

/** What an outline says beside its parts. */
interface Frame {
  readonly topic: string;
  readonly audience: string;
  readonly first: (audience: string, minutes: number) => string;
  readonly each: (minutes: number) => string;
}
const FRAMES: Readonly<Record<StarterLanguage, Frame>> = {
  en: {
    topic: 'The topic',
    audience: 'the audience',
    first: (audience, n) =>
      `For ${audience}, ${n} ${n === 1 ? 'minute' : 'minutes'}. Every line below is a prompt: replace it with what you have to say.`,
    each: (n) => `About ${n} ${n === 1 ? 'minute' : 'minutes'}.`,
  },
  de: {
    topic: 'Das Thema',
    audience: 'alle, die zuhören',
    first: (audience, n) =>
      `Publikum: ${audience}. Zeit: ${n} ${n === 1 ? 'Minute' : 'Minuten'}. Jede Zeile hier ist eine Frage an Sie: Ersetzen Sie sie durch das, was Sie zu sagen haben.`,
    each: (n) => `Etwa ${n} ${n === 1 ? 'Minute' : 'Minuten'}.`,
  },
};

const MINUTES_A_PART = 2;
const LEAST_PARTS = 3;

/** @returns Markdown. The same wish gives the same outline. */
export function startOutline(wish: OutlineWish): string {
  const { language = 'en' } = wish;
  const frame = FRAMES[language];
  const topic = tidy(wish.topic) || frame.topic;
  const audience = tidy(wish.audience) || frame.audience;
  const fill = (text: string): string => text.replaceAll('{topic}', topic).replaceAll('{audience}', audience);
  const parts = chosenParts(planIn(language, wish.purpose), wish.minutes);
  const minutes = Math.max(1, Math.round(wish.minutes));
  const each = Math.max(1, Math.round(minutes / parts.length));
  const points = each >= 2 ? 3 : 2;
  const lines = [`# ${topic}`, '', frame.first(audience, minutes), ''];
  for (const part of parts) {
    lines.push(`## ${fill(part.title)}`, '');
    for (const point of part.points.slice(0, points)) lines.push(`- ${fill(point)}`);
    lines.push('', `${fill(part.spoken)} ${frame.each(each)}`, '');
  }
  return lines.join('\n');
}

/** Plans are the same in every language but for their words. */
const planIn = (language: StarterLanguage, purpose: Purpose): readonly PlannedPart[] =>
  language === 'en' ? PLANS[purpose] : PLANS[purpose].map((part, i) => ({ ...part, ...GERMAN[purpose][i]! }));

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
