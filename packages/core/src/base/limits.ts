/** What a document may cost at most. Every message about a limit takes its number from here. */
export const LIMITS = {
  /** Bytes of a file that is brought in. */
  fileBytes: 64 * 1024 * 1024,
  /** Entries of a ZIP archive. */
  zipEntries: 20_000,
  /** Bytes of one part of a ZIP archive, unpacked. */
  partBytes: 256 * 1024 * 1024,
  /** Bytes of all parts that are read from one archive, unpacked. */
  archiveBytes: 512 * 1024 * 1024,
  /** Unpacked to packed size of one part, once it is larger than a megabyte. */
  zipRatio: 250,
  /** Elements within elements in XML and HTML. */
  xmlDepth: 256,
  /** Groups within groups in RTF. */
  rtfDepth: 1000,
  /** Attributes of one XML element. */
  xmlAttributes: 256,
  /** Pixels of one picture. */
  picturePixels: 100_000_000,
  /** Numbers of one chart. */
  chartPoints: 10_000,
  /** Blocks of one document. */
  blocks: 200_000,
} as const;

/** A byte count as people say it. */
export const megabytes = (bytes: number): string => `${Math.round(bytes / (1024 * 1024))} MB`;
