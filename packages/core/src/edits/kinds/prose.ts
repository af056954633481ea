/** Decides how running text is shown. */
import type { Prose } from '../../deck/index.ts';
import type { EditKind } from '../kind.ts';

export interface ProseEdit {
  readonly kind: 'prose';
  readonly prose: Prose;
}

export const prose: EditKind<ProseEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'prose', edit }),
  decide(draft, { prose }) {
    draft.prose = prose;
  },
  says: ({ prose }) =>
    prose.as === 'short'
      ? { code: 'prose-short', labels: [{ of: 'density', name: prose.density }] }
      : { code: `prose-${prose.as}` as const },
};
