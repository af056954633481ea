/** Pictures: bytes of a raster format that every receiver knows, named by their content. */

export type PictureId = string & { readonly id: 'picture' };
export const PICTURE_MIMES = ['image/png', 'image/jpeg', 'image/gif'] as const;
export type PictureMime = (typeof PICTURE_MIMES)[number];

export interface Picture {
  readonly id: PictureId /* SHA-256 of the bytes, hexadecimal */;
  readonly mime: PictureMime;
  readonly width: number /* pixels */;
  readonly height: number /* pixels */;
  /** The ground is seen through it, and it is drawn in dark, or in light. */
  readonly ink?: 'dark' | 'light';
}
/** Whether it may be cut by its frame. Formats without loss are used for what was drawn: diagrams, screens, charts. */
export const isPhotograph = (picture: Pick<Picture, 'mime'> | undefined): boolean => picture?.mime === 'image/jpeg';
export interface PictureData extends Picture {
  readonly bytes: Uint8Array;
}
