import { readFileSync } from 'node:fs';
import compile from 'icu-minify/compile';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { filesUnder } from '../../test-support/areas-of';
import { en } from './en';

const MESSAGES: ReadonlyMap<string, string> = new Map(
  Object.entries(en).flatMap(([area, own]) =>
    Object.entries(own).map(([name, text]): [string, string] => [`${area}.${name}`, text]),
  ),
);

/**
 * Names that a message asks values for, however deep. Compiled, it is a list of texts and parts: `[name]`, a choice
 * `[name, kind, { option: list }]`, or a tag `[name, ...list]`.
 */
function askedFor(list: unknown): string[] {
  if (!Array.isArray(list)) return [];
  return list.flatMap((part: unknown): string[] => {
    if (!Array.isArray(part)) return [];
    const [name, kind, options] = part as [string, unknown, object | undefined];
    const deeper =
      typeof kind === 'number' ? Object.values(options ?? {}).flatMap(askedFor) : askedFor(part.slice(1));
    return [name, ...deeper];
  });
}

/** Names that an object literal gives; null where one of its parts is worked out elsewhere. */
function givenBy(node: ts.Expression | undefined): string[] | null {
  if (node === undefined) return [];
  if (!ts.isObjectLiteralExpression(node)) return null;
  const names: string[] = [];
  for (const part of node.properties) {
    const own = ts.isSpreadAssignment(part) ? givenBy(part.expression) : [part.name.getText()];
    if (own === null) return null;
    names.push(...own);
  }
  return names;
}

interface Call {
  where: string;
  key: string;
  given: string[] | null;
}

/** Every place where a message is named with its values. */
function callsIn(file: string): Call[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    ts.ScriptKind.TSX,
  );
  const calls: Call[] = [];
  const visit = (node: ts.Node): void => {
    const [key, values] = ts.isCallExpression(node) ? node.arguments : [];
    if (key && ts.isStringLiteral(key) && MESSAGES.has(key.text)) {
      const { line } = source.getLineAndCharacterOfPosition(key.getStart());
      calls.push({ where: `${file}:${line + 1}`, key: key.text, given: givenBy(values) });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return calls;
}

const calls = ['core', 'ui', 'server', 'app', 'words']
  .flatMap((folder) => filesUnder(`src/${folder}`))
  .flatMap(callsIn);

describe('a message', () => {
  it('is given every value that it asks for, wherever it is named', () => {
    const known = calls.filter((call) => call.given !== null);
    const lacking = known.flatMap(({ where, key, given }) => {
      const lacks = askedFor(compile(MESSAGES.get(key) ?? '')).filter((name) => !given?.includes(name));
      return lacks.length > 0 ? [`${where} ${key}: ${lacks.join(', ')}`] : [];
    });
    expect(lacking).toEqual([]);
    expect(known.length).toBeGreaterThan(1500);
  });

  it('is given nothing that it does not speak of', () => {
    const idle = calls.flatMap(({ where, key, given }) => {
      const asked = askedFor(compile(MESSAGES.get(key) ?? ''));
      return (given ?? []).filter((name) => !asked.includes(name)).map((name) => `${where} ${key}: ${name}`);
    });
    expect(idle).toEqual([]);
  });
});
