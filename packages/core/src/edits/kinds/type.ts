/** One rule for all text of a role; null is as the theme says. */
import type { RuledRole, TextRule } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface TypeEdit {
  readonly kind: 'type';
  readonly role: RuledRole;
  readonly rule: TextRule | null;
}

export const type: EditKind<TypeEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: `type ${edit.role}`, edit }),
  decide(draft, { role, rule }) {
    const { [role]: _, ...others } = draft.look.rules;
    draft.look = { ...draft.look, rules: rule === null ? others : { ...others, [role]: rule } };
  },
  says: ({ role, rule }) => ({ code: rule === null ? 'type-own' : 'type', labels: [{ of: 'ruled', name: role }] }),
};
