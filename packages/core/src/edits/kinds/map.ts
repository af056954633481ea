/**
 * Lays a level map on the document. `name` is a ready-made map’s, or null for the author’s own. Without `prose` that stays as it was.
 * `branches` are rules below single headings that belong to this map: another map goes without them.
 */
import type { BranchRule, LevelMap, Prose } from '../../deck/index.ts';
import type { EditKind } from '../kind.ts';

export interface MapEdit {
  readonly kind: 'map';
  readonly name: string | null;
  readonly map: LevelMap;
  readonly prose?: Prose;
  readonly branches?: readonly BranchRule[];
}

export const map: EditKind<MapEdit> = {
  carry: (edit, ids) =>
    edit.branches === undefined
      ? edit
      : { ...edit, branches: edit.branches.map((one) => ({ ...one, block: ids.block(one.block) })) },
  rule: ({ branches: _, ...edit }) => ({ of: 'map', edit }),
  decide(draft, { name, map, prose, branches = [] }) {
    draft.map = { name, map, branches };
    draft.prose = prose ?? draft.prose;
  },
  says: ({ name }) => (name === null ? { code: 'map-own' } : { code: 'map', labels: [{ of: 'map', name }] }),
};
