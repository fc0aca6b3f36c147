import type { DoughStep } from '../route/expand';
import type { RouteLink } from '../route/route';
import type { Instant } from '../time/local';
import type { Presence } from '../time/shifts';
import type { FloorEvent } from './events';
import type { FloorDough } from './agenda';
import { foldDough } from './state';

/** One promise of a dough. */
export interface BoardOutput {
  id: number;
  product: string;
  pieces: number;
  dueAt: Instant;
  freshFor: number;
}

/** A dough with all that is needed to draw and fold it: facts and plan, nothing derived. */
export interface BoardDough {
  id: number;
  name: string;
  kg: number;
  /** How many bowls it is mixed in. */
  bowls: number;
  outputs: BoardOutput[];
  steps: (DoughStep & { plannedStart: Instant; plannedEnd: Instant })[];
  links: RouteLink[];
  events: FloorEvent[];
}

export interface Person {
  id: number;
  name: string;
  role: 'planner' | 'baker';
  team: string;
}

export interface Machine {
  id: string;
  label: string;
  capacity: number;
  unit: string;
  changeover: number;
}

/** What a signed-in screen starts from. */
export interface Board {
  house: { name: string; zone: string };
  people: Person[];
  machines: Machine[];
  presences: Presence[];
  /** Latest reading of each place. */
  places: { place: string; celsius: number; humidity: number | null; at: Instant }[];
  doughs: BoardDough[];
}

/** Folds a dough of the board for the floor. */
export function floorDough({ id, name, steps, links, events }: BoardDough): FloorDough {
  return { id, name, steps, state: foldDough({ steps, links }, events) };
}
