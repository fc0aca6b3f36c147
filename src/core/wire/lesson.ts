import type { Words } from '../codes/coded';

/** What the house has learnt from an event, and a question where it does not fit what was known. */
export interface Lesson {
  evidenceId: number;
  question: Words | null;
}
