/** The families that ship with Alvex, by name; measures are unpacked at first use. */
import ebGaramond from './shipped/eb-garamond.ts';
import firaSans from './shipped/fira-sans.ts';
import ibmPlexSans from './shipped/ibm-plex-sans.ts';
import jetbrainsMono from './shipped/jetbrains-mono.ts';
import openSans from './shipped/open-sans.ts';
import sourceSans3 from './shipped/source-sans-3.ts';
import sourceSerif4 from './shipped/source-serif-4.ts';
import { FontMetrics, type FaceData } from './font-metrics.ts';

const PACKED = {
  'EB Garamond': ebGaramond,
  'Fira Sans': firaSans,
  'IBM Plex Sans': ibmPlexSans,
  'JetBrains Mono': jetbrainsMono,
  'Open Sans': openSans,
  'Source Sans 3': sourceSans3,
  'Source Serif 4': sourceSerif4,
} as const;

export type FamilyName = keyof typeof PACKED;
export type FaceStyle = 'regular' | 'bold' | 'italic' | 'boldItalic';

const faces = new Map<FamilyName, Partial<Record<FaceStyle, FontMetrics>>>();

export function fontFace(family: FamilyName, style: FaceStyle): FontMetrics {
  let styles = faces.get(family);
  if (styles === undefined) faces.set(family, (styles = {}));
  return (styles[style] ??= new FontMetrics(JSON.parse(PACKED[family][style]) as FaceData));
}
