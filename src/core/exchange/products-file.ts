import type { StageKind } from '../formula/formula';
import type { Scheme } from '../lamination/scheme';
import type { ProductDraft } from '../process/product-draft';
import type { BranchKind, RouteStep } from '../process/route';
import { AT_ONCE, type Gap, type Thread } from '../process/threads';
import { type FilePiece, fileOfPiece, pieceOfFile } from './file-piece';

export const PRODUCTS_FORMAT = 'hefeteig-products/2';

/** A thread in a file: where no gap is named, steps follow at once. */
export interface FileThread {
  branch?: BranchKind;
  /** The step that it joins; the main thread, which comes first, joins none. */
  joins?: string;
  gap?: Gap;
  steps: (Omit<RouteStep, 'branch'> & { gap?: Gap })[];
}

/** A product in a file; formula and scheme by their names there. */
export interface FileProduct extends Pick<
  ProductDraft,
  'name' | 'doughName' | 'freshFor' | 'lateness' | 'rises'
> {
  /** In a line, what way of working it shows. */
  about?: string;
  formula: string;
  scheme: string | null;
  piece: FilePiece;
  dough: FileThread[];
  output: FileThread[];
  fork?: Gap;
}

/** Products with all that they are made by, as one file. */
export interface ProductsFile {
  format: typeof PRODUCTS_FORMAT;
  /** Ingredients by their names. */
  formulas: {
    name: string;
    doughCelsius: number | null;
    stages: { kind: StageKind; lines: { ingredient: string; percent: number; note?: string }[] }[];
  }[];
  schemes: { name: string; scheme: Scheme }[];
  products: FileProduct[];
}

const isAtOnce = ({ min, max }: Gap) => min === AT_ONCE.min && max === AT_ONCE.max;
const named = (gap: Gap): { gap?: Gap } => (isAtOnce(gap) ? {} : { gap });

const threadOf = ({ branch, joins, gap = AT_ONCE, steps }: FileThread): Thread => ({
  ...(branch === undefined ? {} : { branch }),
  joins: joins === undefined ? null : { step: joins, gap },
  steps: steps.map(({ gap: before = AT_ONCE, ...step }) => ({ step, gap: before })),
});

const fileThread = ({ branch, joins, steps }: Thread): FileThread => ({
  ...(branch === undefined ? {} : { branch }),
  ...(joins === null ? {} : { joins: joins.step, ...named(joins.gap) }),
  steps: steps.map(({ step, gap }) => {
    const own = { ...step };
    delete own.branch;
    return { ...own, ...named(gap) };
  }),
});

/** A product of a file as a draft, by the numbers that its formula and scheme have in the house. */
export function draftOfFile(
  { name, doughName, piece, freshFor, lateness, rises, dough, output, fork = AT_ONCE }: FileProduct,
  by: Pick<ProductDraft, 'formulaId' | 'schemeId'>,
  formulaOf: (name: string) => number | undefined,
): ProductDraft {
  return {
    ...{ name, doughName, piece: pieceOfFile(piece, formulaOf), freshFor, rises, fork },
    ...(lateness === undefined ? {} : { lateness }),
    ...by,
    ...{ dough: dough.map(threadOf), output: output.map(threadOf) },
  };
}

/** A draft as a product of a file. */
export function fileOfDraft(
  draft: ProductDraft,
  { formula, scheme }: Pick<FileProduct, 'formula' | 'scheme'>,
  formulaName: (id: number) => string | undefined,
): FileProduct {
  const { name, doughName, piece, freshFor, lateness, rises, dough, output, fork } = draft;
  return {
    ...(lateness === undefined ? {} : { lateness }),
    ...{ name, doughName, formula, scheme, piece: fileOfPiece(piece, formulaName) },
    ...{ freshFor, rises, dough: dough.map(fileThread), output: output.map(fileThread) },
    ...(isAtOnce(fork) ? {} : { fork }),
  };
}
