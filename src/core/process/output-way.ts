export const OUTPUT_WAYS = ['fresh', 'to-freezer', 'from-freezer'] as const;
/**
 * Where the pieces of an output go or come from: baked fresh; frozen when they are shaped, for later; out of the freezer,
 * thawed, proofed and baked.
 */
export type OutputWay = (typeof OUTPUT_WAYS)[number];
