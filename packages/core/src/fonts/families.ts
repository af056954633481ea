/** The families that ship with Alvex, by name alone: their measures are apart, since they are large. */

export const FAMILIES = [
  'Arimo',
  'Caladea',
  'Carlito',
  'EB Garamond',
  'Fira Sans',
  'Gelasio',
  'IBM Plex Sans',
  'JetBrains Mono',
  'Lora',
  'Montserrat',
  'Open Sans',
  'Playfair Display',
  'Source Sans 3',
  'Source Serif 4',
  'Tinos',
] as const;

export type FamilyName = (typeof FAMILIES)[number];
export type FaceStyle = 'regular' | 'bold' | 'italic' | 'boldItalic';

/** Families that stand on most computers, and the shipped one whose letters are as wide. */
const AS_WIDE: Readonly<Record<string, FamilyName>> = {
  Arial: 'Arimo',
  Helvetica: 'Arimo',
  'Liberation Sans': 'Arimo',
  'Courier New': 'JetBrains Mono',
  Calibri: 'Carlito',
  Cambria: 'Caladea',
  Georgia: 'Gelasio',
  'Times New Roman': 'Tinos',
  'Liberation Serif': 'Tinos',
};
const SERIF = /serif|roman|times|garamond|georgia|cambria|book|antiqua/i;
const MONO = /mono|courier|consol|code|typewriter/i;

export const isShipped = (name: string): name is FamilyName => FAMILIES.some((family) => family === name);

const SERIFS: ReadonlySet<string> = new Set([
  'Caladea',
  'EB Garamond',
  'Gelasio',
  'Lora',
  'Playfair Display',
  'Source Serif 4',
  'Tinos',
]);

/** What a family is like, so that a receiver that lacks it takes one of the same kind: PANOSE (ECMA-376-1 §21.1.2.3.7), pitch and family. */
export function fontClass(name: string): { readonly panose: string; readonly pitchFamily: number } {
  const { family } = shippedFamily(name);
  if (family === 'JetBrains Mono') return { panose: '02070309020205020404', pitchFamily: 49 };
  return SERIFS.has(family)
    ? { panose: '02020603050405020304', pitchFamily: 18 }
    : { panose: '020B0604020202020204', pitchFamily: 34 };
}

/** What a receiver that lacks a family most likely sets in its place: one that stands everywhere, of the same kind. */
export function substituteOf(name: string): string {
  const { family, stands } = shippedFamily(name);
  if (stands === 'as-wide' || family === 'JetBrains Mono') return name;
  return SERIFS.has(family) ? 'Times New Roman' : 'Arial';
}

/** How sure a measure in a shipped family is of what the receiver will see. */
export type Stands = 'itself' | 'as-wide' | 'near';

/** The family that measures and draws a named one. */
export function shippedFamily(name: string): { readonly family: FamilyName; readonly stands: Stands } {
  if (isShipped(name)) return { family: name, stands: 'itself' };
  const asWide = AS_WIDE[name];
  if (asWide !== undefined) return { family: asWide, stands: 'as-wide' };
  if (MONO.test(name)) return { family: 'JetBrains Mono', stands: 'near' };
  return { family: SERIF.test(name) && !/sans/i.test(name) ? 'Tinos' : 'Arimo', stands: 'near' };
}
