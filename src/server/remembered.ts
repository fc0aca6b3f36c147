/** Answers of a pure function that are remembered by a key that says all that it was asked. */
export interface Remembered<V> {
  /** The answer for a key, made where it is not known. */
  recall: (key: string, make: () => V) => V;
  /** The answer for a key where it is known; undefined elsewhere. */
  peek: (key: string) => V | undefined;
}

/**
 * Remembers the last `most` answers of a pure function: what is made of versions that never change need not be made anew at
 * every look.
 */
export function remembered<V>(most: number): Remembered<V> {
  const known = new Map<string, V>();
  const keep = (key: string, value: V): V => {
    // Asked for again, it is the newest.
    known.delete(key);
    known.set(key, value);
    for (const old of known.keys()) {
      if (known.size <= most) break;
      known.delete(old);
    }
    return value;
  };
  return {
    recall: (key, make) => keep(key, known.get(key) ?? make()),
    peek: (key) => known.get(key),
  };
}
