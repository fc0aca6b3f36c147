/** A product in use as a list shows it: what it is made of, and how many doughs of it are not due yet. */
export interface ListedProduct {
  productId: number;
  name: string;
  doughName: string;
  formula: string;
  scheme: string | null;
  planned: number;
}
