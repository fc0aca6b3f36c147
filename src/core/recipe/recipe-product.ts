import { coded, type Words } from '../codes/coded';
import { Fault } from '../codes/fault';
import type { PieceSize } from '../cutting/piece';
import { pieceArea } from '../cutting/piece';
import { fileOfDraft, PRODUCTS_FORMAT, type ProductsFile } from '../exchange/products-file';
import { STAGE_KINDS } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import { laminatedDensity } from '../lamination/stack';
import { schemeName, type Scheme, type Turn } from '../lamination/scheme';
import type { PieceSpec, Rise, RisePhase } from '../process/route';
import type { ShapeKind } from '../shaping/shapes';
import type { Range, RecipeAmount, RecipePieces, RecipeReading, RecipeTin } from './reading';
import { type Assumed, recipeThreads } from './recipe-steps';

/** A recipe as a product of the house, in the form in which products come from files. */
export interface RecipeProduct {
  file: ProductsFile;
  /** What the house adds, since the text does not say it. */
  assumed: Assumed[];
}

/** Usual sizes, where a text names a shape and no size: cm, and mm of the sheet. */
const USUAL_SIZES: Partial<Record<PieceSize['shape'], PieceSize>> = {
  triangle: { shape: 'triangle', base: 9.5, height: 26 },
  rectangle: { shape: 'rectangle', base: 8, height: 15 },
  square: { shape: 'square', base: 10, height: 10 },
  slice: { shape: 'slice', base: 2.7, height: 30 },
};
const SHAPE_OF: Partial<Record<PieceSize['shape'], ShapeKind>> = {
  ...{ triangle: 'crescent', rectangle: 'roll', square: 'pocket', slice: 'snail' },
};
const USUAL_MM = 4;
/** Share of a sheet that is lost at its ends, and of a divided dough. */
const SCRAP = { cut: 0.05, divided: 0.02 };
const TURN_MM = 7;
const TURN_MINUTES = { half: 7, letter: 8, book: 10 } as const;
const FRESH_FOR = 240;

/**
 * Makes a product of a recipe: its formula in baker's percent, its way to laminate, its piece and its route.
 *
 * @param name - what the product is to be called
 * @param say - names steps in the language of the house
 * @throws {Fault} where it has no flour, no weighed ingredient, or no number of pieces
 */
export function recipeProduct(
  reading: RecipeReading,
  { name, book, say }: { name: string; book: IngredientBook; say: (words: Words) => string },
): RecipeProduct {
  const weighed = reading.amounts.filter(({ ingredient, grams }) => ingredient !== null && grams !== null);
  const isFlour = ({ ingredient }: RecipeAmount) => book.get(ingredient ?? '')?.kind === 'flour';
  const flour = sumOf(
    weighed.filter((one) => isFlour(one) && one.stage !== 'filling' && one.stage !== 'finish'),
  );
  if (flour <= 0) throw new Fault(coded('recipe.noFlour'));
  if (!reading.pieces.count && reading.tins.length === 0) throw new Fault(coded('recipe.noCount'));
  const { dough, output, assumed } = recipeThreads(reading, say);
  const scheme = schemeOf(reading);
  const { piece, isAssumed } = pieceOf(reading, weighed);
  const file: ProductsFile = {
    format: PRODUCTS_FORMAT,
    formulas: [{ name, doughCelsius: reading.doughCelsius, stages: stagesOf(weighed, { book, flour }) }],
    schemes: scheme
      ? [{ name: say(coded('recipe.schemeOf', { name, scheme: schemeName(scheme) })), scheme }]
      : [],
    products: [],
  };
  const draft = {
    ...{ name, doughName: name.slice(0, 60), formulaId: null, schemeId: null, freshFor: FRESH_FOR, piece },
    ...{ dough, output, fork: { min: 0, max: 30 }, rises: risesOf(reading) },
  };
  const by = { formula: name, scheme: file.schemes[0]?.name ?? null };
  return {
    file: { ...file, products: [fileOfDraft(draft, by, () => undefined)] },
    assumed: [...assumed, ...(isAssumed ? ['shape' as const] : [])],
  };
}

const low = (range: Range | null) => range?.[0] ?? 0;
const sumOf = (amounts: readonly RecipeAmount[]) => amounts.reduce((sum, { grams }) => sum + low(grams), 0);

/** Stages in their usual order, each ingredient in percent of all the flour. */
function stagesOf(
  amounts: readonly RecipeAmount[],
  { book, flour }: { book: IngredientBook; flour: number },
) {
  return STAGE_KINDS.flatMap((kind) => {
    const lines = amounts
      .filter(({ stage }) => stage === kind)
      .map(({ ingredient, grams }) => ({
        ingredient: book.get(ingredient ?? '')?.name ?? '',
        percent: Number(((100 * low(grams)) / flour).toFixed(4)),
      }));
    return lines.length > 0 ? [{ kind, lines }] : [];
  });
}

