import { BUTTER, DOUGH } from '../heat/material';
import { firstMode, type FirstMode } from '../heat/mode';
import { meanFilm, type PlaceKind } from '../heat/places';
import type { DoughStep } from './expand';

/**
 * How the dough of a step follows what is around it, by conduction through its piece.
 *
 * @param kind - of the place where it is; that of the route where nobody says otherwise
 * @returns null where the route does not say what the piece is like
 */
export function pieceMode({ step }: Pick<DoughStep, 'step'>, kind?: PlaceKind): FirstMode | null {
  if (!step.piece) return null;
  const film = meanFilm(kind ?? step.place ?? 'fridge', step.piece.lying);
  return firstMode(step.piece, step.branch === 'butter' ? BUTTER : DOUGH, film, step.around);
}

/** Minutes until a difference from what is around it has fallen to 1/e: by its piece, or as the route has it. */
export const settlingIn = (step: Pick<DoughStep, 'step' | 'settling'>, kind?: PlaceKind): number =>
  pieceMode(step, kind)?.settling ?? step.settling;
