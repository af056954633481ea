/** Lays a level map on the document. `name` is a ready-made map’s, or null for the author’s own. Without `prose` that stays as it was. */
import type { LevelMap, Prose } from '../../deck/index.ts';
import type { EditKind } from '../kind.ts';

export interface MapEdit {
  readonly kind: 'map';
  readonly name: string | null;
  readonly map: LevelMap;
  readonly prose?: Prose;
}

export const map: EditKind<MapEdit> = {
  carry: (edit) => edit,
  decide(draft, { name, map, prose }) {
    draft.map = { name, map };
    draft.prose = prose ?? draft.prose;
  },
  says: ({ name }) => (name === null ? { code: 'map-own' } : { code: 'map', labels: [{ of: 'map', name }] }),
};
