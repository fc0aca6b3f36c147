import path from 'node:path';
import ts from 'typescript';
import { en } from '@/words/en';

/** What a reader would read: a word, not a unit, a code with a dash, a key or a name of a program. */
const isText = (text: string): boolean => /\p{L}{3}/u.test(text) && !/[-./_#(]|\p{Ll}\p{Lu}/u.test(text);

/** Attributes that are read out, or shown. */
const READ = new Set(['aria-label', 'aria-description', 'title', 'alt', 'placeholder', 'label', 'hint']);
/** Properties by which parts of a screen are handed what they show. */
const SHOWN = new Set(['name', 'label', 'title', 'hint', 'unit', 'heading']);
/** Properties that name a choice or a file to the program. */
const CODES = new Set(['id', 'as']);

const isTest = (name: string): boolean => /\.test\.tsx?$/.test(name);

const messages = new Map(
  Object.entries(en).flatMap(([area, own]) =>
    Object.entries(own).map(([name, text]): [string, string] => [`${area}.${name}`, text]),
  ),
);

/**
 * Texts of the screens that come from nowhere in the words: written in a page, or a code that is shown as it is. Found by
 * the types of what is shown, so that a code in a variable is found as well.
 */
export function unsaidTexts(): string[] {
  const config = ts.getParsedCommandLineOfConfigFile(
    'tsconfig.json',
    {},
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: () => undefined,
    },
  );
  if (!config) throw new Error('There is no tsconfig.json.');
  // What the screens import comes with them: no test is read.
  const screens = config.fileNames.filter((name) => /\/src\/(ui|app)\//.test(name) && !isTest(name));
  const program = ts.createProgram(screens, config.options);
  const checker = program.getTypeChecker();
  const found: string[] = [];

  const hasText = (type: ts.Type): boolean =>
    type.isUnion() ? type.types.some(hasText) : type.isStringLiteral() && isText(type.value);
  const typeHasText = (node: ts.Node) => hasText(checker.getTypeAtLocation(node));
  const isPlainString = (node: ts.Expression): boolean => {
    const wanted = checker.getContextualType(node);
    return wanted === undefined || (wanted.flags & ts.TypeFlags.String) !== 0;
  };
  const textOf = (node: ts.Node): string | null =>
    ts.isStringLiteralLike(node) && isText(node.text) ? node.text : null;

  /** Whether a message makes words of a value's codes itself. */
  const choosesBy = (key: string, name: string) =>
    new RegExp(`\\{${name}, (select|plural),`).test(messages.get(key) ?? '');

  const look = (node: ts.Node, tell: (what: string) => void): void => {
    if (ts.isJsxText(node) && isText(node.text)) tell(node.text.trim());
    if (
      ts.isJsxExpression(node) &&
      node.expression &&
      !ts.isJsxAttribute(node.parent) &&
      typeHasText(node.expression)
    )
      tell(node.expression.getText());
    if (ts.isJsxAttribute(node) && READ.has(node.name.getText()) && node.initializer) {
      const value = ts.isJsxExpression(node.initializer) ? node.initializer.expression : node.initializer;
      if (value && typeHasText(value)) tell(node.getText());
    }
    if (ts.isObjectLiteralExpression(node)) lookAtObject(node, tell);
    if (ts.isCallExpression(node) && /^say(\.rich)?$/.test(node.expression.getText()))
      lookAtValues(node, tell);
    if (ts.isArrayLiteralExpression(node)) lookAtList(node, tell);
    if (ts.isCallExpression(node) && isJoinOfCodes(node)) tell(node.getText());
  };

  /** Rows of names and codes that belong together, `as const`: who takes them apart says them. */
  const isConstant = (node: ts.Node): boolean =>
    (ts.isAsExpression(node) && node.type.getText() === 'const') ||
    (ts.isArrayLiteralExpression(node.parent) || ts.isAsExpression(node.parent)
      ? isConstant(node.parent)
      : false);

  /** A list of what is said is read as it is: a text or a code in it is one more thing to say. */
  const lookAtList = (node: ts.ArrayLiteralExpression, tell: (what: string) => void): void => {
    if (isConstant(node) || !node.elements.some((element) => /^say[(.]/.test(element.getText()))) return;
    for (const element of node.elements) if (typeHasText(element)) tell(element.getText());
  };

  /** Codes put in a row for somebody to read: `allergens.join(', ')`. */
  const isJoinOfCodes = ({ expression, arguments: [by] }: ts.CallExpression): boolean => {
    if (!ts.isPropertyAccessExpression(expression) || expression.name.text !== 'join') return false;
    if (!by || !ts.isStringLiteralLike(by) || !/^(, | · | )$/.test(by.text)) return false;
    const listed = checker.getIndexTypeOfType(
      checker.getTypeAtLocation(expression.expression),
      ts.IndexKind.Number,
    );
    return listed !== undefined && hasText(listed);
  };

  const lookAtObject = (node: ts.ObjectLiteralExpression, tell: (what: string) => void): void => {
    const own = node.properties.filter((property) => ts.isPropertyAssignment(property));
    const isSaid = own.some(({ initializer }) => /^say[(.]/.test(initializer.getText()));
    for (const { name, initializer } of own) {
      if (textOf(initializer) === null || CODES.has(name.getText()) || !isPlainString(initializer)) continue;
      // Beside what is said, a text is one more thing to say.
      if (SHOWN.has(name.getText()) || isSaid) tell(`${name.getText()}: ${initializer.getText()}`);
    }
  };

  const lookAtValues = (node: ts.CallExpression, tell: (what: string) => void): void => {
    const [message, values] = node.arguments;
    if (!message || !values || !ts.isStringLiteralLike(message) || !ts.isObjectLiteralExpression(values))
      return;
    for (const property of values.properties) {
      const value = ts.isPropertyAssignment(property)
        ? property.initializer
        : ts.isShorthandPropertyAssignment(property)
          ? property.name
          : null;
      const name = property.name?.getText() ?? '';
      if (value && typeHasText(value) && !choosesBy(message.text, name))
        tell(`${message.text}: ${property.getText()}`);
    }
  };

  for (const file of program.getSourceFiles()) {
    const name = path.relative(process.cwd(), file.fileName);
    if (!/^src\/(ui|app)\//.test(name) || isTest(name)) continue;
    const visit = (node: ts.Node): void => {
      look(node, (what) => {
        const { line } = file.getLineAndCharacterOfPosition(node.getStart());
        found.push(`${name}:${line + 1} ${what.slice(0, 80)}`);
      });
      ts.forEachChild(node, visit);
    };
    visit(file);
  }
  return found;
}
