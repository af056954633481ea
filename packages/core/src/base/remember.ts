/** Remembers what was made, so that it is made once. */

interface Memory<K, V> {
  get(key: K): V | undefined;
  set(key: K, value: V): unknown;
}

/** What a memory has of a key, made and kept where it has nothing. Undefined is nothing. */
export function getOrMake<K, V extends NonNullable<unknown> | null>(
  memory: Memory<K, V>,
  key: K,
  make: (key: K) => V,
): V {
  const known = memory.get(key);
  if (known !== undefined) return known;
  const made = make(key);
  memory.set(key, made);
  return made;
}

/** The same function, which makes each thing once for as long as its object lives. */
export function remembered<K extends object, V extends NonNullable<unknown> | null>(
  make: (key: K) => V,
): (key: K) => V {
  const memory = new WeakMap<K, V>();
  return (key) => getOrMake(memory, key, make);
}
