import type { Ask, RecipeReading } from './reading';

/** What a text is called where it is settled: its own characters. */
export const askText = ({ text }: Pick<RecipeReading, 'text'>, { from, to }: Ask): string =>
  text.slice(from, to);

/** Questions of a recipe that nobody has settled yet. */
export const openAsks = (reading: RecipeReading, settled: readonly string[]): Ask[] =>
  reading.asks.filter((ask) => !settled.includes(askText(reading, ask)));
