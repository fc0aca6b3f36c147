/** What a person can be asked to do. */
export const SKILLS = ['mix', 'laminate', 'shape', 'bake', 'finish'] as const;
export type Skill = (typeof SKILLS)[number];

/** Somebody of the bakery. */
export interface Person {
  id: number;
  name: string;
  role: 'planner' | 'baker' | 'helper' | 'viewer';
  team: string;
  /** What they can do; left out, everything. */
  skills?: Skill[];
}
