import { type DoughRecord, stateOf } from '@/core/record/dough';
import type { RollingHouse } from '@/core/bakery/rolling';
import { sheetsOfDough } from '@/core/forecast/cut-sheets';
import type { PieceSize } from '@/core/cutting/piece';
import { endsAsDough } from '@/core/process/output-way';
import { productVersions } from './products';
import { type Db, rowsOf } from '../db/rows';

/** What is cut from a dough: one sheet of each of its blocks, and the pieces of its outputs. */
export interface DoughCut {
  sheet: { length: number; width: number; mm: number; density: number };
  sheets: number;
  /** What a block is rolled to before it is trimmed, cm. */
  rolled: { length: number; width: number };
  pieces: {
    name: string;
    size: PieceSize;
    /** From one sheet, and from all of them. */
    most: number | null;
    planned: number;
    target: number | null;
    perTray: number | null;
  }[];
}

/** The cut plan of a laminated dough by its folds as they were given; null for one that is divided or cannot be rolled. */
export async function doughCut(db: Db, dough: DoughRecord, rolling: RollingHouse): Promise<DoughCut | null> {
  const work = dough.lamination;
  if (!work) return null;
  const rows = await rowsOf<{ id: number; versionId: number }>(
    db,
    'SELECT id, product_version_id AS versionId FROM dough_output WHERE dough_id = ? ORDER BY id',
    [dough.id],
  );
  const products = await productVersions(
    db,
    rows.map(({ versionId }) => versionId),
  );
  const pieces = dough.outputs.flatMap((output) => {
    const product = products.get(rows.find(({ id }) => id === output.id)?.versionId ?? 0);
    const cut = product?.piece.cut;
    if (!product || !cut || endsAsDough(output.way)) return [];
    return [
      {
        ...{ name: output.product.toLowerCase(), size: cut.size, target: product.piece.grams },
        ...{ most: Math.ceil(output.pieces / work.blocks), planned: output.pieces },
        perTray: product.piece.perTray,
      },
    ];
  });
  if (pieces.length === 0) return null;
  const sheets = sheetsOfDough({ ...dough, state: stateOf(dough) }, rolling);
  if (!sheets) return null;
  const { parts, length, width, rolled, density, blocks } = sheets;
  return { rolled, sheet: { length: length * parts, width, mm: rolled.mm, density }, sheets: blocks, pieces };
}
