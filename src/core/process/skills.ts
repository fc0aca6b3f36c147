import type { Skill } from '../bakery/people';
import type { StepKind } from './route';

const SKILL_OF: Partial<Record<StepKind, Skill>> = {
  ...{ mix: 'mix', levain: 'mix', sponge: 'mix', degas: 'mix', knead: 'mix', fold: 'mix' },
  ...{ butter: 'laminate', 'lock-in': 'laminate', turn: 'laminate', sheet: 'laminate' },
  ...{ divide: 'shape', shape: 'shape', filling: 'shape' },
  ...{ wash: 'bake', load: 'bake', bake: 'bake' },
  finish: 'finish',
};

/** What a step asks of who does it; null where anybody can carry it. */
export function skillFor(kind: StepKind): Skill | null {
  return SKILL_OF[kind] ?? null;
}
