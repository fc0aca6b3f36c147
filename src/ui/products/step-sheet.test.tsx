import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show, telling } from '../../../test-support/view';
import { draftOfFile } from '@/core/exchange/products-file';
import type { ThreadStep } from '@/core/process/threads';
import { SHELF } from '@/server/setup/shelf';
import type { MakingBakery } from '@/core/process/product-faults';
import { StepSheet } from './step-sheet';

const PRODUCTS = SHELF.flatMap(({ products }) => products);
/** Every step of a product of the shelf, as its editor has it. */
function stepsOf(name: string): ThreadStep[] {
  const product = PRODUCTS.find((one) => one.name === name);
  if (!product) throw new Error(`The shelf has no ${name}.`);
  const { dough, output } = draftOfFile(product, { formulaId: 1, schemeId: 1 }, () => 1);
  return [...dough, ...output].flatMap(({ steps }) => steps);
}
function stepOf(product: string, id: string): ThreadStep {
  const found = stepsOf(product).find(({ step }) => step.id === id);
  if (!found) throw new Error(`${product} has no ${id}.`);
  return found;
}

function open(at: ThreadStep, machines: MakingBakery['machines'] = []) {
  const kept = telling();
  const { user } = show(
    <StepSheet {...{ machines, at }} isFirst={false} onKeep={kept} onClose={telling()} />,
  );
  const keep = async () => user.click(await screen.findByRole('button', { name: 'Save' }));
  const write = async (field: HTMLElement, text: string) => {
    await user.clear(field);
    if (text !== '') await user.type(field, text);
  };
  const outcome = () => kept.mock.calls.at(-1)?.[0] as ThreadStep | undefined;
  return { user, keep, write, outcome };
}
const field = (label: string) => screen.findByLabelText<HTMLInputElement>(label);

/** A step as it counts: fields of nothing left out. */
const plain = ({ step, gap }: ThreadStep) => {
  const { work, check, caution, ...rest } = step;
  const hands = work && { perKg: 0, perPiece: 0, ...work };
  return {
    gap,
    step: {
      ...rest,
      ...(hands ? { work: hands } : {}),
      ...(check ? { check } : {}),
      ...(caution ? { caution } : {}),
    },
  };
};

