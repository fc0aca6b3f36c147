import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { standInHouse } from '../../../test-support/stand-in';
import { output, show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import type { Trouble } from '@/core/wire/trouble';
import { Who } from '../live/who';
import { TroubleBand } from './trouble-band';
import { TroubleSheet } from './trouble-sheet';

const house = standInHouse();
const go = vi.hoisted(() => vi.fn());
vi.mock('../live/go', () => ({ go }));
beforeEach(() => go.mockReset());

const HOUR = 3_600_000;
const ida: Person = { id: 3, name: 'Ida', role: 'baker', team: 'nights' };
const CRESCENT = {
  ...{ id: 38, name: 'Crescent 38', losses: [] },
  outputs: [output({ id: 5, pieces: 40 }), output({ id: 6, product: 'Snail', pieces: 24 })],
};
const recorded = vi.fn();
const closed = vi.fn();
const oven = ONE_OF_EACH.machines.find(({ kind }) => kind === 'oven');
if (!oven) throw new Error('There is an oven.');

describe('something that is wrong', () => {
  const sheet = async () => {
    const { user } = show(
      <TroubleSheet
        machines={[{ ...oven, capacity: 9, decks: 3, place: 'oven' }]}
        people={[ida]}
        doughs={[CRESCENT]}
        onRecord={recorded}
        onClose={closed}
      />,
    );
    await screen.findByRole('dialog');
    return user;
  };

  it('is one tap on what is broken: from now on, until it is back; then a repair is worked out', async () => {
    house.result = { id: 1 };
    const user = await sheet();
    await user.click(
      within(screen.getByRole('region', { name: 'Out of order' })).getByRole('button', { name: oven.label }),
    );
    expect(house.sent.at(-1)).toMatchObject({
      command: 'report-trouble',
      input: { machineId: oven.id, units: null, hours: null },
    });
    await waitFor(() => expect(go).toHaveBeenCalledWith('/plan?repair'));
  });

  it('is half of a machine for some hours, or somebody who is ill; what is refused is said and nothing is left', async () => {
    const user = await sheet();
    await user.selectOptions(screen.getByLabelText('For how long'), '4 h');
    await user.selectOptions(screen.getByLabelText('How much of the machine'), 'half of it');
    house.refuse({ message: 'Oven is already reported.', field: 'machineId' });
    await user.click(screen.getByRole('button', { name: oven.label }));
    expect(house.sent.at(-1)?.input).toEqual({ machineId: oven.id, units: 5, hours: 4 });
    expect(screen.getByRole('alert').textContent).toBe('Oven is already reported.');
    expect(go).not.toHaveBeenCalled();
    house.result = { id: 2 };
    await user.click(screen.getByRole('button', { name: 'Ida' }));
    expect(house.sent.at(-1)?.input).toEqual({ personId: 3, hours: 4 });
  });

  it('is one deck of an oven, or a machine that only takes longer', async () => {
    house.result = { id: 3 };
    const user = await sheet();
    const part = screen.getByLabelText('How much of the machine');
    await user.selectOptions(part, 'deck 2 only');
    await user.click(screen.getByRole('button', { name: oven.label }));
    expect(house.sent.at(-1)?.input).toEqual({ machineId: oven.id, units: null, deck: 2, hours: null });
    await user.selectOptions(part, 'slower: a quarter longer');
    await user.click(screen.getByRole('button', { name: oven.label }));
    expect(house.sent.at(-1)?.input).toEqual({ machineId: oven.id, units: null, slower: 1.25, hours: null });
  });

  it('is cooler than it should be: what it has is told of its place, in words that are a temperature', async () => {
    house.result = {};
    const user = await sheet();
    await user.selectOptions(screen.getByLabelText('How much of the machine'), 'cooler than it should be');
    await user.type(screen.getByLabelText('Actual temperature, °C'), 'cold');
    await user.click(screen.getByRole('button', { name: oven.label }));
    expect(screen.getByRole('alert').textContent).toContain('temperature');
    await user.clear(screen.getByLabelText('Actual temperature, °C'));
    await user.type(screen.getByLabelText('Actual temperature, °C'), '150');
    await user.click(screen.getByRole('button', { name: oven.label }));
    expect(house.sent.at(-1)).toMatchObject({
      command: 'tell-place',
      input: { place: 'oven', celsius: 150 },
    });
  });
});

describe('a dough that is lost', () => {
  const losing = async () => {
    recorded.mockReset();
    const { user } = show(
      <TroubleSheet machines={[]} people={[]} doughs={[CRESCENT]} onRecord={recorded} onClose={closed} />,
    );
    await user.click(await screen.findByRole('button', { name: 'Crescent 38' }));
    return user;
  };

  it('is recorded by the tap on why: all of it, unless something else is chosen', async () => {
    const user = await losing();
    await user.click(screen.getByRole('button', { name: 'overproofed' }));
    expect(recorded).toHaveBeenCalledWith({
      ...{ doughId: 38, stepKey: null, kind: 'lost', text: 'overproofed' },
      data: { kind: 'lost', output: null, pieces: null },
    });
    expect(closed).toHaveBeenCalled();
  });

  it('is some pieces of one product, no more than there are, in one’s own words too', async () => {
    const user = await losing();
    await user.selectOptions(screen.getByLabelText('What is lost'), 'Snail');
    await user.type(screen.getByLabelText('Pieces lost'), '30');
    expect(screen.getByText('Enter 1 to 24.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'dropped' }).disabled).toBe(true);
    await user.clear(screen.getByLabelText('Pieces lost'));
    await user.type(screen.getByLabelText('Pieces lost'), '8');
    await user.type(screen.getByLabelText('Another reason'), 'tray on the floor');
    await user.click(screen.getByRole('button', { name: 'Record loss' }));
    expect(recorded).toHaveBeenCalledWith({
      ...{ doughId: 38, stepKey: null, kind: 'lost', text: 'tray on the floor' },
      data: { kind: 'lost', output: 6, pieces: 8 },
    });
  });
});

describe('what is out now', () => {
  const out: Trouble = {
    ...{ id: 7, machineId: 'oven', personId: null, units: null, deck: null, slower: null, note: '' },
    ...{ since: 3 * HOUR, until: 15 * HOUR },
  };
  const band = (troubles: Trouble[], role: Person['role'] = 'baker') =>
    show(
      <Who value={{ id: 3, role }}>
        <TroubleBand
          troubles={troubles}
          nameOf={({ machineId }) => (machineId === null ? 'Ida' : 'Oven')}
          zone="UTC"
        />
      </Who>,
      4 * 60,
    );

  it('stands on every screen of the floor until somebody says that it is back', async () => {
    house.result = null;
    const { user } = band([out, { ...out, id: 8, machineId: null, personId: 3, note: 'fever' }]);
    const texts = () =>
      within(screen.getByRole('region', { name: 'Out now' }))
        .getAllByRole('button')
        .map((button) => button.closest('p')?.textContent);
    expect(texts()).toEqual([
      'Oven out since 03:00, planned until Thu 15:00Back in use',
      'Ida not here since 03:00, planned until Thu 15:00: feverBack at work',
    ]);
    await user.click(screen.getByRole('button', { name: 'Back in use' }));
    expect(house.sent.at(-1)).toMatchObject({ command: 'end-trouble', input: { id: 7 } });
    await waitFor(() => expect(texts()).toHaveLength(1));
  });

  it('is only told to who looks on, and is gone when its time is over', () => {
    band(
      [
        { ...out, units: 4 },
        { ...out, id: 9, until: 3.5 * HOUR },
      ],
      'viewer',
    );
    expect(screen.getByText('Oven out (4 of it)')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
