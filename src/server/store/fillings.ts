import { pieceArea } from '@/core/cutting/piece';
import type { DoughRecord } from '@/core/record/dough';
import { partsOfPiece, type DressingNeed } from '@/core/shaping/needs';
import { doughsDueFrom } from './doughs';
import { type Db } from '../db/rows';

/** What the planned doughs will be filled, brushed and topped with, and when it is needed; what is past is left out. */
export async function dressingNeeds(db: Db, now: number): Promise<DressingNeed[]> {
  const doughs = await doughsDueFrom(db, now);
  return doughs.flatMap((dough) => needsOf(dough)).filter(({ at }) => at >= now);
}

function needsOf(dough: DoughRecord): DressingNeed[] {
  return dough.outputs.flatMap(({ id, product, piece, pieces: all }) =>
    partsOfPiece(piece, piece.cut ? pieceArea(piece.cut.size) : 0).flatMap((part) =>
      dough.steps
        .filter(({ step, outputId }) => step.kind === part.by && (outputId === null || outputId === id))
        .map(({ plannedStart, load }) => ({
          ...part,
          ...{ product, dough: dough.name, at: plannedStart, pieces: load?.pieces ?? all },
        })),
    ),
  );
}
