import { describe, expect, it } from 'vitest';
import type { Dressing } from '../shaping/dressing';
import { dressingOfStep } from './dressed-step';
import type { StepKind } from './route';

const DRESSING: Dressing = {
  washes: [
    { name: 'butter', moment: 'shaped' },
    { name: 'egg', moment: 'proofed' },
    { name: 'glaze', moment: 'baked' },
  ],
};
const WAY: readonly StepKind[] = ['shape', 'wash', 'proof', 'wash', 'load', 'bake', 'finish'];
const steps = [1, 2].flatMap((nth) =>
  WAY.map((kind, i) => ({ key: `5.${nth}.${i}`, outputId: 5, step: { kind }, load: { nth } })),
);

describe('what belongs to a step', () => {
  it('follows from what the same load has behind it', () => {
    const washedAt = (key: string) => {
      const step = steps.find((one) => one.key === key);
      if (!step) throw new Error(key);
      return dressingOfStep(DRESSING, steps, step).washes.map(({ name }) => name);
    };
    for (const nth of [1, 2]) {
      expect(washedAt(`5.${nth}.1`)).toEqual(['butter']);
      expect(washedAt(`5.${nth}.3`)).toEqual(['egg']);
      expect(washedAt(`5.${nth}.6`)).toEqual(['glaze']);
    }
  });
});
