import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import type { SetUpPreview } from '@/core/wire/set-up-preview';
import { ReadSetUp } from './read-set-up';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const PREVIEW: SetUpPreview = {
  name: 'Corner bakery',
  brings: { places: [], machines: ['Small oven'], people: ['Jonas'], products: ['Roll', 'Snail'] },
  keepsOwn: ['Mixer'],
  values: [{ name: 'benchLength', was: 200, becomes: 180 }],
};
const paste = async (text: string) =>
  fireEvent.change(await screen.findByLabelText('Or paste it here'), { target: { value: text } });

describe('a set-up from a file', () => {
  it('says part by part what it would bring, and takes over what is ticked', async () => {
    house.result = PREVIEW;
    const done = telling();
    const { user } = show(<ReadSetUp onClose={done} />);
    await paste('{ "format": "hefeteig-set-up/1" }');
    await user.click(await screen.findByRole('checkbox', { name: /1 person: Jonas/ }));
    expect(screen.getByRole('checkbox', { name: /2 products: Roll, Snail/ })).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: /200 cm → 180 cm/ })).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: /place/ })).toBeNull();
    expect(screen.getByText('Already here and unchanged: Mixer.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Import from Corner bakery' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(house.sent.at(-1)).toMatchObject({
      ...{ command: 'take-set-up', input: { parts: ['machines', 'values', 'products'] } },
    });
  });

  it('that brings nothing says so, and cannot be taken over', async () => {
    house.result = {
      ...{ ...PREVIEW, values: [] },
      brings: { places: [], machines: [], people: [], products: [] },
    };
    show(<ReadSetUp onClose={telling()} />);
    await paste('{}');
    expect(await screen.findByText('You already have everything in this file.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /Import from/ }).disabled).toBe(true);
  });
});
