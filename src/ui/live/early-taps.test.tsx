import { act, render, screen } from '@testing-library/react';
import { renderToString } from 'react-dom/server';
import { createRoot, hydrateRoot } from 'react-dom/client';
import { afterEach, expect, it, vi } from 'vitest';
import { Awake } from './awake';
import { AWAKE, keepEarlyTaps } from './early-taps';

const done = vi.fn<(what: unknown) => void>();
function View() {
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        done('sent');
      }}
    >
      <button type="button" onClick={() => done('tapped')}>
        Tap
      </button>
      <input aria-label="amount" onChange={(event) => done(event.target.value)} />
      <select aria-label="proof" onChange={(event) => done(event.target.value)}>
        <option>warm</option>
        <option>room</option>
      </select>
      <input type="checkbox" aria-label="steam" onChange={(event) => done(event.target.checked)} />
      <button>Send</button>
      <Awake />
    </form>
  );
}

afterEach(() => {
  document.dispatchEvent(new Event(AWAKE));
  done.mockReset();
  document.body.replaceChildren();
});

/** A page as it comes from the server: it can be seen and tapped, and nothing of it works yet. */
function asleep(): HTMLElement {
  const house = document.createElement('main');
  house.innerHTML = renderToString(<View />);
  document.body.append(house);
  keepEarlyTaps(AWAKE);
  return house;
}

const waken = (house: HTMLElement) =>
  act(() => {
    hydrateRoot(house, <View />);
    return Promise.resolve();
  });

it('does what was tapped and sent before the page was awake, once, in its order', async () => {
  const house = asleep();
  screen.getByText('Tap').click();
  screen.getByText('Send').click();
  expect(done).not.toHaveBeenCalled();
  await waken(house);
  expect(done.mock.calls).toEqual([['tapped'], ['sent']]);
});

it('does what was typed, chosen and ticked before the page was awake', async () => {
  const house = asleep();
  const field = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
  const changed = (name: string) => field(name).dispatchEvent(new Event('change', { bubbles: true }));
  field('amount').value = '12';
  changed('amount');
  field('proof').value = 'room';
  changed('proof');
  field('steam').checked = true;
  changed('steam');
  expect(done).not.toHaveBeenCalled();
  await waken(house);
  expect(done.mock.calls.map(([what]) => what)).toEqual(expect.arrayContaining(['12', 'room']));
  expect([field('amount').value, field('proof').value, field('steam').checked]).toEqual(['12', 'room', true]);
});

it('leaves a page alone that is awake', async () => {
  const house = asleep();
  await waken(house);
  screen.getByText('Tap').click();
  expect(done.mock.calls).toEqual([['tapped']]);
});

it('does a tap on the button that stands in its place where the page was made anew meanwhile', async () => {
  const house = asleep();
  screen.getByText('Tap').click();
  // React does so with a part that is told something new before it is awake.
  house.replaceChildren();
  await act(() => {
    createRoot(house).render(<View />);
    return Promise.resolve();
  });
  expect(done.mock.calls).toEqual([['tapped']]);
});

it('lets go of a tap on what is not there any more', () => {
  const house = asleep();
  screen.getByText('Tap').click();
  house.replaceChildren();
  render(<Awake />);
  expect(done).not.toHaveBeenCalled();
});
