/** Pictures: bytes of a raster format that every receiver knows, named by their content. */

export type PictureId = string & { readonly id: 'picture' };
export type PictureMime = 'image/png' | 'image/jpeg' | 'image/gif';

export interface Picture {
  readonly id: PictureId /* SHA-256 of the bytes, hexadecimal */;
  readonly mime: PictureMime;
  readonly width: number /* pixels */;
  readonly height: number /* pixels */;
}
export interface PictureData extends Picture {
  readonly bytes: Uint8Array;
}
