import { Validator, type OutputUnit } from '@cfworker/json-schema';
import { findNodeAtLocation, parseTree, printParseErrorCode, type ParseError } from 'jsonc-parser';
import type { Formula, StageKind } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import { FORMULA_FORMAT, FORMULA_SCHEMA } from './formula-schema';
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
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors);
  const [broken] = errors;
  if (broken || !tree) {
    const line = lineAt(text, broken?.offset ?? 0);
    const what = broken ? printParseErrorCode(broken.error) : 'nothing in it';
    return NO_FORMULA(`This is no JSON: ${spaced(what)}.`, line);
  }
  const given: unknown = JSON.parse(text);
  const lineOf = (path: string): number => {
    const steps = path
      .split('/')
      .slice(1)
      .map((step) => (/^\d+$/.test(step) ? Number(step) : step));
    return lineAt(text, findNodeAtLocation(tree, steps)?.offset ?? 0);
  };
  const { valid, errors: broke } = validator.validate(given);
  if (!valid) {
    const faults = broke.flatMap((error) => {
      const message = sentence(error);
      return message === null ? [] : [{ line: lineOf(error.instanceLocation), message }];
    });
    return { ...NO_FORMULA(''), faults: once(faults) };
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

/** What a broken rule of the schema says to a baker; null where the rule is only that of a part below is broken. */
function sentence({ instanceLocation, keyword, keywordLocation, error }: OutputUnit): string | null {
  const where = instanceLocation.split('/').slice(1).at(-1) ?? '';
  const what = where === '' ? 'The file' : `“${where}”`;
  const rule = ruleAt(keywordLocation);
  const [, named = ''] = /"([^"]+)"/.exec(error) ?? [];
  if (keyword === 'properties' || keyword === 'items' || keyword === 'false') return null;
  if (keyword === 'required') return `“${named}” is missing.`;
  if (keyword === 'additionalProperties') {
    const known = ruleAt(keywordLocation.replace(/additionalProperties$/, 'properties')) as object;
    return named in known ? null : `“${named}” is not known here.`;
  }
  if (keyword === 'const') return `${what} must be ${FORMULA_FORMAT}.`;
  if (keyword === 'enum') return `${what} must be one of ${(rule as string[]).join(', ')}.`;
  if (keyword === 'type') return `${what} must be a ${[rule].flat().join(' or ')}.`;
  return `${what} ${LIMITS[keyword]?.(String(rule)) ?? 'is not right'}.`;
}

/** What a limit of the schema asks for. */
const LIMITS: Record<string, (rule: string) => string> = {
  minimum: (rule) => `must be ${rule} or more`,
  exclusiveMinimum: (rule) => `must be more than ${rule}`,
  maximum: (rule) => `must be ${rule} or less`,
  minLength: (rule) => `must have ${rule} characters or more`,
  maxLength: (rule) => `must have ${rule} characters or fewer`,
  minItems: (rule) => `must have ${rule} or more in it`,
  maxItems: (rule) => `must have ${rule} or fewer in it`,
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

const lineAt = (text: string, offset: number) => text.slice(0, offset).split('\n').length;

const spaced = (code: string) => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
