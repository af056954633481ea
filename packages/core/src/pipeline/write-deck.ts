/** Writes what was converted, in the formats that core writes alone. */
import type { Deflate } from '../container/index.ts';
import type { PictureData } from '../content/index.ts';
import { makeScene, type EmbeddedFace, type PictureSource, type Scene } from '../scene/index.ts';
import { writeDeck as writePresentation } from '../writers/pptx/index.ts';
import { writeDocx } from '../writers/docx/index.ts';
import { writeOdp } from '../writers/odp/index.ts';
import { writeOdt } from '../writers/odt/index.ts';
import { writeCsv, writeDocument, writeMarkdown, writeOpml, writePlain } from '../writers/text/index.ts';
import { writePage } from '../writers/web/index.ts';
import { linkGoals, type LinkGoals } from '../deck/index.ts';
import { namedPlaces } from '../document/index.ts';
import { disarm } from '../template/index.ts';
import type { SlideId } from '../ids/index.ts';
import type { Converted } from './convert.ts';
import type { FormatName } from './formats.ts';
import { handoutOf, readingOf } from './handout.ts';
import { makeSheets, type Sheet, type SheetOptions } from '../sheets/index.ts';

export interface WriteOptions {
  /** A host's own; else the core's. */
  readonly deflate?: Deflate;
  /** The file on which the deck is built, where it is built on one. */
  readonly template?: Uint8Array;
  /** Fonts that the file brings along, as `fontsUsed` names them. */
  readonly fonts?: readonly EmbeddedFace[];
  /** Pictures of the slides, by which a document becomes a handout: each stands before its passages. */
  readonly slides?: ReadonlyMap<SlideId, PictureData>;
  /** Whether the document is written, in the place of its deck; where a format has both. */
  readonly source?: boolean;
  /** One slide or table alone, by its number, where a format has each as a file of its own. */
  readonly only?: number;
  /** A small picture (PNG) of its first slide, by which a presentation is known where files are shown. */
  readonly thumbnail?: Uint8Array;
  /** File name of the document, with which its slides are marked, so that a later run can replace them. */
  readonly origin?: string;
}

/** Where links within the document lead. */
export const goalsOf = ({ deck, document }: Pick<Converted, 'deck' | 'document'>): LinkGoals =>
  linkGoals(deck.slides, namedPlaces(document.blocks));

/** What every writer writes. @param origin See `WriteOptions`. */
export function sceneOf(converted: Converted, origin?: string): Scene {
  const { pages, theme, document, decisions } = converted;
  const { title, author, language, about } = document;
  return makeScene(pages, theme, { title, author, language, about, origin }, decisions.motion, goalsOf(converted));
}

/** A deck on sheets of paper. */
export const sheetsOf = (converted: Converted, options: SheetOptions): readonly Sheet[] =>
  makeSheets(sceneOf(converted), options, options.print === 'handout' ? readingOf(converted) : []);

type Write = (converted: Converted, pictures: PictureSource, options: WriteOptions) => Uint8Array;

/** Those that need nothing of their host; others need its fonts and streams (packages/output). As HTML it is the document. */
const WRITERS = {
  pptx: (converted, pictures, options) => writePresentation(sceneOf(converted, options.origin), pictures, options),
  odp: (converted, pictures, options) => writeOdp(sceneOf(converted), pictures, options),
  docx: (converted, pictures, options) =>
    writeDocx(converted.document, pictures, {
      deflate: options.deflate,
      ...(options.slides === undefined ? {} : handoutOf(converted, options.slides)),
    }),
  odt: ({ document }, pictures, { deflate }) => writeOdt(document, pictures, deflate),
  html: ({ document }, pictures) => writePage(document, pictures),
  md: ({ deck, document }, pictures, { source }) =>
    source === true ? writeDocument(document, pictures) : writeMarkdown(deck, document.language, pictures),
  txt: ({ deck }) => writePlain(deck),
  csv: ({ deck }, _, { only, deflate }) => writeCsv(deck, only, deflate),
  opml: ({ deck }) => writeOpml(deck, deck.title),
} as const satisfies Readonly<Partial<Record<FormatName, Write>>>;

/** The same deck gives the same bytes. @throws ReadError as `readTemplate` does; NoSuchPart. */
export function writeDeck(
  format: keyof typeof WRITERS,
  converted: Converted,
  pictures: readonly PictureData[],
  options: WriteOptions = {},
): Uint8Array {
  const all = [...pictures, ...(options.slides?.values() ?? [])];
  const byId = new Map(all.map((picture) => [picture.id, picture]));
  const { template, deflate } = options;
  // Templates that are kept have been disarmed; those of before, and other hosts', have not.
  const safe = template === undefined ? {} : { template: disarm(template, deflate).bytes };
  return WRITERS[format](converted, (id) => byId.get(id), { ...options, ...safe });
}
