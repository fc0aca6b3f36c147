import type { Guided } from '@/core/shopfloor/first-steps';

const ATTRIBUTE = 'data-guided';

/** Marks a part of a screen as one that first steps point at. */
export const guided = (place: Guided) => ({ [ATTRIBUTE]: place });

/** Where such a part is on the page; null where it is not there. */
export const guidedPart = (place: Guided): Element | null =>
  document.querySelector(`[${ATTRIBUTE}="${place}"]`);
