/** What the edits decide before slides are made: map, look, and what single blocks become. */
import type { Destination, LevelMap } from '../deck/index.ts';
import type { Edit, FullRule } from './edit.ts';

export interface Decisions {
  readonly map: { readonly name: string | null; readonly map: LevelMap } | undefined;
  readonly theme: string | undefined;
  readonly full: FullRule;
  /** Separators and page breaks start slides. */
  readonly breaks: boolean;
  readonly turned: ReadonlyMap<string, Destination>;
  readonly cuts: ReadonlySet<string>;
  readonly joins: ReadonlySet<string>;
}

export function decide(edits: readonly Edit[]): Decisions {
  let map: Decisions['map'];
  let theme: string | undefined;
  let full: FullRule = 'continue';
  let breaks = false;
  const turned = new Map<string, Destination>();
  const cuts = new Set<string>();
  const joins = new Set<string>();
  for (const edit of edits) {
    switch (edit.kind) {
      case 'map':
        map = { name: edit.name, map: edit.map };
        break;
      case 'theme':
        theme = edit.theme;
        break;
      case 'full':
        full = edit.rule;
        break;
      case 'breaks':
        breaks = edit.start;
        break;
      case 'turn':
        if (edit.to === null) turned.delete(edit.block);
        else turned.set(edit.block, edit.to);
        break;
      case 'cut':
        joins.delete(edit.block);
        cuts.add(edit.block);
        break;
      case 'join':
        // A join takes back the cut that made the slide; else the slide is the document's own.
        if (!cuts.delete(edit.block)) joins.add(edit.block);
        break;
    }
  }
  return { map, theme, full, breaks, turned, cuts, joins };
}
