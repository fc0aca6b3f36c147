import type { Person } from '../bakery/people';
import type { Page } from './rights';

/** Places of the screens that first steps point at. */
export const GUIDED = [
  ...['plan-threads', 'plan-panel', 'nav-orders', 'bench-now', 'bench-next', 'floor-tabs', 'floor-trouble'],
] as const;
export type Guided = (typeof GUIDED)[number];

/** What somebody sees first: the page that opens for them, and what they are shown there, one after another. */
export interface FirstSteps {
  page: Page;
  steps: readonly Guided[];
}

const STEPS: Record<Exclude<Person['role'], 'viewer'>, FirstSteps> = {
  planner: { page: '/plan', steps: ['plan-threads', 'plan-panel', 'nav-orders'] },
  baker: { page: '/bench', steps: ['bench-now', 'bench-next', 'floor-tabs'] },
  helper: { page: '/bench', steps: ['bench-now', 'bench-next', 'floor-trouble'] },
};

/** The first steps of a role; a screen on the wall is shown none. */
export const firstSteps = (role: Person['role']): FirstSteps | null =>
  role === 'viewer' ? null : STEPS[role];
