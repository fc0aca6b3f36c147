import { simulatedHouse } from '@/devices/probes/house';

/** A morning on which people are at work. */
export const DEMO_PROBE_START = Date.UTC(2026, 2, 3, 5, 0);

/** What the probes of the simulated proofer and freezer say in some hours of work, a reading each minute. */
export function probedHours(hours: number) {
  const house = simulatedHouse(DEMO_PROBE_START, { seed: 3 });
  const said: Record<'proofer' | 'freezer', { at: number; celsius: number }[]> = {
    proofer: [],
    freezer: [],
  };
  for (let minute = 1; minute <= hours * 60; minute++) {
    house.goTo(DEMO_PROBE_START + minute * 60_000);
    for (const { place, celsius, at } of house.readings())
      if (place === 'proofer' || place === 'freezer') said[place].push({ at, celsius });
  }
  return said;
}
