/** Reads RTF (Rich Text Format specification 1.9.1): bytes to document. */
import { LIMITS, ReadError, Report } from '../../base/index.ts';
import { PictureStore } from '../picture-store.ts';
import { PlaceNames } from '../place-names.ts';
import { CodeLines } from '../code-lines.ts';
import { BlockList, readResult, type ReadOptions, type ReadResult } from '../read-result.ts';
import { each } from '../account.ts';
import { rtfText } from './source-text.ts';
import { RtfReader } from './rtf-reader.ts';
import { rtfTokens } from './tokens.ts';

/** @throws ReadError `wrong-type`, `too-deep`. A file that breaks off gives what it holds, and says so. */
export function readRtf(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  if (String.fromCharCode(...bytes.subarray(0, 5)) !== '{\\rtf') throw new ReadError('wrong-type');
  const report = new Report();
  const pictures = new PictureStore(report);
  const list = new BlockList();
  const names = new PlaceNames();
  const code = new CodeLines((draft) => list.add(draft));
  const reader = new RtfReader(report, pictures, names, (draft) => code.add(names.on(draft)));
  let depth = 0;
  for (const token of rtfTokens(bytes, (at) => options.progress?.(at / bytes.length))) {
    if (token.kind === 'open') {
      if (++depth > LIMITS.rtfDepth) throw new ReadError('too-deep');
      reader.open();
    } else if (token.kind === 'close') {
      if (--depth < 0) break;
      reader.close();
      if (depth === 0) break;
    } else if (token.kind === 'word') reader.word(token.name, token.value);
    else if (token.kind === 'bytes') reader.bytes(token.bytes);
    else reader.data(token.bytes);
  }
  reader.finish();
  code.flush();
  if (depth > 0) report.add('file-cut', { paragraph: Math.max(1, reader.paragraphs) });
  return readResult(
    list,
    pictures.pictures,
    report,
    reader.info,
    each(() => rtfText(bytes)),
  );
}
