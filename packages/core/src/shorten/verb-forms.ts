/** Forms of common English verbs, for points that should begin alike. Verbs that are not known are left alone. */

const VERBS: ReadonlySet<string> = new Set(
  `accept add adjust agree align announce answer apply approve arrange ask assess assign avoid back begin book bring build buy call
  cancel carry change charge check choose clean clear close collect combine come compare complete confirm connect consider continue
  control cost count cover create cut decide define delay deliver describe design develop discuss divide document draft draw drive
  drop earn edit employ enable encourage end ensure estimate evaluate examine expand explain explore extend fill find finish fit
  fix follow form fund gather get give go grow guide handle help hire hold identify improve include increase inform inspect install
  introduce invest invite involve join keep know launch lead learn leave let limit link list listen look lower maintain make manage
  map mark measure meet mend merge monitor move name negotiate note offer open order organise organize own paint pay plan plant
  prepare present prevent print produce promote protect prove provide publish pull push put raise reach read rebuild receive record
  recruit reduce remove renew rent reopen repair replace report request rescue restore review rewrite run save schedule secure see
  sell send separate set share show sign simplify solve sort speak spend split staff start state stop store strengthen study submit
  support survey switch take talk teach tell test thank think track train transfer translate treat turn understand update upgrade use
  visit wait walk watch win work write`.split(/\s+/),
);

export type VerbForm = 'base' | 'ing' | 'to';

export interface Beginning {
  readonly form: VerbForm;
  /** The verb in its base form. */
  readonly verb: string;
  /** Characters that the form takes at the beginning of the text. */
  readonly length: number;
}

/** How a text begins, where that is with a verb that is known. */
export function beginningOf(text: string): Beginning | undefined {
  const to = /^to\s+(\p{L}+)/iu.exec(text);
  if (to !== null)
    return VERBS.has(to[1]!.toLowerCase())
      ? { form: 'to', verb: to[1]!.toLowerCase(), length: to[0].length }
      : undefined;
  const word = /^\p{L}+/u.exec(text)?.[0] ?? '';
  const lower = word.toLowerCase();
  if (VERBS.has(lower)) return { form: 'base', verb: lower, length: word.length };
  const verb = baseOf(lower);
  return verb === undefined ? undefined : { form: 'ing', verb, length: word.length };
}

function baseOf(word: string): string | undefined {
  if (!word.endsWith('ing')) return undefined;
  const stem = word.slice(0, -3);
  const undoubled = /([bdgklmnprt])\1$/.test(stem) ? stem.slice(0, -1) : undefined;
  return [stem, `${stem}e`, undoubled].find((candidate) => candidate !== undefined && VERBS.has(candidate));
}

/** A verb in a form, as it begins a text. */
export function inForm(verb: string, form: VerbForm): string {
  const written = form === 'base' ? verb : form === 'to' ? `to ${verb}` : ingOf(verb);
  return written.charAt(0).toUpperCase() + written.slice(1);
}

function ingOf(verb: string): string {
  if (/[^eoy]e$/.test(verb)) return `${verb.slice(0, -1)}ing`;
  // One syllable that ends in one vowel and one consonant doubles it.
  return /^[^aeiou]*[aeiou][bdgklmnprt]$/.test(verb) || verb === 'begin' ? `${verb}${verb.at(-1)!}ing` : `${verb}ing`;
}
