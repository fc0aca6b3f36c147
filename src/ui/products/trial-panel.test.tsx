import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { say } from '../../../test-support/words';
import type { ProductTrial } from '@/core/wire/product-trial';
import { blankProduct } from './blank-product';
import { TrialPanel } from './trial-panel';

const house = standInHouse();
const DRAFT = blankProduct(say.coded);
/** A Thursday, 04:00. */
const NOW = Date.UTC(2026, 10, 19, 4);
const HOUR = 3_600_000;
const TRIAL: ProductTrial = {
  steps: [
    {
      key: 'mix',
      label: 'Mix',
      start: NOW + 30 * HOUR,
      end: NOW + 30.2 * HOUR,
      ...{ people: 1, celsius: 22, branch: null },
      machines: ['Mixer'],
    },
    {
      key: 'bulk',
      label: 'Bulk',
      start: NOW + 30.2 * HOUR,
      end: NOW + 31 * HOUR,
      people: 0,
      celsius: 22,
      branch: null,
      machines: [],
    },
    {
      key: '1.1.bake',
      label: 'Bake',
      start: NOW + 50 * HOUR,
      end: NOW + 50.3 * HOUR,
      ...{ people: 0, celsius: 185, branch: null },
      machines: ['Deck oven', 'Trays'],
    },
  ],
  ...{ start: NOW + 30 * HOUR, ready: NOW + 51 * HOUR, late: 0, kg: 3.6, bowls: 1, hands: 62 },
};
const panel = (more: Partial<Parameters<typeof TrialPanel>[0]> = {}) => (
  <TrialPanel draft={DRAFT} faults={[]} isStaffed mayTry zone="UTC" now={NOW} {...more} />
);
const asked = () =>
  house.sent.map(({ command, input }) => ({ command, pieces: input.pieces, due: input.due }));

describe('a batch in this bakery', () => {
  it('is worked out for any number of any day, and says from when to when, by whom and on what', async () => {
    house.result = TRIAL;
    const { user } = show(panel());
    await screen.findByText('Starts Fri 10:00');
    expect(screen.getByText('Ready Sat 07:00')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Thread from Fri 10:00 to Sat 07:00' })).toBeTruthy();
    expect(screen.getByText('3.6 kg of dough, 1 bowl, hands 1 h 2 min')).toBeTruthy();
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      ...['Fri 10:00Mix Mixer', '10:12Bulk ', 'Sat 06:00Bake Deck oven, Trays'],
    ]);
    const pieces = screen.getByLabelText('Pieces');
    await user.clear(pieces);
    await user.type(pieces, '144');
    await waitFor(() => expect(asked().at(-1)).toMatchObject({ pieces: 144 }));
    expect(asked()[0]).toEqual({ command: '/api/products/try', pieces: 60, due: '2026-11-22T07:00' });
  });

  it('says how late it is where it cannot be ready in time', async () => {
    house.result = { ...TRIAL, late: 95 };
    show(panel());
    expect((await screen.findByText('Ready Sat 07:00, 1 h 35 min late')).className).toMatch(/text-warn/);
  });

  it('says why no place was found', async () => {
    house.refuse({ message: 'No staff or machine is free for “Bake” in these days.' });
    show(panel());
    await screen.findByText(/No staff or machine is free/);
  });

  it('is not asked for while something is to be corrected, nobody is there, or the number is none', async () => {
    const wrong = [{ at: 'name', message: { code: 'product.nameOf2To80' as const, values: {} } }];
    const { again, user } = show(panel({ faults: wrong }));
    again(panel({ isStaffed: false }));
    again(panel({ mayTry: false }));
    expect(screen.queryByLabelText('Pieces')).toBeNull();
    again(panel());
    await user.clear(screen.getByLabelText('Pieces'));
    await user.type(screen.getByLabelText('Pieces'), 'sixty');
    expect(screen.getByText('Enter a number, such as 12 or 1.5.')).toBeTruthy();
    await new Promise((done) => setTimeout(done, 900));
    expect(asked()).toEqual([]);
  });
});
