/** Damages bytes in the ways that files are damaged: cut off, overwritten, repeated, moved, with odd numbers put in. */

/** @param next Gives numbers from 0 to 1; the same numbers damage in the same way. */
export function mutate(bytes: Uint8Array, next: () => number): Uint8Array {
  let result: Uint8Array = bytes.slice();
  const rounds = 1 + Math.floor(next() * 6);
  for (let i = 0; i < rounds && result.length > 0; i++) result = mutateOnce(result, next);
  return result;
}

const ODD = ['0', '-1', '99999999', '4294967296', 'NaN', '<', '>', '&', '{', '}', '\\', '"', '\u0000', '\uffff', '%'];

function mutateOnce(bytes: Uint8Array, next: () => number): Uint8Array {
  const at = Math.floor(next() * bytes.length);
  const length = Math.min(bytes.length - at, 1 + Math.floor(next() ** 3 * 400));
  const join = (...parts: readonly Uint8Array[]): Uint8Array => Uint8Array.from(Buffer.concat(parts));
  switch (Math.floor(next() * 6)) {
    case 0:
      return bytes.slice(0, at);
    case 1: {
      const changed = bytes.slice();
      for (let i = 0; i < Math.min(length, 12); i++) changed[at + i] = Math.floor(next() * 256);
      return changed;
    }
    case 2:
      return join(bytes.subarray(0, at), bytes.subarray(at + length));
    case 3:
      return join(
        ...Array<Uint8Array>(1 + Math.floor(next() * 30)).fill(bytes.subarray(at, at + length)),
        bytes.subarray(at),
      );
    case 4: {
      const to = Math.floor(next() * bytes.length);
      return join(bytes.subarray(0, to), bytes.subarray(at, at + length), bytes.subarray(to));
    }
    default:
      return join(
        bytes.subarray(0, at),
        new TextEncoder().encode(ODD[Math.floor(next() * ODD.length)]!.repeat(1 + Math.floor(next() * 3))),
        bytes.subarray(at + Math.min(length, 4)),
      );
  }
}
