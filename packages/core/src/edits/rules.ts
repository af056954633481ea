/** Edits that say something of any document: the map, the look, what is done with full slides. */
import { singleEdits, type Edit } from './edit.ts';
import { isKnownKind, kindOf, type SingleEdit } from './kinds.ts';

/** What an edit says of any document; undefined where it is of places in one. */
export const ruleOf = (edit: SingleEdit): { readonly of: string; readonly edit: SingleEdit } | undefined =>
  kindOf(edit).rule?.(edit);

/** The rules among edits, each as it was said last, in that order. */
export function rulesOf(edits: readonly Edit[]): readonly SingleEdit[] {
  const rules = new Map<string, SingleEdit>();
  for (const edit of singleEdits(edits)) {
    const rule = isKnownKind(edit.kind) ? ruleOf(edit as SingleEdit) : undefined;
    if (rule === undefined) continue;
    rules.delete(rule.of);
    rules.set(rule.of, rule.edit);
  }
  return [...rules.values()];
}
