/** What a deck can be handed over as. Server, command line and page take their formats from here. */

export interface OutputFormat {
  /** Of the file's name, without its dot. */
  readonly ending: string;
  readonly mime: string;
}

export const FORMATS = {
  pptx: {
    ending: 'pptx',
    mime: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  },
  odp: { ending: 'odp', mime: 'application/vnd.oasis.opendocument.presentation' },
  pdf: { ending: 'pdf', mime: 'application/pdf' },
  html: { ending: 'html', mime: 'text/html; charset=utf-8' },
  png: { ending: 'zip', mime: 'application/zip' },
  docx: {
    ending: 'docx',
    mime: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  },
  odt: { ending: 'odt', mime: 'application/vnd.oasis.opendocument.text' },
  md: { ending: 'md', mime: 'text/markdown; charset=utf-8' },
  txt: { ending: 'txt', mime: 'text/plain; charset=utf-8' },
  opml: { ending: 'opml', mime: 'text/x-opml; charset=utf-8' },
} as const satisfies Readonly<Record<string, OutputFormat>>;

export type FormatName = keyof typeof FORMATS;
export const FORMAT_NAMES = Object.keys(FORMATS) as readonly FormatName[];

/** The format of a file's name; undefined for none of ours. */
export const outputFormat = (fileName: string): FormatName | undefined =>
  FORMAT_NAMES.find((name) => fileName.toLowerCase().endsWith(`.${FORMATS[name].ending}`));

/** Pixels that a picture of a slide may be wide. */
export const PICTURE_WIDTHS = { least: 160, most: 7680, usual: 1920 } as const;
export const isPictureWidth = (width: number): boolean =>
  Number.isInteger(width) && width >= PICTURE_WIDTHS.least && width <= PICTURE_WIDTHS.most;
