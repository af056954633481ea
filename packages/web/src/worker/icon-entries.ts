/** The list of icons. `vite.config.ts` makes it once, when the application is built, and puts it in the place of this module. */
import about from '@tabler/icons/icons.json' with { type: 'json' };
import nodes from '@tabler/icons/tabler-nodes-outline.json' with { type: 'json' };
import { iconList, type About, type IconEntry, type Nodes } from './icon-list.ts';

export const ICONS: readonly IconEntry[] = iconList(about as unknown as About, nodes as unknown as Nodes);
