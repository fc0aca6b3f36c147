import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { recipeMeans } from '@/server/recipe-house';
import { WordsOf } from '@/app/words-of';
import { RecipeView } from '@/ui/recipes/recipe-view';

export const generateMetadata = titled('titles.recipe');

/** A recipe as somebody has it on paper, read into a product. */
export default async function RecipePage() {
  await housePage('/products/recipe');
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'product', 'recipe', 'shaping', 'steps']}>
      <RecipeView {...await recipeMeans(pool())} />
    </WordsOf>
  );
}
