import type { Cardinal } from '../ferment/rate';
import type { FatKind } from '../lamination/butter-window';
import type { Words } from '../codes/coded';
import type { MachineKind } from '../bakery/machines';
import type { Skill } from '../bakery/people';
import type { Lying, PlaceKind } from '../heat/places';
import type { PieceSize } from '../cutting/piece';
import type { Piece } from '../heat/mode';
import type { Scheme } from '../lamination/scheme';
import type { Fold } from '../lamination/stack';
import type { Dressing } from '../shaping/dressing';
import type { ShapeKind } from '../shaping/shapes';

/**
 * A route: a product's steps as a graph. Steps of the dough come first (mix to sheet, with the butter block, levain
 * or filling as branches that join); each output then goes its own way from the fork.
 *
 * Numbers are house values to begin with, kept with the product's version; none of them is fixed in code.
 */
export interface Route {
  steps: RouteStep[];
  links: RouteLink[];
}

/** A product's whole route: `dough` is shared by all outputs of one dough, `output` is walked by each alone. */
export interface ProductRoute {
  dough: Route;
  output: Route;
  /** Steps that the fork leads from and to. */
  fork: RouteLink;
}

/** What a step is, for words and drawings; the engine sees only times and uses. */
export const STEP_KINDS = [
  ...(['mix', 'knead', 'bulk', 'fold', 'degas', 'retard', 'freeze', 'thaw', 'butter', 'temper'] as const),
  ...(['lock-in', 'rest', 'turn', 'sheet', 'divide', 'filling', 'shape', 'proof', 'wash', 'load'] as const),
  ...(['bake', 'cool', 'finish', 'levain', 'sponge', 'move', 'laminate'] as const),
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** What is made beside the dough and joins it, or its pieces, where it is needed. */
export const BRANCH_KINDS = ['butter', 'levain', 'sponge', 'soaker', 'filling', 'topping', 'icing'] as const;
export type BranchKind = (typeof BRANCH_KINDS)[number];

export interface RouteStep {
  id: string;
  kind: StepKind;
  /** What the step is called on the bench: "Mix", "Turn 2". */
  label: Words;
  /** Hands-on steps: minutes fixed, per kg of dough and per piece, and how many people. */
  work?: { fixed: number; perKg?: number; perPiece?: number; people: number };
  /** Waits: their window in minutes, and what a minute too short or too long costs. */
  wait?: { shortest: number; best: number; longest: number; shortCost: number; longCost: number };
  holds?: Hold[];
  /** What whoever does it must know, where that is not what the kind of the step asks for. */
  skill?: Skill | 'anybody';
  /** How heavy it is on the arms, against watching, which is 1; left out where it is as usual for its kind. */
  strain?: number;
  /** In what order and how it is done, in the house's words. */
  method?: string;
  /** Minutes of mixing at first and at second speed: how much that warms the dough, until it was measured. */
  speeds?: { slow: number; fast: number };
  /** The product can be made without it. */
  optional?: true;
  /** Temperature around the dough, °C, and how fast it follows: minutes until two thirds of the way there. */
  around: number;
  settling: number;
  /** It stands in a corner that is so much cooler than its place, °C. */
  cooler?: number;
  /** The kind of place whose temperature today stands for `around`. */
  place?: PlaceKind;
  /** What the dough is like there, and what it lies on: `settling` then follows from conduction. */
  piece?: Piece & { lying: Lying };
  /** A rest for the sake of a core temperature, °C: it is at least as long as that takes today. */
  until?: number;
  /** Which rise goes on meanwhile; `decides`: the wait's window is when that rise is ready. */
  rise?: { phase: RisePhase; decides?: boolean };
  /** Yeast, sponge or levain that must show that it is alive: what to look for. */
  alive?: { of: 'yeast' | 'sponge' | 'levain'; signs: string[] };
  /** Temperature that the step itself gives the dough, °C: after mixing. */
  gives?: number;
  /** Which turn this is, counted from 1. */
  turn?: number;
  /** Fold of a turn or lock-in, in words. */
  fold?: Words;
  /** The fold that a turn gives, and what the sheet is rolled to before it, mm. */
  given?: { fold: Fold; mm: number };
  /** What keeps a skin from forming during a wait. */
  cover?: string;
  check?: Words;
  caution?: Words;
  /** A step beside the dough (butter, filling): drawn as a branch. */
  branch?: BranchKind;
  /** Phases of a bake in order, °C of a conventional oven; the last lasts until the bake is over. */
  program?: { celsius: number; minutes: number; steam?: boolean; vent?: boolean }[];
  /** Something cooked cools here: within limits, with a record, or it is thrown away. */
  cools?: boolean;
  /** A bake's trays are turned round so many minutes after they went in: 0 never, half way where nothing is said. */
  turnTrays?: number;
  /** The bake is looked at for the first time after so many minutes. */
  lookAt?: number;
  /** A bake is done when its core has come to the first, °C; the second is the most it should have. */
  core?: readonly [number, number];
  /** When it ends, its pieces are in the freezer's stock, or no longer. */
  stock?: 'in' | 'out';
  /** The step ends when a person says so, though nobody stands by it: a bake. */
  ends?: 'tap';
}

/** What a step holds of a kind of machine, from start to end. */
export interface Hold {
  machine: MachineKind;
  amount: number;
  per: 'once' | 'kg' | 'tray';
  /** °C that the machine stands at. */
  setting?: number;
  /** The machines of that kind that it may be on, by their ids, the preferred one first; any where nothing is said. */
  only?: string[];
}

/** `min` to `max` minutes from the end of one step to the start of the other; no `max`, no upper bound. */
export interface RouteLink {
  from: string;
  to: string;
  min: number;
  max?: number;
}

/** Rises of a dough; waits of one phase share one fermentation. Degassing ends the bulk. */
export type RisePhase = 'sponge' | 'levain' | 'bulk' | 'proof';

/** How a product rises in one phase. */
export interface Rise {
  yeast: 'bakers' | 'levain';
  /** Ready after `minutes` at `celsius`; anything else follows. */
  celsius: number;
  minutes: number;
  /** Progress from which, and up to which, it may go on: 1 is best. */
  early: number;
  late: number;
  /** How fast it goes at other temperatures, where the house has learnt that; else as is usual for its yeast. */
  cardinal?: Cardinal;
}

/** Pieces per tray with room to double, and grams of dough a piece. */
export interface PieceSpec extends Dressing {
  grams: number;
  perTray: number;
  /**
   * Share of the dough that is lost, 0 to below 1: of a divided dough what sticks to bowl and table; of a final sheet its
   * uneven ends. Odd ends of rows and the trims of turns come on top, as the sheet has them.
   */
  scrap: number;
  /** How it is cut from the sheet, and how thick that is, mm. None for a dough that is divided. */
  cut?: { size: PieceSize; mm: number };
  /** How far a divided piece may be off its weight, grams. */
  tolerance?: number;
  /** Tins a piece is baked in: one for a loaf; none where nothing is said. */
  tins?: number;
  /** Which tins of the house, by their ids; any where nothing is said. */
  tinKinds?: string[];
  shape?: ShapeKind;
  /** The product that this one is a variant of: the same piece with another filling. */
  variantOf?: string;
}

/** The lamination scheme of a product version. */
export interface SchemeVersion {
  versionId: number;
  name: string;
  scheme: Scheme;
}

/** A product as one version knows it. */
export interface ProductSpec {
  versionId: number;
  name: string;
  /** Which formula version its dough is mixed by. */
  formulaVersionId: number;
  piece: PieceSpec;
  route: ProductRoute;
  /** Minutes for which the goods count as fresh. */
  freshFor: number;
  /** What a minute late costs, against what is usual, which is 1. */
  lateness?: number;
  rises?: Partial<Record<RisePhase, Rise>>;
  scheme?: SchemeVersion | null;
  /** Share of the dough ready to cut that comes out of the mixer: the rest is roll-in. 1 where nothing is said. */
  mixed?: number;
  /** What is rolled into it; left out where nothing is laminated. */
  rolledFat?: FatKind;
  /** It is put away as dough: no pieces are cut or divided from it. */
  keptAsDough?: true;
}

/** Two products can come from one dough when it is mixed and laminated the same way up to the fork. */
export function canShareDough(a: ProductSpec, b: ProductSpec): boolean {
  return (
    a.formulaVersionId === b.formulaVersionId &&
    a.route.fork.from === b.route.fork.from &&
    JSON.stringify(a.route.dough) === JSON.stringify(b.route.dough)
  );
}
