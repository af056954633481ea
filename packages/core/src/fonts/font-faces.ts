/** Measures of the families that ship, unpacked at first use. */
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
import { shippedFamily, type FaceStyle, type FamilyName } from './families.ts';
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
} satisfies Readonly<Record<FamilyName, object>>;

type Faces = { readonly family: FamilyName } & Partial<Record<FaceStyle, FontMetrics>>;
const faces = new Map<string, Faces>();

/** @param name Of any family; one that does not ship is measured by the one that stands in for it. */
export function fontFace(name: string, style: FaceStyle): FontMetrics {
  let styles = faces.get(name);
  if (styles === undefined) {
    const { family } = shippedFamily(name);
    if (family !== name) return fontFace(family, style);
    faces.set(name, (styles = { family }));
  }
  return (styles[style] ??= new FontMetrics(
    JSON.parse(PACKED[styles.family][style]) as FaceData,
    style === 'bold' || style === 'boldItalic',
  ));
}
