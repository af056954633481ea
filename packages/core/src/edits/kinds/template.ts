/** Builds the deck on an organisation’s file; null on our own themes. */
import type { TemplateUse } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface TemplateEdit {
  readonly kind: 'template';
  readonly template: TemplateUse | null;
}

export const template: EditKind<TemplateEdit> = {
  carry: (edit) => edit,
  decide(draft, { template: use }) {
    draft.template = use;
  },
  says: ({ template: use }) => (use === null ? { code: 'template-none' } : { code: 'template', text: use.fileName }),
};
