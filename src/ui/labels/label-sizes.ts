/** Sizes of labels: two of rolls, and a sheet of A4 with 21. Their measures are in `globals.css`, where the printer needs them. */
export const LABEL_SIZES = ['wide', 'tall', 'sheet'] as const;
export type LabelSize = (typeof LABEL_SIZES)[number];

/** Characters of a list of ingredients up to which its text is as large as this, by size; longer ones are set smaller. */
const ROOM: Readonly<Record<LabelSize, readonly [normal: number, small: number]>> = {
  wide: [260, 520],
  tall: [320, 640],
  sheet: [130, 280],
};

/** How large the list is set, so that it fits: `long` is set as small as may still be read. */
export function textSize(size: LabelSize, characters: number): 'normal' | 'small' | 'long' {
  const [normal, small] = ROOM[size];
  if (characters <= normal) return 'normal';
  return characters <= small ? 'small' : 'long';
}