/** The way it is laminated: its turns with the rests behind them; null for a dough that is not. */
function schemeOf({ steps, turns, lockIn, amounts }: RecipeReading): Scheme | null {
  if (turns.length === 0 || turns.length > 12) return null;
  const own = steps.flatMap(({ kind, fold }, at): Turn[] => {
    const next = steps[at + 1];
    const rest = next?.kind === 'rest' ? Math.round(low(next.minutes ?? null)) : 0;
    return kind === 'turn' && fold ? [{ fold, mm: TURN_MM, minutes: TURN_MINUTES[fold], rest }] : [];
  });
  const isBlock = lockIn !== null || steps.some(({ kind }) => kind === 'lock-in');
  const fat = amounts.find(({ stage }) => stage === 'roll-in')?.text ?? '';
  const way = /grat|gerieben|râp/iu.test(fat) ? ('grated' as const) : ('spread' as const);
  return {
    ...{
      kind: isBlock ? ('honeycomb' as const) : ('tender' as const),
      flourInFat: 0,
      lockInMinutes: 8,
      perKg: 0.25,
    },
    beginning: isBlock
      ? { way: 'block', style: lockIn ?? 'envelope', blockMm: 10 }
      : { way, additions: Math.min(own.length, 2) },
    turns: own,
  };
}

/** One piece: its weight from all that goes into the pieces, its size as it is given or usual. */
function pieceOf(
  { pieces, sheetMm, turns, tins }: RecipeReading,
  amounts: readonly RecipeAmount[],
): { piece: PieceSpec; isAssumed: boolean } {
  const inPieces = amounts.filter(({ stage }) => stage !== 'filling' && stage !== 'finish');
  const all = sumOf(inPieces);
  const { count, perTin, isOneATin } = inTins(pieces, tins);
  const { shape } = pieces;
  const usual = shape === undefined ? undefined : USUAL_SIZES[shape];
  const scrap = usual ? SCRAP.cut : SCRAP.divided;
  const grams = Math.max(1, Math.round(pieces.grams ?? (all * (1 - scrap)) / count));
  const perTray = perTin ?? Math.max(4, Math.min(40, Math.round(900 / grams)));
  const common = { grams, perTray, scrap, ...(isOneATin ? { tins: 1 } : {}) };
  if (!usual) {
    return {
      piece: { ...common, tolerance: Math.max(1, Math.round(grams * 0.03)), shape: 'bun' },
      isAssumed: true,
    };
  }
  const [base, height] = pieces.size ?? [usual.base, usual.height];
  const fat = sumOf(inPieces.filter(({ stage }) => stage === 'roll-in'));
  const density = turns.length > 0 && fat > 0 ? laminatedDensity(fat, all - fat) : laminatedDensity(0, all);
  const size = { ...usual, base, height };
  // The weight is known: of thickness and size, what the text leaves open gives way.
  const mm = pieces.size || sheetMm === null ? (grams * 10) / (pieceArea(size) * density) : sheetMm;
  const stretch = pieces.size ? 1 : Math.sqrt((grams * 10) / (pieceArea(size) * mm * density));
  const cut = {
    mm: Number(Math.min(60, Math.max(0.5, mm || USUAL_MM)).toFixed(1)),
    size: { ...size, base: rounded(base * stretch), height: rounded(height * stretch) },
  };
  const made = SHAPE_OF[size.shape];
  return { piece: { ...common, cut, ...(made ? { shape: made } : {}) }, isAssumed: !pieces.size };
}

/** How many pieces there are, and how many of them stand in one tin: a loaf alone, rolls in the holes or the pan together. */
function inTins(
  { count }: RecipePieces,
  tins: readonly RecipeTin[],
): { count: number; perTin: number | null; isOneATin: boolean } {
  const [tin] = tins;
  if (!tin) return { count: count ?? 1, perTin: null, isOneATin: false };
  const places = tin.count * (tin.holes ?? 1);
  if (tin.kind === 'holes') return { count: count ?? places, perTin: tin.holes ?? null, isOneATin: false };
  const isOneATin = (count ?? places) <= places;
  return { count: count ?? places, perTin: isOneATin ? null : Math.ceil((count ?? 1) / places), isOneATin };
}

const rounded = (cm: number) => Number(cm.toFixed(1));

/** When each rise is ready: as long and as warm as the text has it. */
function risesOf({ steps, amounts }: RecipeReading): Partial<Record<RisePhase, Rise>> {
  const isLevain = amounts.some(({ stage }) => stage === 'levain' || stage === 'stiff levain');
  const own = (phase: RisePhase, usual: { minutes: number; celsius: number }): Rise => {
    const step = steps.find((one) => one.kind === phase && one.minutes);
    const [a, b] = step?.minutes ?? [usual.minutes, usual.minutes];
    const [c, d] = step?.celsius ?? [usual.celsius, usual.celsius];
    return {
      yeast: isLevain && phase !== 'sponge' ? 'levain' : 'bakers',
      ...{ minutes: Math.round((a + b) / 2), celsius: (c + d) / 2, early: 0.75, late: 1.3 },
    };
  };
  const has = (phase: RisePhase) => steps.some(({ kind }) => kind === phase);
  return {
    ...(has('levain') ? { levain: own('levain', { minutes: 600, celsius: 24 }) } : {}),
    ...(has('sponge') ? { sponge: own('sponge', { minutes: 30, celsius: 24 }) } : {}),
    bulk: own('bulk', { minutes: 60, celsius: 24 }),
    proof: own('proof', { minutes: 110, celsius: 26 }),
  };
}
