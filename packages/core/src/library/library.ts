/** The picture library, as SVG in the colours of the deck; each picture says what it shows. */
import type { Palette } from '../theme/index.ts';
import { inkOf, rect } from './brushes.ts';
import { SCENES } from './scenes.ts';
import type { Tagged } from './search.ts';

export interface LibraryPicture extends Tagged {
  /** What the picture shows: its description. */
  readonly shows: string;
  readonly svg: (palette: Palette) => string;
}

export const LIBRARY_SIZE = { width: 1600, height: 1000 } as const;

export const LIBRARY: readonly LibraryPicture[] = SCENES.map(([name, shows, tags, draw]) => ({
  name,
  shows,
  tags: tags.split(' '),
  svg: (palette) => {
    const ink = inkOf(palette);
    const { width, height } = LIBRARY_SIZE;
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${rect(0, 0, width, height, ink.sky)}${draw(ink)}</svg>`;
  },
}));
