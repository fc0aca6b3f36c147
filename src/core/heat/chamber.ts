/**
 * A cold store, proofer, oven or room as one volume of air with a thermostat, exchanging heat with what stands in it and with
 * the room around it: `dT/dt = (outside − T)/leak + (load − T)·share/slow + power·on`. Two nodes are the least that shows what a bakery
 * sees: air that jumps when a door opens, and goods that follow slowly and pull it back.
 */
export interface Chamber {
  /** What the thermostat holds, °C, and how far it lets the air go to either side. */
  holds: number;
  swing: number;
  /** What its machine does to the air, °C a minute: below 0 cools, above 0 heats, 0 for a room without one. */
  power: number;
  /** Minutes in which the air would come two thirds of the way to the air outside: door shut, and door open. */
  shut: number;
  open: number;
  /** What stands in it: minutes in which it follows the air, and how many times the air's heat it holds. */
  load: { minutes: number; times: number };
  /** Humidity that is held, %, and what its steam adds a minute; left out where nothing is done about it. */
  steam?: { holds: number; power: number };
}

export interface ChamberState {
  celsius: number;
  /** Of what stands in it, °C. */
  load: number;
  /** Relative humidity, %. */
  humidity: number;
  /** Its machine is running. */
  on: boolean;
}

/** What is around a chamber while some minutes pass. */
export interface Around {
  celsius: number;
  humidity: number;
  doorOpen: boolean;
  /** Without current nothing cools or heats. */
  powerless?: boolean;
}

/** Minutes of one step of the sum; much less than the quickest exchange. */
const STEP = 0.2;

/** A chamber as its thermostat has held it for long. */
export function heldChamber({ holds, steam }: Chamber): ChamberState {
  return { celsius: holds, load: holds, humidity: steam?.holds ?? 60, on: false };
}

/** The chamber some minutes later. `minutes` from 0 up. */
export function chamberAfter(
  chamber: Chamber,
  state: ChamberState,
  around: Around,
  minutes: number,
): ChamberState {
  let now = state;
  for (let left = minutes; left > 1e-9; left -= STEP)
    now = stepped(chamber, now, around, Math.min(STEP, left));
  return now;
}

function stepped(chamber: Chamber, state: ChamberState, around: Around, minutes: number): ChamberState {
  const { load, steam, power } = chamber;
  const leak = around.doorOpen ? chamber.open : chamber.shut;
  const on = around.powerless !== true && thermostat(chamber, state);
  const fromOutside = (around.celsius - state.celsius) / leak;
  const fromLoad = ((state.load - state.celsius) * load.times) / load.minutes;
  const celsius = state.celsius + (fromOutside + fromLoad + (on ? power : 0)) * minutes;
  const steaming = steam && around.powerless !== true && state.humidity < steam.holds ? steam.power : 0;
  const humidity = state.humidity + ((around.humidity - state.humidity) / leak + steaming) * minutes;
  return {
    celsius,
    load: state.load + ((state.celsius - state.load) / load.minutes) * minutes,
    humidity: Math.min(100, Math.max(0, humidity)),
    on,
  };
}

/** Switches at the ends of the swing, and stays as it is between them. */
function thermostat({ holds, swing, power }: Chamber, { celsius, on }: ChamberState): boolean {
  if (power === 0) return false;
  const missing = power < 0 ? celsius - holds : holds - celsius;
  if (missing >= swing) return true;
  return missing <= -swing ? false : on;
}
