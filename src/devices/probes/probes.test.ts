import { describe, expect, it } from 'vitest';
import { readFaults, type Fault } from './faults';
import { simulatedHouse, type HouseSettings } from './house';

const NIGHT = Date.UTC(2026, 3, 9, 22);
const MINUTE = 60_000;

/** What the probes say every ten minutes for some hours. */
function log(hours: number, settings: HouseSettings) {
  const house = simulatedHouse(NIGHT, settings);
  return Array.from({ length: hours * 6 }, (_, i) => {
    house.goTo(NIGHT + (i + 1) * 10 * MINUTE);
    return house.readings();
  });
}
const of = (readings: ReturnType<typeof log>, place: string) =>
  readings.flatMap((all) => all.filter((one) => one.place === place));
const faults = (text: string): { faults: Fault[] } => ({ faults: readFaults(text) });

describe('the simulated house', () => {
  it('has every place near what its thermostat holds, and humidity in the proofer alone', () => {
    const readings = log(8, {});
    const near = { retarder: 3.6, freezer: -18.2, proofer: 26.2, oven: 184, bakery: 22 };
    for (const [place, celsius] of Object.entries(near)) {
      const said = of(readings, place).map((one) => one.celsius);
      expect(said.length).toBe(48);
      expect(Math.abs(said.reduce((sum, one) => sum + one, 0) / said.length - celsius)).toBeLessThan(3);
    }
    expect(of(readings, 'proofer').every(({ humidity }) => humidity !== undefined && humidity > 60)).toBe(
      true,
    );
    expect(of(readings, 'retarder').every(({ humidity }) => humidity === undefined)).toBe(true);
  });

  it('is the same for the same seed', () => {
    expect(log(3, { seed: 4 })).toEqual(log(3, { seed: 4 }));
    expect(log(3, { seed: 4 })).not.toEqual(log(3, { seed: 5 }));
  });

  it('holds what it is set to', () => {
    const said = of(log(6, { set: new Map([['bakery', 30]]) }), 'bakery');
    expect(said.every(({ celsius }) => Math.abs(celsius - 30) < 0.2)).toBe(true);
  });

  it('has core probes that follow the air around their dough, slowly', () => {
    const said = of(log(8, { coreProbes: [{ id: 'core-1', place: 'retarder', celsius: 24 }] }), 'core-1');
    const celsius = said.map((one) => one.celsius);
    expect(celsius[0]).toBeGreaterThan(18);
    expect(celsius.at(-1)).toBeLessThan(6);
    expect(celsius.every((one, i) => i === 0 || one <= (celsius[i - 1] ?? 0) + 0.6)).toBe(true);
  });
});

describe('faults', () => {
  it('are read as place, kind, from when and for how long', () => {
    expect(readFaults('retarder:door@10+45, proofer:drift')).toEqual([
      { place: 'retarder', kind: 'door', from: 10, minutes: 45 },
      { place: 'proofer', kind: 'drift', from: 0, minutes: Infinity },
    ]);
    expect(readFaults('')).toEqual([]);
    expect(() => readFaults('retarder:dor')).toThrow(/“retarder:dor” is no fault/);
  });

  it('of a door warm the retarder beyond its limit, and it recovers when the door is shut', () => {
    const celsius = of(log(6, faults('retarder:door@30+60')), 'retarder').map((one) => one.celsius);
    expect(Math.max(...celsius.slice(3, 9))).toBeGreaterThan(7);
    expect(celsius.at(-1)).toBeLessThan(5);
  });

  it('of the current let a freezer thaw, of a battery make its probe silent', () => {
    const celsius = of(log(24, faults('freezer:dead')), 'freezer').map((one) => one.celsius);
    expect(celsius.at(-1)).toBeGreaterThan(-12);
    expect(of(log(2, faults('proofer:silent@60')), 'proofer')).toHaveLength(5);
  });

  it('of the probe let it drift, leave gaps, or say nonsense now and then', () => {
    const drifted = of(log(6, faults('bakery:drift')), 'bakery').map((one) => one.celsius);
    const true6 = of(log(6, {}), 'bakery').map((one) => one.celsius);
    expect((drifted.at(-1) ?? 0) - (true6.at(-1) ?? 0)).toBeGreaterThan(5);
    const gappy = of(log(8, faults('bakery:gaps')), 'bakery');
    expect(gappy.length).toBeLessThan(32);
    expect(gappy.length).toBeGreaterThan(4);
    const said = of(log(8, faults('bakery:nonsense')), 'bakery').map((one) => one.celsius);
    expect(said.some((one) => [85, -127, 999].includes(one))).toBe(true);
    expect(said.filter((one) => one < 40 && one > 10).length).toBeGreaterThan(20);
  });
});
