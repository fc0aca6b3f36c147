/** A step of a dough. */
export interface StepRef {
  dough: number;
  step: string;
}

/** Names a step of a dough for the schedule. Who wants to know which step a name means asks the plan (`WholePlan.refs`). */
export const taskId = (dough: number, step: string): string => `${dough}/${step}`;
