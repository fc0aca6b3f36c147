import { pieceArea } from '@/core/cutting/piece';
import type { DoughRecord } from '@/core/record/dough';
import type { FillingNeed } from '@/core/shaping/filling';
import { doughsDueFrom } from './doughs';
import { type Db } from '../db/rows';

/** Step before which a filling must be there. */
const NEEDED_BY = {
  spread: 'shape',
  laid: 'shape',
  between: 'shape',
  proofed: 'load',
  baked: 'finish',
} as const;

/** What the planned doughs will be filled with, and when it is needed; what is past is left out. */
export async function fillingNeeds(db: Db, now: number): Promise<FillingNeed[]> {
  const doughs = await doughsDueFrom(db, now);
  return doughs.flatMap((dough) => needsOf(dough)).filter(({ at }) => at >= now);
}

function needsOf(dough: DoughRecord): FillingNeed[] {
  return dough.outputs.flatMap(({ id, product, piece }) => {
    const { filling } = piece;
    if (!filling) return [];
    const steps = dough.steps.filter(
      ({ step, outputId }) => outputId === id && step.kind === NEEDED_BY[filling.moment],
    );
    return steps.map(({ plannedStart, load }) => ({
      ...{ filling, product, dough: dough.name, at: plannedStart },
      pieces: load?.pieces ?? 0,
      pieceArea: piece.cut ? pieceArea(piece.cut.size) : 0,
    }));
  });
}
