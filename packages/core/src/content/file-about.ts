/** What a file says of itself, for the files that are made of it; dates are as W3CDTF writes them (NOTE-datetime). */
export interface FileAbout {
  readonly subject?: string | undefined;
  readonly keywords?: string | undefined;
  readonly created?: string | undefined;
  readonly modified?: string | undefined;
}
