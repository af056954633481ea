/** Lines of a shape as points: what leads the others, and signs that were typed. */
import type { Report } from '../../base/index.ts';
import type { Draft } from '../read-result.ts';

type Item = Draft & { readonly kind: 'listItem' };
const isItem = (draft: Draft): draft is Item => draft.kind === 'listItem';

/** Signs that authors type before a point; a dash is one where several lines have it. */
const TYPED_SIGN = /^\s*[•◦▪▫‣●○■□➢✓✔·]\s+/u;
const TYPED_DASH = /^\s*[-–—*]\s+/u;

/** Factor by which a first line is larger than those that it leads. */
const LARGER = 1.15;

/**
 * Lines of a shape in no placeholder: a bold or larger first line leads the others.
 * @param sizes Of each line, in points; 0 where none is said. @param bold Whether each line is, as a whole.
 */
export function belowLead(
  drafts: readonly Draft[],
  sizes: readonly number[],
  bold: readonly boolean[],
): readonly Draft[] {
  const [lead, ...others] = drafts;
  if (lead === undefined || others.length === 0 || !drafts.every((draft) => isItem(draft) && draft.depth === 1))
    return drafts;
  const items = drafts.filter(isItem);
  const larger = sizes.slice(1).every((size) => size > 0 && sizes[0]! >= size * LARGER);
  if (items[0]!.ordered || !(larger || (bold[0] === true && bold.slice(1).every((one) => !one)))) return drafts;
  // Its weight said that it leads.
  const runs = bold[0] === true ? items[0]!.runs.map(({ bold: _, ...run }) => run) : items[0]!.runs;
  return [{ ...items[0]!, runs }, ...items.slice(1).map((item) => ({ ...item, depth: 2 }))];
}

/** Points without the signs that were typed before them. */
export function withoutTypedSigns(drafts: readonly Draft[], report: Report): readonly Draft[] {
  const dashed = drafts.filter((draft) => isItem(draft) && TYPED_DASH.test(draft.runs[0]!.text)).length > 1;
  return drafts.map((draft) => {
    if (!isItem(draft)) return draft;
    const [first, ...rest] = draft.runs;
    const sign = TYPED_SIGN.exec(first!.text)?.[0] ?? (dashed ? TYPED_DASH.exec(first!.text)?.[0] : undefined);
    const text = first!.text.slice(sign?.length ?? 0);
    if (sign === undefined || text === '') return draft;
    report.mark(sign);
    return { ...draft, runs: [{ ...first!, text }, ...rest] };
  });
}
