/** Densities of butter and degassed dough, g/cm³. */
export const FAT_DENSITY = 0.95;
export const DOUGH_DENSITY = 1.12;

export type LockIn = 'envelope' | 'half-lock' | 'middle' | 'cross' | 'two-thirds';
export type Fold = 'half' | 'letter' | 'book';

/** What is done to a sheet, in order. `plain` begins without fat; `spread` puts a share of the fat on the open face. */
export type Operation = LockIn | Fold | 'plain' | 'spread' | `stack:${number}`;

interface Layer {
  fat: boolean;
  /** Share of the whole volume. */
  share: number;
}

/** A laminated sheet; thicknesses in µm at the sheet's own thickness. */
export interface Layers {
  fatLayers: number;
  /** Of fat and dough together. */
  layers: number;
  fatVolumeFraction: number;
  meanFat: number;
  minFat: number;
  maxFat: number;
  minDough: number;
  maxDough: number;
}

const FOLDS: Record<Fold, readonly boolean[]> = {
  half: [false, true],
  letter: [false, true, true],
  book: [false, true, false, true],
};

/**
 * Simulates the stack from bottom to top: faces that meet and are alike become one layer; sheeting thins all alike.
 * Weights in grams, the sheet's thickness in mm. Throws on an operation it does not know or a stack of none.
 */
export function layersOf(
  operations: readonly Operation[],
  fatGrams: number,
  doughGrams: number,
  sheetMm: number,
): Layers {
  const fatVolume = fatGrams / FAT_DENSITY;
  const fraction = fatVolume / (fatVolume + doughGrams / DOUGH_DENSITY);
  const spreads = operations.filter((operation) => operation === 'spread').length;
  let stack: Layer[] = [];
  for (const operation of operations) stack = merged(apply(stack, operation, fraction, spreads));
  const um = (fat: boolean) =>
    stack.filter((layer) => layer.fat === fat).map(({ share }) => share * sheetMm * 1000);
  const [fat, dough] = [um(true), um(false)];
  return {
    ...{ fatLayers: fat.length, layers: stack.length, fatVolumeFraction: fraction },
    meanFat: fat.length > 0 ? (sheetMm * 1000 * fraction) / fat.length : 0,
    ...{ minFat: Math.min(...fat), maxFat: Math.max(...fat) },
    ...{ minDough: Math.min(...dough), maxDough: Math.max(...dough) },
  };
}

function apply(stack: Layer[], operation: Operation, fraction: number, spreads: number): Layer[] {
  const layers = (doughs: number, fats: number) =>
    Array.from({ length: doughs + fats }, (_, i): Layer => {
      const fat = i % 2 === 1;
      return { fat, share: fat ? fraction / fats : (1 - fraction) / doughs };
    });
  switch (operation) {
    case 'envelope':
    case 'half-lock':
    case 'middle':
    case 'cross':
      return layers(2, 1);
    case 'two-thirds':
      return layers(3, 2);
    case 'plain':
      return [{ fat: false, share: 1 - fraction }];
    case 'spread':
      return [...stack, { fat: true, share: fraction / spreads }];
    case 'half':
    case 'letter':
    case 'book': {
      const folds = FOLDS[operation];
      return folds.flatMap((turned) =>
        (turned ? [...stack].reverse() : stack).map((layer) => ({
          ...layer,
          share: layer.share / folds.length,
        })),
      );
    }
    default: {
      const discs = Number(operation.split(':')[1]);
      if (!Number.isInteger(discs) || discs < 2) throw new RangeError(`${operation} is no way to laminate.`);
      return layers(discs, discs - 1);
    }
  }
}

function merged(stack: readonly Layer[]): Layer[] {
  const result: Layer[] = [];
  for (const layer of stack) {
    const last = result.at(-1);
    if (last?.fat === layer.fat) last.share += layer.share;
    else result.push({ ...layer });
  }
  return result;
}
