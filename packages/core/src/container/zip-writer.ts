/** Writes ZIP archives whose bytes depend on their content only: fixed time, fixed order. */
import { zipSync, type Zippable } from 'fflate';
import { encodeUtf8 } from '../base/index.ts';

export interface Part {
  readonly name: string;
  readonly content: string | Uint8Array;
  /** Pictures are packed already; deflating them again takes time for nothing. */
  readonly stored?: boolean;
}

// Local time on purpose: ZIP stores local time, so every time zone gets the same bytes.
const FIXED_TIME = new Date(2020, 0, 1, 0, 0, 0);
const LEVEL = 6;

/** @param parts In the order in which they shall stand. */
export function writeZip(parts: readonly Part[]): Uint8Array {
  const files: Zippable = {};
  for (const { name, content, stored } of parts)
    files[name] = [
      typeof content === 'string' ? encodeUtf8(content) : content,
      { level: stored ? 0 : LEVEL, mtime: FIXED_TIME },
    ];
  return zipSync(files);
}
