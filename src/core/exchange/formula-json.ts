import { coded, type Code, type Coded } from '../codes/coded';
import { Validator, type OutputUnit } from '@cfworker/json-schema';
import type { Formula, StageKind } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import { FORMULA_FORMAT, FORMULA_SCHEMA } from './formula-schema';
import { jsonLines } from './json-lines';
import { amountText, draftOfRows, NO_FORMULA, type LineFault, type ReadFormula } from './read';

interface FormulaFile {
  format: typeof FORMULA_FORMAT;
  name: string;
  doughCelsius?: number | null;
  stages: {
    kind: StageKind;
    lines: {
      ingredient: string;
      percent: number;
      upTo?: number;
      approximate?: boolean;
      uncounted?: boolean;
      note?: string;
    }[];
  }[];
}

/** A formula as a file, ingredients by name. */
export function writeFormulaJson(name: string, formula: Formula, book: IngredientBook): string {
  const file: FormulaFile = {
    ...{ format: FORMULA_FORMAT, name, doughCelsius: formula.doughCelsius },
    stages: formula.stages.map(({ kind, lines }) => ({
      kind,
      lines: lines.map(({ ingredient, percent, upTo, approximate, uncounted, note }) => ({
        ...{ ingredient: book.get(ingredient)?.name ?? ingredient, percent },
        ...(upTo === undefined ? {} : { upTo }),
        ...(approximate ? { approximate } : {}),
        ...(uncounted ? { uncounted } : {}),
        ...(note ? { note } : {}),
      })),
    })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

// One that writes no code of its own: the pages' security policy lets none run.
const validator = new Validator(FORMULA_SCHEMA, '7', false);

/** Reads a formula file; every fault with its line. */
export function readFormulaJson(text: string): ReadFormula {
  const { tree, broken, lineOf: lineOfPart } = jsonLines(text);
  if (broken) return NO_FORMULA(coded('files.noJsonBecause', { why: broken.why }), broken.line);
  if (!tree) return NO_FORMULA(coded('files.nothingInIt'));
  const given: unknown = JSON.parse(text);
  const lineOf = (path: string): number => {
    const steps = path
      .split('/')
      .slice(1)
      .map((step) => (/^\d+$/.test(step) ? Number(step) : step));
    return lineOfPart(steps);
  };
  const { valid, errors: broke } = validator.validate(given);
  if (!valid) {
    const faults = broke.flatMap((error) => {
      const message = brokenRule(error);
      return message === null ? [] : [{ line: lineOf(error.instanceLocation), message }];
    });
    return { ...NO_FORMULA(coded('files.nothingInIt')), faults: once(faults) };
  }
  const file = given as FormulaFile;
  const rows = file.stages.flatMap(({ kind, lines }) =>
    lines.map((line) => ({
      stage: kind,
      row: { name: line.ingredient, amount: amountText(line), note: line.note ?? '' },
    })),
  );
  const celsius = file.doughCelsius ?? null;
  return { name: file.name, draft: draftOfRows(rows, celsius === null ? '' : String(celsius)), faults: [] };
}

/** What a broken rule of the schema means to a baker; null where the rule is only that of a part below is broken. */
function brokenRule({ instanceLocation, keyword, keywordLocation, error }: OutputUnit): Coded | null {
  const where = instanceLocation.split('/').slice(1).at(-1) ?? '';
  const what = where === '' ? coded('files.theFile') : `“${where}”`;
  const rule = ruleAt(keywordLocation);
  const [, named = ''] = /"([^"]+)"/.exec(error) ?? [];
  if (keyword === 'properties' || keyword === 'items' || keyword === 'false') return null;
  if (keyword === 'required') return coded('files.isMissing', { named });
  if (keyword === 'additionalProperties') {
    const known = ruleAt(keywordLocation.replace(/additionalProperties$/, 'properties')) as object;
    return named in known ? null : coded('files.isNotKnownHere', { named });
  }
  if (keyword === 'const') return coded('files.mustBe', { what, rule: FORMULA_FORMAT });
  if (keyword === 'enum') return coded('files.mustBeOneOf', { what, rule: rule as string[] });
  if (keyword === 'type') return coded('files.mustBeA', { what, rule: { oneOf: [rule].flat() as string[] } });
  const limit = LIMITS[keyword];
  return limit ? coded(limit, { what, rule: String(rule) }) : coded('files.isNotRight', { what });
}

/** What a limit of the schema asks for. */
const LIMITS: Record<string, Code> = {
  minimum: 'files.mustBeOrMore',
  exclusiveMinimum: 'files.mustBeMoreThan',
  maximum: 'files.mustBeOrLess',
  minLength: 'files.mustHaveCharactersOrMore',
  maxLength: 'files.mustHaveCharactersOrFewer',
  minItems: 'files.mustHaveOrMoreInIt',
  maxItems: 'files.mustHaveOrFewerInIt',
};

/** The part of the schema that a location names: `#/properties/name/minLength`. */
const ruleAt = (location: string): unknown =>
  location
    .split('/')
    .slice(1)
    .reduce<unknown>((part, step) => (part as Record<string, unknown> | undefined)?.[step], FORMULA_SCHEMA);

const once = (faults: LineFault[]) =>
  faults
    .filter(
      (fault, i) =>
        faults.findIndex(({ line, message }) => line === fault.line && message === fault.message) === i,
    )
    .sort((a, b) => a.line - b.line);
