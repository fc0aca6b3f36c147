import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';

/** Where the parts of a JSON text stand; lines are counted from 1. */
export interface JsonLines {
  tree: Node | undefined;
  /** The first place where it is no JSON, and what is wrong there; null where it is sound. */
  broken: { line: number; why: string } | null;
  /** The line of a part: `['products', 0, 'name']`; of what is around it where it is not there. */
  lineOf: (path: readonly (string | number)[]) => number;
}

const spaced = (code: string) => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
const lineAt = (text: string, offset: number) => text.slice(0, offset).split('\n').length;

/**
 * Finds the lines of a JSON text.
 *
 * @example jsonLines('{\n "a": [\n  1 ]\n}').lineOf(['a', 0]) // 3
 */
export function jsonLines(text: string): JsonLines {
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors);
  const [first] = errors;
  const lineOf: JsonLines['lineOf'] = (path) => {
    for (let at = path.length; tree && at > 0; at--) {
      const node = findNodeAtLocation(tree, path.slice(0, at));
      if (node) return lineAt(text, node.offset);
    }
    return 1;
  };
  return {
    tree,
    broken: first
      ? { line: lineAt(text, first.offset), why: spaced(printParseErrorCode(first.error)) }
      : null,
    lineOf,
  };
}
