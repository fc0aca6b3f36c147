import type { Skill } from '../bakery/people';
import type { RouteStep, StepKind } from './route';

const SKILL_OF: Partial<Record<StepKind, Skill>> = {
  ...{ mix: 'mix', levain: 'mix', sponge: 'mix', degas: 'mix', knead: 'mix', fold: 'mix' },
  ...{ butter: 'laminate', 'lock-in': 'laminate', turn: 'laminate', sheet: 'laminate' },
  ...{ divide: 'shape', shape: 'shape', filling: 'shape' },
  ...{ wash: 'bake', load: 'bake', bake: 'bake' },
  finish: 'finish',
};

/** What a minute of work costs the arms: rolling and dividing by the kilo, as against watching. */
const STRAIN: Partial<Record<Skill, number>> = { laminate: 2, shape: 1.5, mix: 1.5 };

/** What a step asks of who does it: what is said of it, or what is usual for its kind; null where anybody can do it. */
export function skillFor({ kind, skill }: Pick<RouteStep, 'kind' | 'skill'>): Skill | null {
  if (skill !== undefined) return skill === 'anybody' ? null : skill;
  return SKILL_OF[kind] ?? null;
}

/** What a minute of a step costs the arms: what is said of it, or what is usual for its kind; 1 for watching. */
export function strainOf({ kind, strain }: Pick<RouteStep, 'kind' | 'strain'>): number {
  const usual = SKILL_OF[kind];
  return strain ?? (usual === undefined ? 1 : (STRAIN[usual] ?? 1));
}
