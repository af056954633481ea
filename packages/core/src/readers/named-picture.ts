/** Pictures of text formats, which name them by an address. */
import { decodeBase64, type Report, type SourcePlace } from '../base/index.ts';
import type { PictureStore } from './picture-store.ts';
import type { Draft } from './read-result.ts';

/** A picture block for an address: data addresses are decoded, others lie outside of the file and are reported. */
export function namedPicture(
  source: string,
  alt: string | null,
  place: SourcePlace,
  pictures: PictureStore,
  report: Report,
): Draft {
  const data = /^data:image\/[a-z+.-]+;base64,([A-Za-z0-9+/=\s]+)$/i.exec(source.trim());
  const bytes = data === null ? undefined : decodeBase64(data[1]!);
  const shortName = source.length > 80 ? `${source.slice(0, 77)}...` : source;
  const picture = bytes === undefined ? undefined : pictures.take(source, () => bytes, place);
  if (bytes === undefined) report.add('picture-not-contained', place, { name: shortName });
  return { kind: 'picture', alt: alt?.trim() || null, place, ...(picture === undefined ? {} : { picture }) };
}
