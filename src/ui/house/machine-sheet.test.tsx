import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { MachineSheet } from './machine-sheet';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const inputs = () => house.sent.map(({ input }) => input);
const field = (name: string) => screen.findByLabelText<HTMLInputElement>(name);
const keep = () => screen.getByRole('button', { name: 'Save' });

describe('a new machine', () => {
  it('is of a kind, which says what it takes', async () => {
    const { user } = show(<MachineSheet machine={null} onClose={telling()} />);
    const kind = await screen.findByLabelText<HTMLSelectElement>('Type');
    expect([...kind.options].map(({ value }) => value)).toEqual([...MACHINE_KINDS]);
    const takes = {
      ...{
        mixer: 'bowls',
        bench: 'tables',
        sheeter: 'tables',
        divider: 'tables',
        retarder: 'shelves',
        freezer: 'shelves',
      },
      ...{ blast: 'shelves', proofer: 'trays', oven: 'trays', rack: 'trays', tray: 'trays', tin: 'tins' },
    };
    for (const one of MACHINE_KINDS) {
      await user.selectOptions(kind, one);
      expect(screen.getByLabelText(`Capacity (${takes[one]})`)).toBeTruthy();
    }
  });

  it('asks of an oven for decks, of a mixer for what a bowl takes', async () => {
    const { user } = show(<MachineSheet machine={null} onClose={telling()} />);
    expect(await field('Largest dough in the bowl, kg')).toBeTruthy();
    expect(screen.queryByLabelText('Decks')).toBeNull();
    await user.selectOptions(screen.getByLabelText('Type'), 'Oven');
    expect(screen.getByLabelText('Decks')).toBeTruthy();
    expect(screen.queryByLabelText('Largest dough in the bowl, kg')).toBeNull();
  });

  it('is kept with numbers as bakers write them; what is none goes to the house as it was typed', async () => {
    const done = telling();
    const { user } = show(<MachineSheet machine={null} onClose={done} />);
    await user.type(await field('Name'), 'Small mixer');
    await user.type(await field('Capacity (bowls)'), '1');
    await user.type(await field('Smallest dough in the bowl, kg'), '1,5');
    await user.type(await field('Largest dough in the bowl, kg'), 'eight or so');
    await user.click(keep());
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(inputs()).toEqual([
      {
        ...{ id: '', kind: 'mixer', label: 'Small mixer', capacity: '1', changeover: '0' },
        ...{ kgLeast: 1.5, kgAtOnce: 'eight or so', details: {} },
      },
    ]);
  });

  it('asks of each kind what only it has, with units', async () => {
    const { user } = show(<MachineSheet machine={null} onClose={telling()} />);
    await user.selectOptions(await screen.findByLabelText('Type'), 'Oven');
    await user.selectOptions(screen.getByLabelText('Fan'), 'with a fan');
    await user.type(screen.getByLabelText('Set higher by, °C'), '5');
    await user.click(keep());
    await waitFor(() => expect(inputs().at(-1)).toMatchObject({ details: { fan: true, correction: 5 } }));
    await user.selectOptions(screen.getByLabelText('Type'), 'sheeter');
    await user.type(screen.getByLabelText('Widest sheet'), '24 in');
    await user.type(screen.getByLabelText('Largest reduction per pass, %'), '35');
    await user.click(keep());
    await waitFor(() => expect(inputs()).toHaveLength(2));
    expect(inputs().at(-1)).toMatchObject({
      details: { width: expect.closeTo(60.96, 6) as number, reduction: 0.35 },
    });
  });

  it('says what is wrong beside the field, and stays open', async () => {
    const done = telling();
    house.refuse({ message: 'It takes at least 1.', field: 'capacity' });
    const { user } = show(<MachineSheet machine={null} onClose={done} />);
    await user.click(await screen.findByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toBe('It takes at least 1.');
    expect((await field('Capacity (bowls)')).getAttribute('aria-invalid')).toBe('true');
    expect(done).not.toHaveBeenCalled();
  });

  it('cannot be taken out of use before it is there', async () => {
    show(<MachineSheet machine={null} onClose={telling()} />);
    expect(await field('Name')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take out of service' })).toBeNull();
  });
});

describe('a machine that is there', () => {
  const oven = machine('oven', { label: 'Deck oven', capacity: 9, decks: 3, unit: 'trays' });

  it('stays what it is', async () => {
    show(<MachineSheet machine={oven} onClose={telling()} />);
    expect((await field('Name')).value).toBe('Deck oven');
    expect(screen.queryByLabelText('Type')).toBeNull();
  });

  it('is taken out of use, once more where that hurts the plan', async () => {
    const done = telling();
    house.refuse({ message: 'This would cause problems: oven short of 8 trays.', offer: { sure: true } });
    const { user } = show(<MachineSheet machine={oven} onClose={done} />);
    await user.click(await screen.findByRole('button', { name: 'Take out of service' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/^This would cause problems/);
    expect(done).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Save anyway' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(inputs()).toEqual([{ id: 'oven' }, { id: 'oven', sure: true }]);
  });
});
