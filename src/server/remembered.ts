/**
 * Remembers the last `most` answers of a pure function, by a key that says all that it was asked: what is made of versions that
 * never change need not be made anew at every look.
 */
export function remembered<V>(most: number): (key: string, make: () => V) => V {
  const known = new Map<string, V>();
  return (key, make) => {
    const found = known.get(key);
    const value = found ?? make();
    // Asked for again, it is the newest.
    known.delete(key);
    known.set(key, value);
    for (const old of known.keys()) {
      if (known.size <= most) break;
      known.delete(old);
    }
    return value;
  };
}
