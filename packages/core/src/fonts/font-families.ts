/** The families that ship with Alvex, by name; measures are unpacked at first use. */
import arimo from './shipped/arimo.ts';
import caladea from './shipped/caladea.ts';
import carlito from './shipped/carlito.ts';
import ebGaramond from './shipped/eb-garamond.ts';
import firaSans from './shipped/fira-sans.ts';
import gelasio from './shipped/gelasio.ts';
import ibmPlexSans from './shipped/ibm-plex-sans.ts';
import jetbrainsMono from './shipped/jetbrains-mono.ts';
import lora from './shipped/lora.ts';
import montserrat from './shipped/montserrat.ts';
import openSans from './shipped/open-sans.ts';
import playfairDisplay from './shipped/playfair-display.ts';
import sourceSans3 from './shipped/source-sans-3.ts';
import sourceSerif4 from './shipped/source-serif-4.ts';
import tinos from './shipped/tinos.ts';
import { FontMetrics, type FaceData } from './font-metrics.ts';

const PACKED = {
  Arimo: arimo,
  Caladea: caladea,
  Carlito: carlito,
  'EB Garamond': ebGaramond,
  'Fira Sans': firaSans,
  Gelasio: gelasio,
  'IBM Plex Sans': ibmPlexSans,
  'JetBrains Mono': jetbrainsMono,
  Lora: lora,
  Montserrat: montserrat,
  'Open Sans': openSans,
  'Playfair Display': playfairDisplay,
  'Source Sans 3': sourceSans3,
  'Source Serif 4': sourceSerif4,
  Tinos: tinos,
} as const;

export type FamilyName = keyof typeof PACKED;
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

export const isShipped = (name: string): name is FamilyName => Object.hasOwn(PACKED, name);

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

const faces = new Map<string, Partial<Record<FaceStyle, FontMetrics>>>();

/** @param name Of any family; one that does not ship is measured by the one that stands in for it. */
export function fontFace(name: string, style: FaceStyle): FontMetrics {
  let styles = faces.get(name);
  if (styles === undefined) {
    const { family } = shippedFamily(name);
    if (family !== name) return fontFace(family, style);
    faces.set(name, (styles = {}));
  }
  return (styles[style] ??= new FontMetrics(JSON.parse(PACKED[name as FamilyName][style]) as FaceData));
}
