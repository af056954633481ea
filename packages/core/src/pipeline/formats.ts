/** What a deck can be handed over as. Server, command line and page take their formats from here. */

export interface OutputFormat {
  /** Of the file's name, without its dot. */
  readonly ending: string;
  readonly mime: string;
  /** One of its slides or tables alone, where else all of them are in an archive. */
  readonly one?: OutputFormat;
}

const ZIP = 'application/zip';

export const FORMATS = {
  pptx: {
    ending: 'pptx',
    mime: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  },
  odp: { ending: 'odp', mime: 'application/vnd.oasis.opendocument.presentation' },
  pdf: { ending: 'pdf', mime: 'application/pdf' },
  html: { ending: 'html', mime: 'text/html; charset=utf-8' },
  png: { ending: 'zip', mime: ZIP, one: { ending: 'png', mime: 'image/png' } },
  svg: { ending: 'svg.zip', mime: ZIP, one: { ending: 'svg', mime: 'image/svg+xml' } },
  docx: {
    ending: 'docx',
    mime: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  },
  odt: { ending: 'odt', mime: 'application/vnd.oasis.opendocument.text' },
  md: { ending: 'md', mime: 'text/markdown; charset=utf-8' },
  txt: { ending: 'txt', mime: 'text/plain; charset=utf-8' },
  csv: { ending: 'csv.zip', mime: ZIP, one: { ending: 'csv', mime: 'text/csv; charset=utf-8' } },
  opml: { ending: 'opml', mime: 'text/x-opml; charset=utf-8' },
} as const satisfies Readonly<Record<string, OutputFormat>>;

export type FormatName = keyof typeof FORMATS;
export const FORMAT_NAMES = Object.keys(FORMATS) as readonly FormatName[];

/** Of a file with all of a deck, or with one of its slides or tables. */
export function fileKind(format: FormatName, only: number | undefined): OutputFormat {
  const all: OutputFormat = FORMATS[format];
  return only === undefined ? all : (all.one ?? all);
}

/** The format of a file's name, and whether it is of one slide or table; undefined for none of ours. */
export function outputFormat(fileName: string): { readonly format: FormatName; readonly one: boolean } | undefined {
  const lower = fileName.toLowerCase();
  let found: { format: FormatName; one: boolean; ending: string } | undefined;
  for (const format of FORMAT_NAMES) {
    const all: OutputFormat = FORMATS[format];
    for (const { ending } of all.one === undefined ? [all] : [all, all.one])
      if (lower.endsWith(`.${ending}`) && ending.length > (found?.ending.length ?? 0))
        found = { format, one: ending !== all.ending, ending };
  }
  return found;
}

/** Pixels that a picture of a slide may be wide. */
export const PICTURE_WIDTHS = { least: 160, most: 7680, usual: 1920 } as const;
export const isPictureWidth = (width: number): boolean =>
  Number.isInteger(width) && width >= PICTURE_WIDTHS.least && width <= PICTURE_WIDTHS.most;
