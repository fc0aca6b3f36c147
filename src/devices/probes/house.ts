import { chamberAfter, heldChamber, type ChamberState } from '@/core/heat/chamber';
import { DOUGH } from '@/core/heat/material';
import { firstMode } from '@/core/heat/mode';
import { meanFilm } from '@/core/heat/places';
import { seeded } from '@/core/solver/random';
import { hasFault, saidBy, type Fault } from './faults';
import { CHAMBERS, DAY_PLACES, dayCelsius } from './stock';

/** A core probe in a dough: where that stands, and how warm it was when the core probe went in. */
export interface CoreProbe {
  id: string;
  place: string;
  celsius: number;
}

export interface Reading {
  place: string;
  celsius: number;
  humidity?: number;
  at: number;
}

/** What may be different from the usual house. */
export interface HouseSettings {
  /** What a thermostat holds, or a room has, by place, °C. */
  set?: ReadonlyMap<string, number>;
  faults?: readonly Fault[];
  coreProbes?: readonly CoreProbe[];
  seed?: number;
}

/** A block of dough on a tray, mm: what a core probe is in. */
const BLOCK = { shape: 'slab', mm: 40 } as const;
/** Doors are opened about so often while people are at work, times an hour, and stand open for so long, minutes. */
const OPENED = { hourly: 4, minutes: 0.7 };
/** Outside of these hours (UTC) hardly anybody opens a door. */
const AT_WORK = [1, 19] as const;

/** Minutes of one step in which doors are opened and core probes follow. */
const STEP = 1;
/** A longer silence than this is bridged as if nobody had been there, minutes. */
const LONGEST = 24 * 60;

/**
 * The demo house's places and core probes, going on from one moment to the next; the same seed gives the same house. Chambers
 * are chambers of the core; a core probe follows the air of its place as the core of a block does, by its first mode.
 */
export function simulatedHouse(
  begin: number,
  { set = new Map(), faults = [], coreProbes = [], seed = 1 }: HouseSettings,
) {
  const random = seeded(seed);
  const chambers = Object.entries(CHAMBERS).map(([place, usual]) => {
    return { place, chamber: { ...usual, holds: set.get(place) ?? usual.holds } };
  });
  const states = new Map<string, ChamberState>(
    chambers.map(({ place, chamber }) => [place, heldChamber(chamber)]),
  );
  const cores = new Map(coreProbes.map(({ id, celsius }) => [id, celsius]));
  let now = begin;
  const minuteOf = (at: number) => (at - begin) / 60_000;
  const roomAt = (place: string, at: number) => set.get(place) ?? dayCelsius(place, at);
  const airOf = (place: string) => states.get(place)?.celsius ?? roomAt(place, now);

  function step(minutes: number, ajarAt: string | null): void {
    const minute = minuteOf(now);
    const around = { celsius: roomAt('bakery', now), humidity: 45 };
    const hour = new Date(now).getUTCHours();
    const busy = hour >= AT_WORK[0] && hour < AT_WORK[1];
    for (const { place, chamber } of chambers) {
      const opened = busy && place !== 'freezer' && random.unit() < (OPENED.hourly / 60) * minutes;
      const left = place === ajarAt || hasFault(faults, place, 'door', minute);
      const ajar = left ? minutes : opened ? Math.min(minutes, OPENED.minutes) : 0;
      const powerless = hasFault(faults, place, 'dead', minute);
      const state = states.get(place) ?? heldChamber(chamber);
      const open = chamberAfter(chamber, state, { ...around, doorOpen: true, powerless }, ajar);
      states.set(
        place,
        chamberAfter(chamber, open, { ...around, doorOpen: false, powerless }, minutes - ajar),
      );
    }
    for (const { id, place } of coreProbes) {
      const air = airOf(place);
      const core = cores.get(id) ?? air;
      const kind = place === 'retarder' ? 'retarder' : place === 'proofer' ? 'proofer' : 'room';
      const { settling } = firstMode(BLOCK, DOUGH, meanFilm(kind, 'tray'), air);
      cores.set(id, air + (core - air) * Math.exp(-minutes / settling));
    }
    now += minutes * 60_000;
  }

  function said(place: string, celsius: number, humidity?: number): Reading[] {
    const says = saidBy(place, celsius, { faults, minute: minuteOf(now), random });
    const wet = humidity === undefined ? {} : { humidity: Math.round(humidity) };
    return says === null ? [] : [{ place, celsius: says, at: Math.round(now), ...wet }];
  }

  return {
    /**
     * Lets the house go on until `at`; a moment that has passed changes nothing. `ajar`: a place whose door stands open
     * meanwhile.
     */
    goTo(at: number, ajar: string | null = null): void {
      now = Math.max(now, at - LONGEST * 60_000);
      while (at - now > 1) step(Math.min(STEP, (at - now) / 60_000), ajar);
    },
    /** What all probes say now. */
    readings: (): Reading[] => [
      ...DAY_PLACES.flatMap((place) => said(place, roomAt(place, now))),
      ...chambers.flatMap(({ place, chamber }) => {
        const state = states.get(place) ?? heldChamber(chamber);
        return said(place, state.celsius, chamber.steam ? state.humidity : undefined);
      }),
      ...coreProbes.flatMap(({ id, place }) => said(id, cores.get(id) ?? airOf(place))),
    ],
  };
}
