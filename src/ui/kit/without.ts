/** An object without some of its entries, so that what is entered anew does not keep what it was. */
export function without<T extends object, Key extends keyof T>(
  object: T,
  ...keys: readonly Key[]
): Omit<T, Key> {
  const left = { ...object };
  for (const key of keys) delete left[key];
  return left;
}
