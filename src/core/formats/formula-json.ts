import Ajv, { type ErrorObject } from 'ajv';
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
      lines: lines.map(({ ingredient, percent, approximate, uncounted, note }) => ({
        ...{ ingredient: book.get(ingredient)?.name ?? ingredient, percent },
        ...(approximate ? { approximate } : {}),
        ...(uncounted ? { uncounted } : {}),
        ...(note ? { note } : {}),
      })),
    })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

const validate = new Ajv({ allErrors: true }).compile<FormulaFile>(FORMULA_SCHEMA);

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
  const file: unknown = JSON.parse(text);
  const lineOf = (path: string): number => {
    const steps = path
      .split('/')
      .slice(1)
      .map((step) => (/^\d+$/.test(step) ? Number(step) : step));
    return lineAt(text, findNodeAtLocation(tree, steps)?.offset ?? 0);
  };
  if (!validate(file)) {
    const faults = (validate.errors ?? []).map((error) => ({
      line: lineOf(error.instancePath),
      message: sentence(error),
    }));
    return { ...NO_FORMULA(''), faults: once(faults) };
  }
  const rows = file.stages.flatMap(({ kind, lines }) =>
    lines.map(({ ingredient, percent, approximate, uncounted, note }) => ({
      stage: kind,
      row: { name: ingredient, amount: amountText(percent, approximate, uncounted), note: note ?? '' },
    })),
  );
  const celsius = file.doughCelsius ?? null;
  return { name: file.name, draft: draftOfRows(rows, celsius === null ? '' : String(celsius)), faults: [] };
}

/** What a rule of the schema says to a baker. */
function sentence({ instancePath, keyword, params, message }: ErrorObject): string {
  const where = instancePath.split('/').at(-1) ?? '';
  const what = where === '' ? 'The file' : `“${where}”`;
  const given = params as Record<string, unknown>;
  if (keyword === 'required') return `“${String(given.missingProperty)}” is missing.`;
  if (keyword === 'additionalProperties') return `“${String(given.additionalProperty)}” is not known here.`;
  if (keyword === 'const') return `${what} must be ${FORMULA_FORMAT}.`;
  if (keyword === 'enum') return `${what} must be one of ${(given.allowedValues as string[]).join(', ')}.`;
  if (keyword === 'type') return `${what} must be a ${[given.type].flat().join(' or ')}.`;
  return `${what} ${message ?? 'is not right'}.`;
}

const once = (faults: LineFault[]) =>
  faults
    .filter(
      (fault, i) =>
        faults.findIndex(({ line, message }) => line === fault.line && message === fault.message) === i,
    )
    .sort((a, b) => a.line - b.line);

const lineAt = (text: string, offset: number) => text.slice(0, offset).split('\n').length;

const spaced = (code: string) => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
