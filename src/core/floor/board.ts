import type { DoughStep } from '../route/expand';
import type { RouteLink } from '../route/route';
import type { Instant } from '../time/local';
import type { Presence } from '../time/shifts';
import type { FloorEvent } from './events';
import type { Allergen } from '../formula/ingredient';
import type { LayerLimits, LaminationKind } from '../lamination/kinds';
import type { Laying } from '../lamination/geometry';
import type { Table } from '../lamination/gaps';
import type { PieceSpec } from '../route/route';
import type { FloorDough } from './agenda';
import type { Decks } from './decks';
import type { AlarmTaken, Leads, SilentProbe, Thaw } from './alarms';
import { COOLING_RULES, type CoolingRule } from './cooling';
import type { Excursion } from './excursions';
import type { BlockWork } from './block-work';
import type { Skill } from './skills';
import { foldDough } from './state';

/** One promise of a dough. */
export interface BoardOutput {
  id: number;
  product: string;
  pieces: number;
  dueAt: Instant;
  freshFor: number;
  /** How a piece is cut or divided, filled and made up. */
  piece: PieceSpec;
  /** What is in it that has to be declared: formula, filling, wash, topping, and what really went in. */
  allergens: Allergen[];
  /** Ingredients of which nobody has said what they contain; none where nothing is said. */
  undeclared?: string[];
}

/** How the house rolls: tables, how blocks are laid out, and what it calls good layers. */
export interface RollingHouse {
  table: Table;
  laying: Laying;
  limits: Record<LaminationKind, LayerLimits>;
  /** Longest sheet on the bench where it is cut, cm. */
  benchLength: number;
  /** A tray, cm. */
  tray: readonly [length: number, width: number];
}

/** A dough with all that is needed to draw and fold it: facts and plan, nothing derived. */
export interface BoardDough {
  id: number;
  name: string;
  /** When it was put into the plan: nothing was recorded of it much earlier. */
  madeAt: Instant;
  kg: number;
  /** How many bowls it is mixed in. */
  bowls: number;
  /** Null for a dough that is not laminated. */
  lamination: BlockWork | null;
  outputs: BoardOutput[];
  /** `pinned`: a planner has fixed its start. */
  steps: (DoughStep & { plannedStart: Instant; plannedEnd: Instant; pinned?: boolean })[];
  links: RouteLink[];
  events: FloorEvent[];
  /** When the last thing was recorded of a dough of which nothing is open any more. */
  finished?: Instant;
}

export interface Person {
  id: number;
  name: string;
  role: 'planner' | 'baker' | 'helper' | 'viewer';
  team: string;
  /** What they can do; nothing said, everything. */
  skills?: Skill[];
}

export interface Machine {
  id: string;
  label: string;
  capacity: number;
  unit: string;
  changeover: number;
  /** Into how many decks it is divided: an oven. */
  decks?: number;
  /** When how many of its units are out; null for all. */
  outages?: { start: Instant; end: Instant; units: number | null }[];
}

/** What a signed-in screen starts from. */
export interface Board {
  house: { name: string; zone: string };
  people: Person[];
  machines: Machine[];
  presences: Presence[];
  rolling: RollingHouse;
  /** What the scale last said, where it said so just now. */
  scale: { grams: number; at: Instant } | null;
  /** Latest reading of each place. */
  places: { place: string; label: string; celsius: number; humidity: number | null; at: Instant }[];
  /** The oven's decks. */
  decks: Decks;
  /** Needles that can be in a dough, and what each last said. */
  needles: { id: string; label: string; celsius: number | null; at: Instant }[];
  doughs: BoardDough[];
  /** What alarms are worked out from beside the doughs. */
  calls: {
    leads: Leads;
    taken: AlarmTaken[];
    excursions: Excursion[];
    thaws: Thaw[];
    silent: SilentProbe[];
    coolingRule: CoolingRule;
  };
}

/** For a page that shows no alarms. */
export const NO_CALLS: Board['calls'] = {
  leads: { preheat: 0, wash: 0, butter: 0, levain: 0, thaw: 0 },
  taken: [],
  excursions: [],
  thaws: [],
  silent: [],
  coolingRule: COOLING_RULES[0] as CoolingRule,
};

/** How long a finished dough is still of use to the floor, hours: for its count, an undo, a handover. */
const KEPT = 14;

/** A board without the doughs that the floor has done with: every screen of it folds and draws all that it is sent. */
export function withoutOver(board: Board, now: Instant): Board {
  const since = now - KEPT * 3_600_000;
  return {
    ...board,
    doughs: board.doughs.filter(({ finished }) => finished === undefined || finished > since),
  };
}

/** Folds a dough of the board for the floor. */
export function floorDough({ id, name, steps, links, events, lamination }: BoardDough): FloorDough {
  return { id, name, steps, lamination, state: foldDough({ steps, links }, events) };
}
