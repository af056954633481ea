/** Master pages: each layout in the deck's colours, and in those that slides have of their own. */
import type { Scene, SceneSlide } from '../../scene/index.ts';
import type { Layout, Theme } from '../../theme/index.ts';

export interface Master {
  readonly name: string;
  readonly label: string;
  readonly layout: Layout;
  /** Null for the deck's. */
  readonly colors: SceneSlide['colors'];
}
export interface Masters {
  readonly all: readonly Master[];
  readonly of: (slide: SceneSlide) => Master;
}

export function mastersOf({ theme, slides }: { readonly theme: Theme; readonly slides: Scene['slides'] }): Masters {
  const known = new Map<string, Master>();
  const keyOf = ({ layout, colors }: Pick<Master, 'layout' | 'colors'>): string =>
    `${layout.name} ${colors === null ? '' : JSON.stringify(colors)}`;
  for (const layout of theme.layouts) {
    const master: Master = { name: layout.name, label: layout.label, layout, colors: null };
    known.set(keyOf(master), master);
  }
  let own = 0;
  for (const { layout, colors } of slides) {
    const key = keyOf({ layout, colors });
    if (known.has(key)) continue;
    own++;
    known.set(key, { name: `${layout.name}${OWN}${own}`, label: `${layout.label} (${own})`, layout, colors });
  }
  return { all: [...known.values()], of: (slide) => known.get(keyOf(slide))! };
}
/** Before the number of a master page for slides with colours of their own. */
const OWN = '-colours-';
