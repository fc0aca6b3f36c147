import type { Words } from '../codes/coded';

/** A version of the plan, in the order of making. */
export interface PlanVersion {
  id: number;
  /** `plan`: an act that can be undone; `base`: one that cannot, nor what came before it. */
  act: 'plan' | 'base' | 'undo' | 'redo';
  /** What was undone, or done again. */
  ofVersion: number | null;
  reason: Words;
}

/** The act that an undo would take back and the one that a redo would do again, or null. */
export function undoable(versions: readonly PlanVersion[]): {
  undo: PlanVersion | null;
  redo: PlanVersion | null;
} {
  let done: PlanVersion[] = [];
  let undone: PlanVersion[] = [];
  for (const version of versions) {
    if (version.act === 'base') [done, undone] = [[], []];
    else if (version.act === 'plan') [done, undone] = [[...done, version], []];
    else {
      const [from, to] = version.act === 'undo' ? [done, undone] : [undone, done];
      const act = from.pop();
      if (act) to.push(act);
    }
  }
  return { undo: done.at(-1) ?? null, redo: undone.at(-1) ?? null };
}
