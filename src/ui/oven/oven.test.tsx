import { say } from '../../../test-support/words';
import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { machine, ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { itemOf, output, show, telling } from '../../../test-support/view';
import type { Decks } from '@/core/bakery/decks';
import type { FloorEvent } from '@/core/record/events';
import { ovenLoads } from '@/core/shopfloor/oven-loads';
import { correctionsTold, DeckChoice } from './deck-choice';
import { DeckStack } from './deck-stack';
import { LoadInside } from './load-inside';
import { type LoadOnDecks, ovensOf, type OvenInside } from './oven-inside';
import { LoadComing, LoadOut } from './load-rows';
import { NextLoad } from './next-load';

const BAKE = '5.1.bake';
const right = { ratio: 1, spread: 0.05, bakes: 0 };
const DECKS: Decks = {
  count: 3,
  perDeck: 3,
  whole: right,
  each: [{ ...right, ratio: 1.08, bakes: 4 }, right, right],
};
const OUTPUTS = new Map([
  [5, output({ piece: { ...output().piece, toppings: [{ name: 'sesame', moment: 'proofed' }] } })],
]);

/** Everything before the bake done by minute 1000, when the load went in. */
function loads(events: FloorEvent[], minute: number) {
  const { steps } = plannedDough([]);
  const before = steps
    .slice(
      0,
      steps.findIndex(({ key }) => key === BAKE),
    )
    .filter(({ step }) => step.work);
  const done = before.flatMap(({ key }, i) => [
    did('start', key, 900 + i),
    did('finish', key, i === before.length - 1 ? 1000 : 901 + i),
  ]);
  return ovenLoads([plannedDough([...done, ...events])], minute * MIN);
}
const inside = (events: FloorEvent[] = [], minute = 1005) => {
  const [load] = loads(events, minute).in;
  if (!load) throw new Error('Nothing is in the oven.');
  return load;
};
const OVEN: OvenInside = {
  ...{ machine: machine('oven', { capacity: 9 }), decks: DECKS, loads: [], trays: 0, onDecks: [] },
  reading: undefined,
};
/** In this oven, which is the only one. */
const inOven = (more: Partial<OvenInside> = {}) => {
  const oven = { ...OVEN, ...more };
  return { oven, ovens: [oven] };
};
const IN = inOven();
const props = { outputs: OUTPUTS, zone: 'UTC' };

describe('a load in the oven', () => {
  it('shows how long it has, when it is out, at what, and how it is told apart', () => {
    show(<LoadInside {...props} load={inside()} tell={telling()} {...IN} />, 1005);
    expect(screen.getByText('13:00')).toBeTruthy();
    expect(screen.getByText('out 16:58')).toBeTruthy();
    expect(screen.getByText('185 °C')).toBeTruthy();
    expect(screen.getByText('sesame')).toBeTruthy();
    expect(screen.getByText(/turn and swap the trays in 4:00/)).toBeTruthy();
  });

  it('says so when it is over, and by how much', () => {
    show(<LoadInside {...props} load={inside([], 1020)} tell={telling()} {...IN} />, 1020);
    expect(screen.getByText('+2:00')).toBeTruthy();
    expect(screen.getByText('time is up; check the colour')).toBeTruthy();
  });

  it('is taken out, or given some minutes more from now, with one tap', async () => {
    const told = telling();
    const { user } = show(
      <LoadInside {...props} load={inside([], 1017)} tell={(_, part) => told(part)} {...IN} />,
      1017,
    );
    await user.click(screen.getByRole('button', { name: '+2 min' }));
    await user.click(screen.getByRole('button', { name: 'Unload' }));
    expect(told.mock.calls.map(([part]) => part)).toEqual([
      { kind: 'check', data: { kind: 'checked', check: 'bake', answer: 'longer', minutes: 3 } },
      { kind: 'finish' },
    ]);
  });

  it('asks for its core in a sheet, and bakes on by itself where that is too cold', async () => {
    const told = telling();
    const load = inside([], 1018);
    const raw = { ...load, step: { ...load.step, step: { ...load.step.step, core: [94, 98] as const } } };
    const { user } = show(<LoadInside {...props} load={raw} tell={(_, part) => told(part)} {...IN} />, 1018);
    await user.click(screen.getByRole('button', { name: 'Core °C' }));
    await user.type(await screen.findByRole('textbox'), '90');
    await user.click(screen.getByRole('button', { name: 'Record' }));
    expect(told.mock.calls.map(([part]) => part)).toEqual([
      { kind: 'temperature', celsius: 90 },
      { kind: 'check', data: { kind: 'checked', check: 'bake', answer: 'longer', minutes: 3 } },
    ]);
  });
});

describe('decks', () => {
  /** Another load of so many trays, on these decks. */
  const other = (decks: number[], trays: number) => {
    const load = inside([on(...decks)]);
    return { decks, trays, load: { ...load, dough: { ...load.dough, id: 2, name: 'Brioche 29' }, trays } };
  };
  const choice = (events: FloorEvent[], told = telling(), onDecks: LoadOnDecks[] = []) => (
    <DeckChoice load={inside(events)} {...inOven({ onDecks })} tell={(_, part) => told(part)} />
  );
  const on = (...decks: number[]) => did('deck', BAKE, 1001, { data: { kind: 'decks', decks } });
  const pressed = () =>
    within(screen.getByRole('group', { name: 'Decks' }))
      .getAllByRole('button', { pressed: true })
      .map(({ textContent }) => textContent);

  it('are proposed where nobody has said, free ones first, and told with one tap', async () => {
    const told = telling();
    const { user } = show(choice([], told, [other([1], 3)]));
    await user.click(screen.getByRole('button', { name: 'is on decks 2 and 3' }));
    expect(told).toHaveBeenCalledWith({ kind: 'deck', data: { kind: 'decks', oven: 'oven', decks: [2, 3] } });
  });

  it('that are full with another load cannot be chosen, and nothing is proposed where there is no room', () => {
    const told = telling();
    const { again } = show(choice([on(2)], told, [other([1], 3), other([3], 1)]));
    expect(screen.getByRole('button', { name: 'deck 1: full' }).hasAttribute('disabled')).toBe(true);
    expect(screen.getByRole('button', { name: 'deck 3' }).hasAttribute('disabled')).toBe(false);
    again(choice([], told, [other([1, 2, 3], 9)]));
    expect(screen.queryByRole('button', { name: /^is on/ })).toBeNull();
  });

  it('are shown as they are stacked, with what each does and how long it has', () => {
    const [load] = [inside([on(2)])];
    const oven = { ...OVEN, onDecks: [{ load, decks: [2], trays: 4 }] };
    show(<DeckStack oven={oven} zone="UTC" />, 1005);
    expect(
      within(screen.getByRole('list', { name: /decks from the top/ }))
        .getAllByText(/^deck/)
        .map(({ parentElement }) => parentElement?.textContent),
    ).toEqual(['deck 3free', 'deck 2Crescent 1185 °C13:00', 'deck 1free']);
  });

  it('that a load is on are pressed; another is added in order, the last is never taken away', async () => {
    const told = telling();
    const { user, again } = show(choice([on(2, 3)], told));
    expect(pressed()).toEqual(['deck 2', 'deck 3']);
    await user.click(screen.getByRole('button', { name: 'deck 1' }));
    expect(told).toHaveBeenLastCalledWith({
      kind: 'deck',
      data: { kind: 'decks', oven: 'oven', decks: [1, 2, 3] },
    });
    again(choice([on(2)], told));
    await user.click(screen.getByRole('button', { name: 'deck 2' }));
    expect(told).toHaveBeenCalledTimes(1);
  });

  it('are those of the oven that a load is really in: another is told with its own free decks', async () => {
    const told = telling();
    const small = machine('oven', { id: 'small', label: 'Small oven', capacity: 4 });
    const second = { ...OVEN, machine: small, decks: { ...DECKS, count: 2, perDeck: 2 } };
    const { user } = show(
      <DeckChoice load={inside()} oven={OVEN} ovens={[OVEN, second]} tell={(_, part) => told(part)} />,
    );
    await user.selectOptions(screen.getByLabelText('oven'), 'Small oven');
    expect(told).toHaveBeenCalledWith({
      kind: 'deck',
      data: { kind: 'decks', oven: 'small', decks: [1, 2] },
    });
    await user.selectOptions(screen.getByLabelText('oven'), 'oven');
    expect(told).toHaveBeenCalledTimes(1);
  });

  it('of an oven with one are not asked for', () => {
    show(<DeckChoice load={inside()} {...inOven({ decks: { ...DECKS, count: 1 } })} tell={telling()} />);
    expect(screen.queryByRole('group')).toBeNull();
  });

  it('are told with what they are known to do, or the whole oven is, or nothing', () => {
    expect(correctionsTold(say, DECKS)).toBe('deck 1 bakes 8 % longer, from 4 bakes');
    const whole = { ...DECKS, whole: { ratio: 0.94, spread: 0.02, bakes: 9 }, each: [right, right, right] };
    expect(correctionsTold(say, whole)).toBe('the oven bakes 6 % shorter, from 9 bakes');
    expect(correctionsTold(say, { ...DECKS, each: [right, right, right] })).toBeNull();
  });
});

describe('the ovens of a bakery', () => {
  it('have each what was put into it as recorded, and as planned otherwise', () => {
    const small = machine('oven', { id: 'small', place: 'small' });
    const moved = did('deck', BAKE, 1001, { data: { kind: 'decks', oven: 'small', decks: [2] } });
    const board = {
      machines: [machine('oven'), machine('mixer'), small],
      decks: { oven: DECKS, small: DECKS },
      places: [{ place: 'small', label: 'Small oven', celsius: 181, humidity: null, at: 0 }],
    };
    const shown = (events: FloorEvent[]) =>
      ovensOf(board, [inside(events)]).map(({ machine: { id }, trays, onDecks, reading }) => {
        return [id, trays, onDecks.flatMap(({ decks }) => decks), reading?.celsius];
      });
    expect(shown([])).toEqual([
      ['oven', 4, [], undefined],
      ['small', 0, [], 181],
    ]);
    expect(shown([moved])).toEqual([
      ['oven', 0, [], undefined],
      ['small', 4, [2], 181],
    ]);
  });
});

describe('before and after the oven', () => {
  it('a load to come says when, how hot and how many, and its mark', () => {
    const [load] = ovenLoads([plannedDough([])], 500 * MIN).coming;
    if (!load) throw new Error('Nothing goes in.');
    show(
      <ul>
        <LoadComing {...props} load={load} machines={ONE_OF_EACH.machines} />
      </ul>,
      900,
    );
    expect(screen.getByText(/185 °C, 4 trays, 18 min, 40 pieces/)).toBeTruthy();
    expect(screen.getByText('sesame')).toBeTruthy();
  });

  it('a load that came out leads to its batch and is counted: what is neither second nor waste is good', async () => {
    const told = telling();
    const [load] = loads([did('finish', BAKE, 1019)], 1030).out;
    if (!load) throw new Error('Nothing came out.');
    const { user } = show(
      <ul>
        <LoadOut zone="UTC" load={load} record={(one) => Promise.resolve(told(one))} />
      </ul>,
      1030,
    );
    expect(screen.getByRole('link', { name: 'Crescent 1' }).getAttribute('href')).toBe('/batch/1');
    await user.click(screen.getByRole('button', { name: 'Count' }));
    const sheet = within(await screen.findByRole('dialog', { name: /how many came out well/ }));
    await user.click(sheet.getByRole('button', { name: 'Second: one more' }));
    await user.click(within(sheet.getByRole('group', { name: 'Waste' })).getByRole('button', { name: '+5' }));
    await user.click(sheet.getByRole('button', { name: 'Waste: one less' }));
    const waste = sheet.getByRole('textbox', { name: 'Waste' });
    expect(waste).toHaveProperty('value', '4');
    await user.clear(waste);
    await user.type(waste, '12x');
    await user.click(sheet.getByRole('button', { name: 'Save count' }));
    expect(told).toHaveBeenCalledWith({
      ...{ doughId: 1, stepKey: BAKE, kind: 'count' },
      data: { kind: 'counted', good: 27, second: 1, waste: 12 },
    });
  });
});

describe('the load that goes in next', () => {
  const AT = { doughs: [plannedDough([])], machines: ONE_OF_EACH.machines, now: 0 };
  const next = (events: FloorEvent[], told = telling()) => (
    <NextLoad
      item={itemOf(events, '5.1.load')}
      at={AT}
      zone="UTC"
      record={(part) => Promise.resolve(told(part))}
    />
  );

  it('is put in with one button, and taken as in with the same one', async () => {
    const told = telling();
    const { user, again } = show(next([], told));
    const card = screen.getByRole('article', { name: 'Next load' });
    expect(card.textContent).toMatch(/\d+ trays?, 40 pieces/);
    await user.click(within(card).getByRole('button', { name: 'Start load' }));
    again(next([did('start', '5.1.load', 0)], told));
    await user.click(screen.getByRole('button', { name: 'Done' }));
    expect(told.mock.calls.map(([part]) => part)).toMatchObject([
      { doughId: 1, stepKey: '5.1.load', kind: 'start' },
      { doughId: 1, stepKey: '5.1.load', kind: 'finish' },
    ]);
  });

  it('has that one button and no thermometer, which is for the oven’s own card', () => {
    show(next([]));
    expect(screen.getAllByRole('button')).toHaveLength(1);
  });
});

describe('an oven with decks', () => {
  const decks = () => screen.queryAllByRole('listitem').map(({ textContent }) => textContent);

  it('shows them while it is empty, the highest on top', () => {
    show(<DeckStack {...inOven({ decks: DECKS })} zone="UTC" />);
    expect(decks()).toEqual(['deck 3free', 'deck 2free', 'deck 1free']);
  });

  it('calls none free while a load in it has not said where it is', () => {
    show(<DeckStack {...inOven({ loads: [inside()] })} zone="UTC" />);
    expect(decks()).toEqual([]);
  });
});
