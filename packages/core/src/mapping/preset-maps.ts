/** Ready-made level maps, laid onto the heading levels that a document uses. */
import type { Destination, LevelMap, TextKind } from '../deck/index.ts';
import { findTitle, headingLevels, type DocumentModel } from '../document/index.ts';

export const PRESET_NAMES = ['talk', 'reading'] as const;
export type PresetName = (typeof PRESET_NAMES)[number];

const point = (level: number): Destination => `point${Math.min(Math.max(level, 1), 5)}` as Destination;

/**
 * @param name `talk`: the highest headings are titles, body text is spoken. `reading`: the highest of three or more
 * heading levels open sections, body text stands on the slides.
 */
export function presetMap(name: PresetName, document: DocumentModel): LevelMap {
  const levels = headingLevels(document.blocks, findTitle(document.blocks));
  const sections = name === 'reading' && levels.length >= 3 ? 1 : 0;
  const map = {} as Record<TextKind, Destination>;
  for (let level = 1; level <= 6; level++) {
    // Levels not in use take the place they would have if they came up.
    const rank = levels.filter((used) => used < level).length - sections;
    map[`heading${level}` as TextKind] = rank < 0 ? 'section' : rank === 0 ? 'title' : point(rank);
  }
  const headingPoints = Math.max(0, levels.length - sections - 1);
  for (let depth = 1; depth <= 5; depth++) map[`list${depth}` as TextKind] = point(depth + headingPoints);
  return {
    ...map,
    body: name === 'talk' ? 'notes' : 'slide',
    table: 'slide',
    picture: 'slide',
    quote: 'slide',
    code: 'slide',
    footnote: 'notes',
  };
}
