/** A name as it stands within a line: "Oven" as "oven". */
export const lowerFirst = (words: string): string => words.slice(0, 1).toLowerCase() + words.slice(1);

/** A name from within a line as it stands by itself: "oven" as "Oven". */
export const upperFirst = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);
