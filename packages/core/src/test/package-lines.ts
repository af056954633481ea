/** Shows the parts of a written package as lines, an element each, so that a golden file of it can be read. */
import { createHash } from 'node:crypto';
import { decodeUtf8 } from '../base/index.ts';
import { ZipReader } from '../container/index.ts';

/** @param wanted Which parts; all others are only counted. */
export function packageLines(bytes: Uint8Array, wanted: (name: string) => boolean): readonly string[] {
  const zip = new ZipReader(bytes);
  return zip.names.flatMap((name) => {
    if (!wanted(name)) return [];
    const part = zip.read(name);
    const isText = /\.(xml|rels)$|^mimetype$/.test(name);
    if (!isText) return [`== ${name} ${createHash('sha256').update(part).digest('hex').slice(0, 12)}`];
    return [`== ${name}`, ...decodeUtf8(part).replace(/></g, '>\n<').split('\n')];
  });
}