describe('the sheet of a step', () => {
  it.each(['Fruit snail', 'Spread star wedge', 'Custard square', 'Sugared bun'])(
    'keeps every step of %s as it was where nothing is typed',
    async (name) => {
      for (const at of stepsOf(name)) {
        const { keep, outcome } = open(at);
        await keep();
        expect(plain(outcome() as ThreadStep), at.step.id).toEqual(plain(at));
        cleanup();
      }
    },
    120_000,
  );

  it('keeps no phase of a bake that cannot be read, and each row its own when one goes', async () => {
    const { user, keep, write, outcome } = open(stepOf('Fruit snail', 'bake'));
    const first = within(await screen.findByRole('group', { name: 'Phase 1' }));
    await write(first.getByLabelText('Time'), 'until golden');
    await keep();
    expect(first.getByRole('alert').textContent).toMatch(/^Enter a time, such as/);
    expect(outcome()).toBeUndefined();
    await user.click(screen.getByRole('button', { name: 'Remove Phase 1' }));
    const left = within(screen.getByRole('group', { name: 'Phase 1' }));
    expect(left.getByLabelText<HTMLInputElement>('Time').value).toBe('15 min');
    await user.click(screen.getByRole('button', { name: 'Add a phase' }));
    const added = within(screen.getByRole('group', { name: 'Phase 2' }));
    await write(added.getByLabelText('Phase 2'), '340 °F');
    await user.click(added.getByLabelText('steam'));
    await keep();
    const program = outcome()?.step.program;
    expect(program).toMatchObject([
      { minutes: 15, vent: true },
      { minutes: 15, steam: true },
    ]);
    expect(program?.[1]?.celsius).toBeCloseTo(171.1, 1);
  });

  it('waits for a rise, a core or a time, and is somewhere or on no machine', async () => {
    const { user, keep, write, outcome } = open(stepOf('Fruit snail', 'retard'));
    await user.selectOptions(await field('Wait until'), 'Bulk fermentation');
    await keep();
    expect(outcome()?.step).toMatchObject({ rise: { phase: 'bulk', decides: true } });
    expect(outcome()?.step.until).toBeUndefined();
    await user.selectOptions(await field('Wait until'), 'the core is at');
    await write(await field('the core is at'), '6');
    await user.selectOptions(await field('Machine'), 'none');
    await user.selectOptions(await field('Place'), 'Room');
    await write(await field('Air temperature'), 'cool');
    await keep();
    expect((await screen.findByRole('alert')).textContent).toBe('Enter an amount with its unit.');
    await write(await field('Air temperature'), '18');
    await keep();
    expect(outcome()?.step).toMatchObject({ until: 6, place: 'room', around: 18 });
    expect(outcome()?.step.holds).toBeUndefined();
  });

  it('is for whom, how heavy, at which speeds and by which method the bakery says', async () => {
    const { user, keep, write, outcome } = open(stepOf('Fruit snail', 'mix'));
    await user.selectOptions(await field('Skill needed'), 'anybody');
    await write(await field('How heavy, 1 to 5'), '2.5');
    await write(await field('At first speed'), '4 min');
    await write(await field('At second speed'), '6 min');
    await write(await field('Method'), 'Liquids first.{Enter}Salt after two minutes.');
    await user.click(await field('Can be left out'));
    await keep();
    expect(outcome()?.step).toMatchObject({
      ...{ skill: 'anybody', strain: 2.5, speeds: { slow: 4, fast: 6 }, optional: true },
      method: 'Liquids first.\nSalt after two minutes.',
    });
  });

  it('may be on some of several machines, one of them preferred', async () => {
    const ovens = ['deck', 'rack', 'small'].map((id) => ({ id, kind: 'oven' as const, label: `${id} oven` }));
    const { user, keep, outcome } = open(stepOf('Fruit snail', 'bake'), ovens);
    await user.click(await field('rack oven'));
    await user.selectOptions(await field('Preferred'), 'small oven');
    await keep();
    expect(outcome()?.step.holds?.[0]?.only).toEqual(['small', 'deck']);
    await user.click(await field('rack oven'));
    await user.selectOptions(await field('Preferred'), 'none');
    await keep();
    expect(outcome()?.step.holds?.[0]).not.toHaveProperty('only');
  });

  it('turns trays and looks when the bakery says', async () => {
    const { keep, write, outcome } = open(stepOf('Fruit snail', 'bake'));
    await write(await field('Turn the trays after'), '0');
    await write(await field('First look after'), '9 min');
    await keep();
    expect(outcome()?.step).toMatchObject({ turnTrays: 0, lookAt: 9 });
  });

  it('has a pause before it, without end where the latest is left empty', async () => {
    const { keep, write, outcome } = open(stepOf('Fruit snail', 'shape'));
    await write(await field('Earliest after the step before'), '5');
    await write(await field('Latest after the step before'), '');
    await keep();
    expect(outcome()?.gap).toEqual({ min: 5 });
  });

  it('says what shows that a levain is alive, a line each', async () => {
    const { keep, write, outcome } = open(stepOf('Spread star wedge', 'levain-ripe'));
    await write(await field('Signs that it is active, one per line'), 'domed{Enter}{Enter} smells of fruit ');
    await keep();
    expect(outcome()?.step.alive).toEqual({ of: 'levain', signs: ['domed', 'smells of fruit'] });
  });

  it('is no longer covered, checked or cautioned about where the field is emptied', async () => {
    const { keep, write, outcome } = open(stepOf('Spread star wedge', 'mix'));
    await write(await field('Check'), '');
    await write(await field('Caution'), ' ');
    await keep();
    await waitFor(() => expect(outcome()).toBeDefined());
    expect(outcome()?.step).not.toHaveProperty('check');
    expect(outcome()?.step).not.toHaveProperty('caution');
  });
});
