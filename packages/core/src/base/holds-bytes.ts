/** Whether bytes stand anywhere in others. */
export function holdsBytes(bytes: Uint8Array, wanted: ArrayLike<number>): boolean {
  const all = Array.from(wanted);
  for (let at = bytes.indexOf(all[0]!); at >= 0; at = bytes.indexOf(all[0]!, at + 1))
    if (all.every((byte, i) => bytes[at + i] === byte)) return true;
  return false;
}
