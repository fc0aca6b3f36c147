import { fromFreezer, toFreezer } from './freezer-routes';
import { fromKept, toKept } from './kept-dough';
import type { OutputWay } from './output-way';
import type { ProductSpec } from './route';

/**
 * A product as it is made on the way of an output: its own route as far as the stock that it goes to, or from the stock that it
 * comes from.
 *
 * @example
 * productOn('to-freezer', crescent).route.output.steps.map(({ id }) => id); // ['shape', 'to-freezer', 'bag']
 */
export function productOn<Product extends ProductSpec>(way: OutputWay, product: Product): Product {
  switch (way) {
    case 'fresh':
      return product;
    case 'to-freezer':
      return toFreezer(product);
    case 'from-freezer':
      return fromFreezer(product);
    case 'dough-to-cold':
      return toKept('cold-dough', product);
    case 'dough-to-freezer':
      return toKept('frozen-dough', product);
    case 'dough-from-cold':
      return fromKept('cold-dough', product);
    case 'dough-from-freezer':
      return fromKept('frozen-dough', product);
  }
}
