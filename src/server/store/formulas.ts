import type { FormulaRanges } from '@/core/formula/advice';
import { doughPercent, type Formula, rollInPercent } from '@/core/formula/formula';
import type { IngredientBook } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import { json } from '../db/json';
import { houseSettings } from './house';
import { ingredients } from './ingredients';
import { type Db, rowsOf } from '../db/rows';

/** One version of a formula. */
export interface FormulaVersion {
  id: number;
  formulaId: number;
  name: string;
  version: number;
  note: string;
  by: string | null;
  at: number;
  formula: Formula;
}

interface Row extends Omit<FormulaVersion, 'at' | 'formula'> {
  at: Date;
  body: unknown;
}

const COLUMNS = `SELECT v.id, f.id AS formulaId, f.name, v.version, v.note, p.name AS \`by\`, v.created_at AS at, v.body
  FROM formula_version v JOIN formula f ON f.id = v.formula_id LEFT JOIN person p ON p.id = v.made_by`;

const version = ({ body, at, ...row }: Row): FormulaVersion => ({
  ...row,
  at: at.getTime(),
  formula: readFormula(json(body)),
});

/** Formulas as the first release kept them: one list of lines, roll-in as percent of the dough. */
interface FirstForm {
  lines: { ingredient: string; percent: number }[];
  doughCelsius: number;
  rollInPercent: number;
}

function readFormula(body: Formula | FirstForm): Formula {
  if ('stages' in body) return body;
  const id = (name: string) => (name === 'levain flour' ? 'wheat-flour' : name.replace(/ /g, '-'));
  const lines = body.lines.map(({ ingredient, percent }) => ({ ingredient: id(ingredient), percent }));
  const dough = lines.reduce((sum, { percent }) => sum + percent, 0);
  const rollIn = [{ ingredient: 'butter', percent: (dough * body.rollInPercent) / 100 }];
  return {
    doughCelsius: body.doughCelsius,
    stages: [
      { kind: 'dough', lines },
      ...(body.rollInPercent > 0 ? [{ kind: 'roll-in' as const, lines: rollIn }] : []),
    ],
  };
}

/** The newest version of every formula, by name. */
export async function currentFormulas(db: Db): Promise<FormulaVersion[]> {
  const rows = await rowsOf<Row>(
    db,
    `${COLUMNS} WHERE v.version = (SELECT MAX(version) FROM formula_version WHERE formula_id = f.id) ORDER BY f.name`,
  );
  return rows.map(version);
}

/** Every version of one formula, the newest first. */
export async function formulaVersions(db: Db, formulaId: number): Promise<FormulaVersion[]> {
  const rows = await rowsOf<Row>(db, `${COLUMNS} WHERE f.id = ? ORDER BY v.version DESC`, [formulaId]);
  return rows.map(version);
}

/** One version, or null. */
export async function formulaVersion(db: Db, id: number): Promise<FormulaVersion | null> {
  const [row] = await rowsOf<Row>(db, `${COLUMNS} WHERE v.id = ?`, [id]);
  return row ? version(row) : null;
}

/** The formula version that a dough is mixed by. */
export async function formulaOfDough(db: Db, doughId: number): Promise<FormulaVersion | null> {
  const [row] = await rowsOf<{ id: number }>(
    db,
    `SELECT v.formula_version_id AS id FROM dough_output o JOIN product_version v ON v.id = o.product_version_id
     WHERE o.dough_id = ? ORDER BY o.id LIMIT 1`,
    [doughId],
  );
  return row ? formulaVersion(db, row.id) : null;
}

/** Formulas of these versions, by version id. */
export async function formulaBodies(db: Db, ids: readonly number[]): Promise<Map<number, Formula>> {
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<{ id: number; body: unknown }>(
    db,
    'SELECT id, body FROM formula_version WHERE id IN (?)',
    [ids],
  );
  return new Map(rows.map(({ id, body }) => [id, readFormula(json(body))]));
}

/** Which products are made by each formula at present. */
export async function productsByFormula(db: Db): Promise<Map<number, string[]>> {
  const rows = await rowsOf<{ formulaId: number; name: string }>(
    db,
    `SELECT fv.formula_id AS formulaId, p.name FROM product p JOIN product_version v ON v.product_id = p.id
     JOIN formula_version fv ON fv.id = v.formula_version_id
     WHERE v.version = (SELECT MAX(version) FROM product_version WHERE product_id = p.id) AND p.removed_at IS NULL
     ORDER BY p.name`,
  );
  const byFormula = new Map<number, string[]>();
  for (const { formulaId, name } of rows)
    byFormula.set(formulaId, [...(byFormula.get(formulaId) ?? []), name]);
  return byFormula;
}

/** The house's ingredients with its own formulas among them. */
export async function ingredientsAndFormulas(db: Db): Promise<IngredientBook> {
  const formulas: NamedFormula[] = (await currentFormulas(db)).map(({ formulaId, name, formula }) => {
    return { id: formulaId, name, formula };
  });
  return bookWithFormulas(await ingredients(db), formulas);
}

/** Share of a laminated dough that comes out of the mixer. */
export function mixedShare(formula: Formula): number {
  const dough = doughPercent(formula);
  const whole = dough + rollInPercent(formula);
  return whole > 0 ? dough / whole : 1;
}

/** What has a usual range. */
type Ranged = 'salt' | 'sugar' | 'yeast' | 'hydration' | 'rollIn' | 'rich';

/** What this house calls usual. */
export async function formulaRanges(db: Db): Promise<FormulaRanges> {
  const settings = await houseSettings(db);
  const range = (of: Ranged): [number, number] => [settings[`${of}Low`], settings[`${of}High`]];
  return {
    ...{ salt: range('salt'), sugar: range('sugar'), yeast: range('yeast'), hydration: range('hydration') },
    ...{ rollIn: range('rollIn'), osmotolerantFrom: settings.osmotolerantFrom, richFat: range('rich') },
  };
}
