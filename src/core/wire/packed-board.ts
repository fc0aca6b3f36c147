import type { RouteStep } from '../process/route';
import type { DoughRecord } from '../record/dough';
import type { Board } from './board';

/**
 * A board as one text, for its way to a screen. Many steps of many doughs are the same step of a product's route: each is
 * written once. A text is written and carried many times faster than as many objects.
 */
export type PackedBoard = string;

type PackedStep = Omit<DoughRecord['steps'][number], 'step'> & { step: number };

interface Packed {
  routeSteps: RouteStep[];
  board: Omit<Board, 'doughs'> & { doughs: (Omit<DoughRecord, 'steps'> & { steps: PackedStep[] })[] };
}

/** A board while its steps get their route's steps back. */
type HalfUnpacked = Omit<Board, 'doughs'> & {
  doughs: (Omit<DoughRecord, 'steps'> & {
    steps: (Omit<DoughRecord['steps'][number], 'step'> & { step: number | RouteStep })[];
  })[];
};

/** Writes a board; `unpackBoard` reads it. */
export function packBoard(board: Board): PackedBoard {
  const routeSteps: RouteStep[] = [];
  const byObject = new Map<RouteStep, number>();
  const byText = new Map<string, number>();
  const numberOf = (step: RouteStep): number => {
    const known = byObject.get(step);
    if (known !== undefined) return known;
    // The same step may have come from the database twice.
    const text = JSON.stringify(step);
    const number = byText.get(text) ?? routeSteps.push(step) - 1;
    byText.set(text, number);
    byObject.set(step, number);
    return number;
  };
  const doughs = board.doughs.map((dough) => ({
    ...dough,
    steps: dough.steps.map(({ step, ...rest }) => ({ ...rest, step: numberOf(step) })),
  }));
  return JSON.stringify({ routeSteps, board: { ...board, doughs } } satisfies Packed);
}

/** Reads a board that was packed. */
export function unpackBoard(packed: PackedBoard): Board {
  const { routeSteps, board } = JSON.parse(packed) as { routeSteps: RouteStep[]; board: HalfUnpacked };
  // What was just read is nobody else's yet: filled in where it lies, which is several times faster than a copy.
  for (const { steps } of board.doughs)
    for (const step of steps) step.step = routeSteps[step.step as number] as RouteStep;
  return board as Board;
}
