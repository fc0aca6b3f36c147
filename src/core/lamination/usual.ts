import type { Beginning, Scheme, Turn } from './scheme';
import type { Fold } from './stack';

/** Minutes of work for a fold to begin with; a book fold asks for a longer sheet and two seams. */
const MINUTES: Record<Fold, number> = { half: 7, letter: 8, book: 10 };
const FOLD_OF: Record<string, Fold> = { '2': 'half', '3': 'letter', '4': 'book' };

/** Turns from digits: "3-3" has a rest after each, "3+3" gives two at one go. */
function turns(folds: string, mm: number, rest: number, last = rest): Turn[] {
  const digits = folds.match(/\d[-+]?/g) ?? [];
  return digits.map((digit, i) => {
    const fold = FOLD_OF[digit.charAt(0)] ?? 'letter';
    const after = i === digits.length - 1 ? last : digit.endsWith('+') ? 0 : rest;
    return { fold, mm, minutes: MINUTES[fold], rest: after };
  });
}

const BLOCK: Beginning = { way: 'block', style: 'envelope', blockMm: 10 };

function scheme(beginning: Beginning, given: Turn[], more: Partial<Scheme> = {}): Scheme {
  return {
    ...{ kind: 'honeycomb', beginning, flourInFat: 0, turns: given, lockInMinutes: 8, perKg: 0.25 },
    ...more,
  };
}

/** Schemes that a house begins with; all of them are its own to change. */
export const USUAL_SCHEMES: { name: string; scheme: Scheme }[] = [
  { name: 'Three letter folds', scheme: scheme(BLOCK, turns('3-3-3', 7, 45, 60)) },
  { name: 'Book, then letter', scheme: scheme(BLOCK, turns('4-3', 8, 45, 60)) },
  {
    name: 'Letter, then book',
    scheme: scheme({ ...BLOCK, style: 'middle' }, turns('3-4', 8, 45, 60)),
  },
  { name: 'Two book folds', scheme: scheme({ ...BLOCK, style: 'half-lock' }, turns('4-4', 8, 45, 60)) },
  { name: 'Four letter folds', scheme: scheme(BLOCK, turns('3-3-3-3', 7, 45, 60)) },
  { name: 'Half, half, letter', scheme: scheme({ ...BLOCK, style: 'cross' }, turns('2-2-3', 8, 30, 60)) },
  {
    name: 'Spread brioche, letters in pairs',
    scheme: scheme({ way: 'block', style: 'two-thirds', blockMm: 4 }, turns('3+3-3+3', 8, 60), {
      kind: 'tender',
    }),
  },
  {
    name: 'Grated frozen butter, four additions',
    scheme: scheme({ way: 'grated', additions: 4 }, turns('3-3-3-3', 8, 30, 60), { kind: 'tender' }),
  },
  {
    name: 'Stacked discs',
    scheme: scheme({ way: 'discs', discs: 8 }, [], { kind: 'discs', lockInMinutes: 18 }),
  },
  {
    name: 'Soft block with flour, book and letter',
    scheme: scheme({ ...BLOCK, blockMm: 12 }, turns('4-3', 8, 60), { flourInFat: 0.1 }),
  },
];
