/** Keeps a way to convert the document beside the others; null drops it. */
import { carryTake } from '../carry-way.ts';
import type { EditKind } from '../kind.ts';
import type { TakeSettings } from '../take.ts';

export interface TakeEdit {
  readonly kind: 'take';
  readonly take: string;
  readonly settings: TakeSettings | null;
}

export const take: EditKind<TakeEdit> = {
  carry: (edit, ids) => (edit.settings === null ? edit : { ...edit, settings: carryTake(edit.settings, ids) }),
  decide(draft, { take: name, settings }) {
    if (settings === null) draft.takes.delete(name);
    else draft.takes.set(name, settings);
  },
  says: ({ settings }) => ({ code: settings === null ? 'take-deleted' : 'take-kept' }),
};
