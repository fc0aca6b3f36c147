import type { ProductsPreview } from '@/core/wire/products-preview';
import { readProductsText } from './commands/products/file';
import type { Db } from './db/rows';
import { currentFormulas } from './store/formulas';
import { productCalled } from './store/product-versions';
import { currentSchemes } from './store/schemes';

/** What a file of products would bring; writes nothing. */
export async function previewProducts(db: Db, text: string): Promise<ProductsPreview> {
  const file = readProductsText(text);
  const [formulas, schemes] = await Promise.all([currentFormulas(db), currentSchemes(db)]);
  const own = new Set([...formulas, ...schemes].map(({ name }) => name));
  const parts = [...file.formulas, ...file.schemes].map(({ name }) => name);
  return {
    products: await Promise.all(
      file.products.map(async ({ name, about = '' }) => ({
        ...{ name, about, isHere: (await productCalled(db, name)) !== null },
      })),
    ),
    brings: parts.filter((name) => !own.has(name)),
    keepsOwn: parts.filter((name) => own.has(name)),
  };
}
