/** A place of the house, as warm as it is now. */
export interface CoolPlace {
  place: string;
  label: string;
  celsius: number;
}

/** What stands in the cold rises no further worth counting, and does not freeze, °C. */
const COLD = { from: 0, to: 12 };

/** The coldest place in which a load can wait without freezing; undefined where there is none. */
export const coldestPlace = <Place extends CoolPlace>(places: readonly Place[]): Place | undefined =>
  places
    .filter(({ celsius }) => celsius >= COLD.from && celsius <= COLD.to)
    .sort((a, b) => a.celsius - b.celsius)[0];
