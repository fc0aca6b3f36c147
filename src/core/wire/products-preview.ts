/** What a file of products would bring to this bakery, before anything is taken from it. */
export interface ProductsPreview {
  /** `isHere`: the bakery has a product of that name, in use or not. */
  products: { name: string; about: string; isHere: boolean }[];
  /** Formulas and ways to laminate that it has none of yet, and those whose own it keeps. */
  brings: string[];
  keepsOwn: string[];
}
