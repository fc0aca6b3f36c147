/** The PINs of a demo's people, by their number: everybody who visits it may know them. */
export async function demoPins(
  people: readonly { id: number; name: string }[],
): Promise<Record<number, string>> {
  // The demo's bakery is large, and no other house asks for it.
  const { PEOPLE } = await import('./bakery');
  const pins = new Map(PEOPLE.map(({ name, pin }) => [name, pin]));
  return Object.fromEntries(
    people.flatMap(({ id, name }) => (pins.has(name) ? [[id, pins.get(name) ?? '']] : [])),
  );
}
