export type Json = Record<string, unknown>;

/** The first Recipe in a document: itself, in a list, or in its @graph. */
export function findRecipe(value: unknown): Json | null {
  if (Array.isArray(value)) {
    for (const one of value) {
      const found = findRecipe(one);
      if (found) return found;
    }
    return null;
  }
  if (typeof value !== 'object' || value === null) return null;
  const node = value as Json;
  if ([node['@type']].flat().includes('Recipe')) return node;
  return '@graph' in node ? findRecipe(node['@graph']) : null;
}
