/** Parts of a set-up that are taken over or left. */
export const SET_UP_PARTS = ['places', 'machines', 'people', 'values', 'products'] as const;
export type SetUpPart = (typeof SET_UP_PARTS)[number];
