/** A word as LIKE looks for it anywhere in a text, its own wildcards taken literally. */
export const like = (word: string): string => `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
