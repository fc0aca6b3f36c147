import { describe, expect, it } from 'vitest';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { inEnglish } from '../../../test-support/words';
import type { Words } from '../codes/coded';
import { draftRoute } from './product-draft';
import { productFaults } from './product-faults';
import { PROOF_SCHOOLS, type ProofSchool } from './proof-school';
import { withProof } from './proof-schools';
import { addBranch, addStep } from './threads';

const say = (words: Words) => (typeof words === 'string' ? words : inEnglish(words));
const DRAFT = { ...draftRoute(SMALL_PRODUCT.route), rises: SMALL_PRODUCT.rises ?? {} };
const on = (school: ProofSchool, draft = DRAFT) => ({ ...draft, ...withProof(draft, school, say) });
const kinds = ({ output }: Pick<typeof DRAFT, 'output'>) =>
  output[0]?.steps.map(({ step }) => step.kind) ?? [];

describe('a proof of another school', () => {
  it.each([
    ['warm', ['shape', 'proof']],
    ['room', ['shape', 'proof']],
    ['cold', ['shape', 'retard', 'move', 'proof']],
    ['cold-after-start', ['shape', 'rest', 'move', 'retard', 'move', 'proof']],
    ['levain', ['shape', 'proof']],
  ] as const)('%s has its own steps between shaping and what follows', (school, first) => {
    const all = kinds(on(school));
    expect(all.slice(0, first.length)).toEqual(first);
    expect(all.slice(first.length)).toEqual(kinds(DRAFT).slice(2));
  });

  it('is a product without faults, whichever school it comes from', () => {
    const head = { name: 'Crescent', doughName: 'Crescent', formulaId: 1, schemeId: null, freshFor: 240 };
    for (const from of PROOF_SCHOOLS)
      for (const to of PROOF_SCHOOLS) {
        const again = on(to, on(from));
        const whole = { ...head, ...again, piece: SMALL_PRODUCT.piece };
        const wrong = productFaults(whole, { machines: [], people: [], isStaffed: true }).filter(
          (one) => !one.isLack,
        );
        expect(
          wrong.map(({ message }) => inEnglish(message)),
          `${from} to ${to}`,
        ).toEqual([]);
        expect(kinds(again), `${from} to ${to}`).toEqual(kinds(on(to)));
      }
  });

  it('takes no proofer where it stands in the room, and one where it is warm', () => {
    const machines = (school: ProofSchool) =>
      on(school)
        .output[0]?.steps.flatMap(({ step }) => step.holds ?? [])
        .map(({ machine }) => machine) ?? [];
    expect(machines('warm')).toContain('proofer');
    for (const school of ['room', 'cold', 'levain'] as const)
      expect(machines(school)).not.toContain('proofer');
  });

  it('leaves what is made beside, and a filling after the proof, where they are', () => {
    const filled = {
      ...DRAFT,
      output: addBranch(
        addStep(DRAFT.output, 'proof', {
          id: 'fill',
          kind: 'filling',
          label: 'Fill',
          around: 22,
          settling: 60,
          work: { fixed: 3, people: 1 },
        }),
        'proof',
        {
          branch: 'filling',
          steps: [
            {
              id: 'cook',
              kind: 'filling',
              label: 'Cook',
              around: 22,
              settling: 60,
              work: { fixed: 9, people: 1 },
            },
          ],
        },
      ),
    };
    const cold = on('cold', filled);
    expect(kinds(cold).slice(0, 5)).toEqual(['shape', 'retard', 'move', 'proof', 'filling']);
    const joined = cold.output.find(({ branch }) => branch === 'filling')?.joins?.step;
    expect(cold.output.some(({ steps }) => steps.some(({ step }) => step.id === joined))).toBe(true);
  });

  it('reckons with a levain where it is one, and with yeast again after it', () => {
    expect(on('levain').rises.proof?.yeast).toBe('levain');
    expect(on('warm', on('levain')).rises.proof?.yeast).toBe('bakers');
    expect(on('cold').rises.proof).toEqual(DRAFT.rises.proof ?? expect.objectContaining({ yeast: 'bakers' }));
  });
});
