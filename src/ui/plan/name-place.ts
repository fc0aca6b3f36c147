/** Widest that a thread's name gets, and what the due time beside a thread's end takes, px. */
const NAME = 196;
const DUE = 62;

/**
 * Where the name of a thread stands: before it begins, or after its end, where that is on the screen; else at the left
 * edge, over the thread. All in px of a row `width` wide.
 */
export function namePlace(
  begins: number,
  ends: number,
  width: number,
): { left: number; overThread: boolean } {
  if (begins >= NAME && begins <= width + NAME) return { left: begins - NAME, overThread: false };
  const after = ends + DUE;
  if (ends >= 0 && after + NAME < width + 26) return { left: after, overThread: false };
  return { left: 4, overThread: true };
}
