/** What a file says of itself: title, author, language, subject, dates. */
import type { FileAbout } from '../content/index.ts';

export interface FileProperties extends FileAbout {
  readonly title?: string | null;
  readonly author?: string | null;
  readonly language?: string | null;
}
/** Where a file's properties are gathered, piece by piece. */
export type GatheredProperties = { -readonly [K in keyof FileProperties]?: string };

/** Names of the properties as OPC (ECMA-376-2 §11) and OpenDocument (§4.3) have them. */
export const PROPERTY_NAMES: Readonly<Record<string, keyof FileProperties>> = {
  'dc:title': 'title',
  'dc:language': 'language',
  'dc:subject': 'subject',
  'cp:keywords': 'keywords',
  'meta:keyword': 'keywords',
  'dcterms:created': 'created',
  'dcterms:modified': 'modified',
  'meta:creation-date': 'created',
  'dc:date': 'modified',
};

/** Handles the elements of a part that holds properties. @param into What is found is added to it. */
export function propertyHandler(into: GatheredProperties, names: Readonly<Record<string, keyof FileProperties>>) {
  let current: keyof FileProperties | undefined;
  return {
    open(name: string): void {
      current = names[name];
      if (current === 'keywords' && into.keywords !== undefined) into.keywords += ', ';
    },
    close: (): void => void (current = undefined),
    text(piece: string): void {
      if (current !== undefined) into[current] = (into[current] ?? '') + piece;
    },
  };
}

const DATE = /^\d{4}(-\d\d(-\d\d(T\d\d:\d\d(:\d\d)?)?)?)?/;

/** A date as W3CDTF has it (NOTE-datetime); undefined for anything else. */
function dateOf(text: string | undefined): string | undefined {
  const found = DATE.exec(text?.trim() ?? '')?.[0];
  if (found === undefined || Number.isNaN(Date.parse(found.slice(0, 10)))) return undefined;
  if (!found.includes('T')) return found;
  const zone = /(Z|[+-]\d\d:\d\d)$/.exec(text!.trim())?.[0] ?? 'Z';
  return `${found.length === 16 ? `${found}:00` : found}${zone}`;
}

/** @returns undefined where the file says nothing of the kind. */
export function aboutOf(properties: FileProperties): FileAbout | undefined {
  const about = {
    subject: properties.subject?.trim() || undefined,
    keywords: properties.keywords?.trim() || undefined,
    created: dateOf(properties.created),
    modified: dateOf(properties.modified),
  };
  const known = Object.entries(about).filter(([, value]) => value !== undefined);
  return known.length === 0 ? undefined : (Object.fromEntries(known) as FileAbout);
}

/** A date as PDF writes it (ISO 32000-1 §7.9.4), in the form of the others. */
export function pdfDate(text: string | null): string | undefined {
  const found = /^D:(\d{4})(\d\d)?(\d\d)?(?:(\d\d)(\d\d)(\d\d)?(?:(Z)|([+-]\d\d)'?(\d\d)?)?)?/.exec(text ?? '');
  if (found === null) return undefined;
  const [, year, month = '01', day = '01', hour, minute, second = '00', , zone, minutes = '00'] = found;
  const date = `${year}-${month}-${day}`;
  return hour === undefined
    ? date
    : `${date}T${hour}:${minute}:${second}${zone === undefined ? 'Z' : `${zone}:${minutes}`}`;
}
