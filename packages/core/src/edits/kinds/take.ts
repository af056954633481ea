/** Keeps a way to convert the document beside the others; null drops it. */
import type { EditKind } from '../kind.ts';
import type { TakeSettings } from '../take.ts';

export interface TakeEdit {
  readonly kind: 'take';
  readonly take: string;
  readonly settings: TakeSettings | null;
}

export const take: EditKind<TakeEdit> = {
  carry: (edit) => edit,
  decide(draft, { take: name, settings }) {
    if (settings === null) draft.takes.delete(name);
    else draft.takes.set(name, settings);
  },
  says: ({ settings }) => ({ code: settings === null ? 'take-deleted' : 'take-kept' }),
};
