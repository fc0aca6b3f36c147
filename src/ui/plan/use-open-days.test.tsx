import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { boardOf } from '../../../test-support/board';
import { show } from '../../../test-support/view';
import type { Answer } from '@/core/wire/answer';
import type { Board } from '@/core/wire/board';
import { useOpenDays } from './use-open-days';

const house = vi.hoisted(() => ({ orderBook: vi.fn<() => Promise<Answer>>() }));
vi.mock('../live/command', () => house);

/** An order of 40 pieces of which so many have no dough. */
const orders = (open: number): Answer => ({
  ok: true,
  result: {
    demand: [{ source: { kind: 'single', id: 1 }, customer: 'Shop', dueAt: 0, pieces: 40, open, from: [] }],
    short: [],
  },
});
function Days({ board, maySee = true }: { board: Board; maySee?: boolean }) {
  const days = useOpenDays(board, maySee);
  return <p role="status">{JSON.stringify([...days])}</p>;
}
const shown = () => screen.getByRole('status').textContent;
beforeEach(() => house.orderBook.mockReset().mockResolvedValue(orders(15)));

it('says how many pieces of a day have no dough, and follows every change of the house', async () => {
  const { again } = show(<Days board={boardOf()} />);
  await waitFor(() => expect(shown()).toBe('[["1970-01-01",15]]'));
  house.orderBook.mockResolvedValue(orders(0));
  again(<Days board={boardOf()} />);
  await waitFor(() => expect(shown()).toBe('[]'));
  expect(house.orderBook).toHaveBeenCalledTimes(2);
});

it('keeps what it knew where nobody answers', async () => {
  const { again } = show(<Days board={boardOf()} />);
  await waitFor(() => expect(shown()).toBe('[["1970-01-01",15]]'));
  house.orderBook.mockResolvedValue({ ok: false, status: 0, message: '', field: null, offer: null });
  again(<Days board={boardOf()} />);
  await waitFor(() => expect(house.orderBook).toHaveBeenCalledTimes(2));
  expect(shown()).toBe('[["1970-01-01",15]]');
});

it('asks nothing for whoever may not see orders', async () => {
  show(<Days board={boardOf()} maySee={false} />);
  await new Promise((later) => requestAnimationFrame(later));
  expect(house.orderBook).not.toHaveBeenCalled();
});
