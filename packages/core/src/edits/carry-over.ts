/** Carries edits over to a new edition of the document: wherever they name a block that has another id there, they name the new one. */
import type { Edit, EditionEdit } from './edit.ts';

/** Ids of blocks stand within those of slides, parts and notes: `s` and a block, a block and `/0`, a copy and its part. */
const TOKEN = /[a-z][0-9a-z]+(?:~\d+)?/g;
/** Lead the ids of slides: see `mapping/map-document.ts`. */
const SLIDE = /^[sic]/;

type Ids = ReadonlyMap<string, string>;

function carriedId(id: string, ids: Ids): string {
  return id.replace(TOKEN, (token) => {
    const own = ids.get(token);
    if (own !== undefined) return own;
    const within = SLIDE.test(token) ? ids.get(token.slice(1)) : undefined;
    return within === undefined ? token : `${token.charAt(0)}${within}`;
  });
}

/** Fields whose value is an id, or several. Everything else an edit holds is the author's own. */
const ID_FIELDS: ReadonlySet<string> = new Set([
  'id',
  'block',
  'blocks',
  'before',
  'after',
  'replaces',
  'anchor',
  'slide',
  'slides',
  'part',
  'parts',
  'as',
  'to',
  'into',
]);
/** Hold objects in which ids stand. */
const NESTED: ReadonlySet<string> = new Set(['shapes', 'blocks', 'layouts']);

function carriedValue(key: string, value: unknown, ids: Ids): unknown {
  if (typeof value === 'string') return ID_FIELDS.has(key) ? carriedId(value, ids) : value;
  if (Array.isArray(value)) {
    if (!ID_FIELDS.has(key) && !NESTED.has(key)) return value;
    return value.map((item: unknown) =>
      typeof item === 'string' ? carriedId(item, ids) : NESTED.has(key) ? carriedObject(item as object, ids) : item,
    );
  }
  return value;
}

const carriedObject = <T extends object>(edit: T, ids: Ids): T =>
  Object.fromEntries(Object.entries(edit).map(([key, value]) => [key, carriedValue(key, value, ids)])) as T;

// What is carried over is the same every time, down to its identity: later stages remember by it.
const carried = new WeakMap<EditionEdit, { readonly ids: Ids; readonly edits: WeakMap<Edit, Edit> }>();

function carriedEdit(edit: Edit, edition: EditionEdit): Edit {
  if (edition.ids.length === 0) return edit;
  let known = carried.get(edition);
  if (known === undefined) carried.set(edition, (known = { ids: new Map(edition.ids), edits: new WeakMap() }));
  let result = known.edits.get(edit);
  if (result === undefined) known.edits.set(edit, (result = carriedObject(edit, known.ids)));
  return result;
}

/** The edition that is in force: the last that came in; undefined while it is the first. */
export const currentEdition = (edits: readonly Edit[]): EditionEdit | undefined =>
  edits.findLast((edit) => edit.kind === 'edition');

/** @param edits One by one, oldest first. Those before an edition are carried over to it. */
export function carryOver(edits: readonly Edit[]): readonly Edit[] {
  if (!edits.some(({ kind }) => kind === 'edition')) return edits;
  let result: Edit[] = [];
  for (const edit of edits)
    if (edit.kind === 'edition') result = result.map((one) => carriedEdit(one, edit));
    else result.push(edit);
  return result;
}
