import { PRODUCTS_FORMAT } from './products-file';

/** The form of files, and of drafts, in which a piece had one filling, one wash and one topping at most. */
export const FIRST_PRODUCTS_FORMAT = 'hefeteig-products/1';

type Parts = Record<string, unknown>;
const isParts = (value: unknown): value is Parts =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A piece of the first form as it is written now; one of today's form is given back as it is. Whether what is in it makes
 * sense is for whoever reads it then.
 *
 * @example
 * pieceInLists({ grams: 60, wash: { name: 'milk' } }); // { grams: 60, washes: [{ name: 'milk', moment: 'proofed' }] }
 */
export function pieceInLists(piece: unknown): unknown {
  if (!isParts(piece)) return piece;
  const { filling, wash, topping, ...rest } = piece;
  const named = ({ mark, ...part }: Parts) => ({ ...(mark === undefined ? {} : { name: mark }), ...part });
  return {
    ...rest,
    ...(isParts(filling) ? { fillings: [filling] } : {}),
    ...(isParts(wash) ? { washes: [{ ...wash, moment: 'proofed' }] } : {}),
    ...(isParts(topping) ? { toppings: [{ ...named(topping), moment: 'proofed' }] } : {}),
  };
}

/** A file of the first form as it is written now; any other is given back as it is. */
export function inTodaysForm(file: Parts): Parts {
  if (file.format !== FIRST_PRODUCTS_FORMAT) return file;
  const products = Array.isArray(file.products)
    ? file.products.map((one: unknown) => (isParts(one) ? { ...one, piece: pieceInLists(one.piece) } : one))
    : file.products;
  return { ...file, format: PRODUCTS_FORMAT, products };
}
