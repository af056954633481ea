/** What running text shows on a slide and what of it is spoken. */
import { mergeRuns, plain, runsText, sliceRuns, type Runs } from '../content/index.ts';
import type { Prose, Range } from '../deck/index.ts';
import {
  firstSentence,
  isWhole,
  keptRuns,
  splitSentences,
  trimSentence,
  type Kept,
  type Language,
} from '../shorten/index.ts';

export interface ShownProse {
  /** A sentence each, with the ranges of the text that it keeps. */
  readonly shown: readonly { readonly runs: Runs; readonly kept: Kept }[];
  /** Null where all of it is shown. */
  readonly spoken: Runs | null;
}

/** @param chosen Sentences that shortening chose; looked at for shortened text only. */
export function showProse(runs: Runs, prose: Prose, chosen: readonly Kept[], language: Language): ShownProse {
  const text = runsText(runs);
  if (prose.as === 'first') {
    const { first, rest } = firstSentence(text, language);
    const kept: Kept = [first];
    return {
      shown: [{ runs: keptRuns(runs, kept, undefined), kept }],
      spoken: rest === null ? null : sliceRuns(runs, ...rest),
    };
  }
  const density = prose.as === 'short' ? prose.density : undefined;
  return {
    shown: chosen.map((kept) => ({ runs: keptRuns(runs, kept, density), kept })),
    spoken: isWhole(chosen.flat(), text) ? null : runs,
  };
}

/** Sentences as one text, with a mark where words between them are missing. */
export function asOneText(
  shown: ShownProse['shown'],
  text: string,
): { readonly runs: Runs; readonly kept: readonly Range[] } {
  const runs = shown.flatMap((one, k): Runs => [
    ...(k === 0 ? [] : plain(gap(shown[k - 1]!.kept, one.kept, text))),
    ...one.runs,
  ]);
  return { runs: mergeRuns(runs), kept: shown.flatMap(({ kept }) => kept) };
}

/** A list item without what can be trimmed of it; null where nothing can. */
export function trimItem(
  runs: Runs,
  prose: Prose,
  language: Language,
): { readonly runs: Runs; readonly kept: Kept } | null {
  if (prose.as !== 'short') return null;
  const text = runsText(runs);
  const sentences = splitSentences(text, language);
  const some = prose.density === 'sentence' || prose.density === 'words' ? sentences.slice(0, 1) : sentences;
  const kept = some.flatMap((range) => trimSentence(text, range, language));
  return kept.length === 0 || isWhole(kept, text) ? null : { runs: keptRuns(runs, kept, undefined), kept };
}

/** What stands between two sentences that were chosen: a mark where words between them were not. */
function gap(before: Kept, after: Kept, text: string): string {
  return text.slice(before.at(-1)![1], after[0]![0]).trim() === '' ? ' ' : ' … ';
}
