import type { ProductsFile } from '@/core/exchange/products-file';
import { check } from '../../commands/check';
import { productsFile } from '../../commands/products/file-schema';
import quickCrescent from './quick-crescent.json' with { type: 'json' };
import crescents from './crescents.json' with { type: 'json' };
import spongePocket from './sponge-pocket.json' with { type: 'json' };
import nightLevain from './night-levain.json' with { type: 'json' };
import levainCrescent from './levain-crescent.json' with { type: 'json' };
import stiffLevainStar from './stiff-levain-star.json' with { type: 'json' };
import tallStack from './tall-stack.json' with { type: 'json' };
import foldedMilk from './folded-milk.json' with { type: 'json' };
import flakyBulk from './flaky-bulk.json' with { type: 'json' };
import flouredBlock from './floured-block.json' with { type: 'json' };
import bookLast from './book-last.json' with { type: 'json' };
import danish from './danish.json' with { type: 'json' };
import custardSquare from './custard-square.json' with { type: 'json' };
import autolyseCross from './autolyse-cross.json' with { type: 'json' };
import laminatedBrioche from './laminated-brioche.json' with { type: 'json' };
import brioche from './brioche.json' with { type: 'json' };
import rolledSlice from './rolled-slice.json' with { type: 'json' };
import tableRolls from './table-rolls.json' with { type: 'json' };
import fruitSnail from './fruit-snail.json' with { type: 'json' };

const read = (file: unknown): ProductsFile => check(productsFile, file);

/** What a bakery may begin with, each file a way of working; all of them made up for this shelf. */
export const SHELF: readonly ProductsFile[] = [
  read(quickCrescent),
  read(crescents),
  read(spongePocket),
  read(nightLevain),
  read(levainCrescent),
  read(stiffLevainStar),
  read(tallStack),
  read(foldedMilk),
  read(flakyBulk),
  read(flouredBlock),
  read(bookLast),
  read(danish),
  read(custardSquare),
  read(autolyseCross),
  read(laminatedBrioche),
  read(brioche),
  read(rolledSlice),
  read(tableRolls),
  read(fruitSnail),
];
