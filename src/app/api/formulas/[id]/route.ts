import { wordsHere } from '@/server/reader';
import { writeFormulaCsv } from '@/core/exchange/formula-csv';
import { writeFormulaJson } from '@/core/exchange/formula-json';
import { writeRecipe } from '@/core/exchange/recipe';
import { reading } from '@/server/door';
import { pool } from '@/server/db/pool';
import { formulaVersions, ingredientsAndFormulas } from '@/server/store/formulas';

const FORMS = {
  json: { write: writeFormulaJson, type: 'application/json', ending: 'json' },
  csv: { write: writeFormulaCsv, type: 'text/csv; charset=utf-8', ending: 'csv' },
  recipe: { write: writeRecipe, type: 'application/ld+json', ending: 'jsonld' },
};

/** The newest version of a formula as a file: `?as=json`, `csv` or `recipe`. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return reading('GET /api/formulas', async () => {
    const form = FORMS[(new URL(request.url).searchParams.get('as') ?? 'json') as keyof typeof FORMS];
    const id = Number((await params).id);
    const [newest] = Number.isSafeInteger(id) ? await formulaVersions(pool(), id) : [];
    if (!form || !newest)
      return new Response((await wordsHere())('refusals.noSuchFormulaOrForm'), { status: 404 });
    const text = form.write(newest.name, newest.formula, await ingredientsAndFormulas(pool()));
    const file = `${newest.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${form.ending}`;
    return new Response(text, {
      headers: { 'content-type': form.type, 'content-disposition': `attachment; filename="${file}"` },
    });
  });
}
