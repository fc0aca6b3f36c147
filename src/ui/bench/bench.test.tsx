import { coded, type Coded } from '@/core/codes/coded';
import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN } from '../../../test-support/floor';
import { ROLLING } from '../../../test-support/rolling';
import { itemOf, output, show, telling } from '../../../test-support/view';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { FloorEvent } from '@/core/record/events';
import { COOLING_RULES, type CoolingRule } from '@/core/climate/cooling';
import { Declared } from './declared';
import { NextList } from './next-list';
import { NowCard } from './now-card';
import { WaitCard } from './wait-card';
import { WhoseBench } from './whose-bench';

const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];
const PLACES = [
  { place: 'retarder', label: 'Retarder', celsius: 3.6, humidity: null, at: 0 },
  { place: 'bakery', label: 'Bakery', celsius: 22, humidity: null, at: 0 },
  { place: 'tap', label: 'Tap water', celsius: 12, humidity: null, at: 0 },
];
const CORE_PROBES = [{ id: 'core-1', label: 'Core probe 1', celsius: 11.3, at: 60 * MIN }];

// Amounts are asked for beside the card; here nobody answers.
vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no line')));

describe('the card of what is to do', () => {
  const card = (item: AgendaItem, told = telling(), joint: AgendaItem[] = [], outputs = [output()]) =>
    asking(null, item, told, joint, outputs);
  const asking = (
    doubt: Coded | null,
    item: AgendaItem,
    told = telling(),
    joint: AgendaItem[] = [],
    outputs = [output()],
  ) => (
    <NowCard
      {...{ item, outputs, joint }}
      now={0}
      zone="UTC"
      record={(part) => Promise.resolve(told(part))}
      by=""
      mine
      rolling={ROLLING}
      machines={ONE_OF_EACH.machines}
      scale={null}
      doubt={() => Promise.resolve(doubt)}
      today={{}}
    />
  );

  it('starts a step with its largest button, and ends it with the same one', async () => {
    const told = telling();
    const { user, again } = show(card(itemOf([], '5.1.load'), told));
    await user.click(screen.getByRole('button', { name: 'Start load' }));
    again(card(itemOf([did('start', '5.1.load', 0)], '5.1.load'), told));
    await user.click(screen.getByRole('button', { name: 'Done' }));
    expect(told.mock.calls.map(([part]) => (part as FloorEvent).kind)).toEqual(['start', 'finish']);
    expect(told.mock.calls[0]?.[0]).toMatchObject({ doughId: 1, stepKey: '5.1.load' });
  });

  it('asks once before a load goes into an oven that is full, and is not stopped from it', async () => {
    const told = telling();
    const full = coded('racks.noRoom', { oven: 'Oven', held: 6, capacity: 9, trays: 6 });
    const { user } = show(asking(full, itemOf([], '5.1.load'), told));
    await user.click(screen.getByRole('button', { name: 'Start load' }));
    expect((await screen.findByRole('alert')).textContent).toContain('6 of 9 trays are in Oven');
    expect(told).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Start anyway' }));
    expect(told).toHaveBeenCalledTimes(1);
  });

  it('says by which method and at which speeds it is done, and what goes on at this very step', () => {
    const load = itemOf([], '5.1.load');
    const own = {
      ...load.step.step,
      ...{ method: 'Rows of four.', optional: true as const, speeds: { slow: 4, fast: 6 } },
    };
    const pieces = output({
      piece: {
        ...output().piece,
        fillings: [
          {
            ...{ name: 'custard', grams: 10, per: 'piece', limit: 8, bareEdge: 0 },
            ...{ moment: 'proofed', where: 'in the middle' },
          },
          {
            ...{ name: 'almond cream', grams: 20, per: 'piece', limit: 30, bareEdge: 1 },
            ...{ moment: 'laid', where: 'a strip' },
          },
        ],
      },
    });
    show(card({ ...load, step: { ...load.step, step: own } }, telling(), [], [pieces]));
    expect(screen.getByText('Rows of four.')).toBeTruthy();
    expect(screen.getByText(/4 min slow, 6 min fast/)).toBeTruthy();
    expect(screen.getByText('Optional in this dough: skip it if it is not needed.')).toBeTruthy();
    expect(screen.getByText(/^custard: 10.0 g per piece, /)).toBeTruthy();
    expect(screen.getByText('10 g of custard per piece: above 8 g it opens and leaks.')).toBeTruthy();
    expect(screen.queryByText(/almond cream/)).toBeNull();
  });

  it('names a mark once', () => {
    const marked = output({
      piece: { ...output().piece, toppings: [{ name: 'sesame', moment: 'proofed' }] },
    });
    const item = itemOf([], '5.1.load');
    const wash = { ...item.step, step: { ...item.step.step, kind: 'wash' as const } };
    show(card({ ...item, step: wash }, telling(), [], [marked]));
    expect(screen.getAllByText('sesame')).toHaveLength(1);
  });

  it('asks once before it cuts a wait short, and does as it is told', async () => {
    const told = telling();
    const { user } = show(card(itemOf([did('start', 'mix', 0), did('finish', 'mix', 15)], 'lock-in'), told));
    await user.click(screen.getByRole('button', { name: 'Start lock-in' }));
    expect((await screen.findByRole('alert')).textContent).toContain('retard not ready until Thu 08:15');
    expect(told).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Not yet' }));
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Start lock-in' }));
    await user.click(screen.getByRole('button', { name: 'Start anyway' }));
    expect(told.mock.calls.map(([part]) => (part as FloorEvent).kind)).toEqual(['start']);
  });

  it('says how late it is, and how long it is over', () => {
    const { again } = show(card({ ...itemOf([], '5.1.load'), inMinutes: -12 }));
    expect(screen.getByText(/12 min late/)).toBeTruthy();
    again(card({ ...itemOf([did('start', '5.1.load', 0)], '5.1.load'), inMinutes: -4 }));
    expect(screen.getByText(/4 min over/)).toBeTruthy();
  });

  it('does the same on another dough in one go', async () => {
    const told = telling();
    const one = itemOf([], '5.1.finish');
    const other = { ...one, dough: { ...one.dough, id: 2, name: 'Crescent 2' } };
    const { user } = show(card(one, told, [other]));
    await user.click(await screen.findByRole('button', { name: /^Start all 2 together/ }));
    expect(told.mock.calls.map(([part]) => (part as FloorEvent).doughId)).toEqual([1, 2]);
  });

  it('takes a note by one of the trade’s own words, and a reason for leaving a step out', async () => {
    const told = telling();
    const { user } = show(card(itemOf([], '5.1.load'), told));
    await user.click(screen.getByRole('button', { name: 'Note' }));
    await user.click(await screen.findByRole('button', { name: 'sticky' }));
    await user.click(screen.getByRole('button', { name: 'Skip' }));
    await user.type(await screen.findByLabelText('In your own words'), 'tray fell');
    await user.click(screen.getByRole('button', { name: 'Record' }));
    expect(told.mock.calls.map(([part]) => part)).toMatchObject([
      { kind: 'note', text: 'sticky' },
      { kind: 'skip', text: 'tray fell' },
    ]);
  });

  it('takes a temperature in Fahrenheit, and refuses what is none in a sentence', async () => {
    const told = telling();
    const { user } = show(card(itemOf([], '5.1.load'), told));
    await user.click(screen.getByRole('button', { name: /°C/ }));
    const typed = await screen.findByRole('textbox');
    await user.type(typed, 'warm');
    await user.click(screen.getByRole('button', { name: 'Record' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Not a temperature.');
    await user.clear(typed);
    await user.type(typed, '77 F');
    await user.click(screen.getByRole('button', { name: 'Record' }));
    expect(told.mock.calls).toEqual([
      [{ doughId: 1, stepKey: '5.1.load', kind: 'temperature', celsius: 25 }],
    ]);
  });
});

describe('what is declared', () => {
  const nutty = output({
    allergens: ['gluten', 'milk', 'nuts'],
    piece: { ...output().piece, toppings: [{ name: 'almond flakes', moment: 'proofed' }] },
  });
  const shown = (key: string, outputs = [nutty]) =>
    show(<Declared step={itemOf([], key).step} outputs={outputs} />);

  it('stands where somebody touches what is in it, with what to mind at the table', () => {
    shown('5.1.shape');
    expect(screen.getByText(/Contains gluten, milk, nuts/).textContent).toMatch(/nuts: after the plain ones/);
    expect(screen.getByText('almond flakes')).toBeTruthy();
  });

  it('is incomplete by name while nobody has said what an ingredient contains', () => {
    shown('5.1.shape', [output({ allergens: [], undeclared: ['moon dust'] })]);
    expect(screen.getByText('Label incomplete: allergens of moon dust unknown.')).toBeTruthy();
    expect(screen.queryByText(/^Contains/)).toBeNull();
  });

  it('leaves allergens out where nothing is open, and the mark stays', () => {
    shown('5.1.load');
    expect(screen.queryByText(/Contains/)).toBeNull();
    expect(screen.getByText('almond flakes')).toBeTruthy();
  });

  it('of a dough of several outputs is that of all of them before they part', () => {
    shown('mix', [output(), output({ id: 6, allergens: ['egg', 'sesame'] })]);
    expect(screen.getByText(/Contains gluten, egg, milk, sesame/)).toBeTruthy();
    expect(screen.queryByText(/Mark:/)).toBeNull();
  });
});

describe('what comes next', () => {
  const list = (me: number, items: AgendaItem[], coming: AgendaItem[] = [], told = telling()) => (
    <NextList
      running={[]}
      next={items}
      coming={coming}
      zone="UTC"
      name={(id) => (id === 2 ? 'Ida' : '')}
      me={me}
      onPick={(item) => told('pick', item.step.key)}
      onTake={(item) => told('take', item.step.key)}
      choice={<WhoseBench whose="team" onChoose={(whose) => told('for', whose)} />}
    />
  );

  it('is picked with a tap on its name, taken with a tap beside it; what cannot start yet is only taken', async () => {
    const told = telling();
    const { user } = show(list(1, [itemOf([], 'mix')], [itemOf([], 'lock-in')], told));
    await user.click(screen.getByRole('button', { name: /^00:00/ }));
    await user.click(screen.getByRole('button', { name: 'Take lock-in, Crescent 1' }));
    expect(told.mock.calls).toEqual([
      ['pick', 'mix'],
      ['take', 'lock-in'],
    ]);
    expect(screen.queryByRole('button', { name: /^04:00/ })).toBeNull();
  });

  it('says whose it is, and lets another take it over', () => {
    const taken = itemOf([did('take', 'mix', 0, { personId: 2 })], 'mix');
    const { again } = show(list(1, [taken]));
    expect(screen.getByRole('button', { name: 'Take over from Ida: mix, Crescent 1' })).toBeTruthy();
    again(list(2, [taken]));
    expect(screen.getByText('yours')).toBeTruthy();
  });

  it('is for whom the tablet is chosen', async () => {
    const told = telling();
    const { user } = show(list(1, [], [], told));
    expect(screen.getByText('Nothing in the next 12 hours.')).toBeTruthy();
    await user.selectOptions(screen.getByRole('combobox', { name: 'Work for' }), 'the oven');
    expect(told).toHaveBeenCalledWith('for', 'oven');
  });
});

describe('the card of a wait', () => {
  const wait = (events: FloorEvent[], told = telling(), key = 'retard') => (
    <WaitCard
      item={itemOf([...mixed, ...events], key)}
      now={100 * MIN}
      zone="UTC"
      record={(part) => Promise.resolve(told(part))}
      humidity={null}
      places={PLACES}
      coreProbes={CORE_PROBES}
      rooms={ONE_OF_EACH.places}
      shelves={new Map([['retarder', 30]])}
      coolingRule={COOLING_RULES[0] as CoolingRule}
      onBack={() => told('back')}
    />
  );
  const put = (place: string, shelf?: number) =>
    did('move', 'retard', 50, { data: { kind: 'moved', place, ...(shelf ? { shelf } : {}) } });

  it('says from when to when it is ready, and since when it waits', () => {
    show(wait([]));
    expect(screen.getByText(/^waiting since Thu 00:15, 1 h 25 min/)).toBeTruthy();
    expect(screen.getByText(/^ready/).textContent).toBe('ready 08:15 to 15:15, best Thu 08:15');
  });

  it('is put elsewhere, onto a shelf, and has a core probe, each with one choice', async () => {
    const told = telling();
    const { user } = show(wait([put('retarder')], told));
    await user.selectOptions(screen.getByRole('combobox', { name: 'Shelf' }), '12');
    await user.selectOptions(screen.getByRole('combobox', { name: 'Place' }), 'Bakery, 22 °C');
    await user.selectOptions(screen.getByRole('combobox', { name: 'Core probe' }), 'Core probe 1');
    expect(told.mock.calls.map(([part]) => (part as FloorEvent).data)).toEqual([
      { kind: 'moved', place: 'retarder', shelf: 12 },
      { kind: 'moved', place: 'bakery' },
      { kind: 'probed', probe: 'core-1' },
    ]);
    const places = within(screen.getByRole('combobox', { name: 'Place' })).getAllByRole('option');
    expect(places.map(({ textContent }) => textContent)).toEqual(['Retarder, 4 °C', 'Bakery, 22 °C']);
  });

  it('asks for a shelf only where there are some', () => {
    show(wait([put('bakery')]));
    expect(screen.queryByRole('combobox', { name: 'Shelf' })).toBeNull();
    expect(screen.getByText(/in bakery\s*since 00:50/)).toBeTruthy();
  });

  it('tells what the core probe says as long as it is in, and a later word of somebody before it', () => {
    const coreProbe = did('probe', 'retard', 30, { data: { kind: 'probed', probe: 'core-1' } });
    const { again } = show(wait([coreProbe]));
    expect(screen.getByText(/core probe 1/).textContent).toBe('core probe 1 11.3 °C at 01:00');
    again(wait([coreProbe, did('temperature', 'retard', 70, { celsius: 9 })]));
    expect(screen.getByText(/^measured/).textContent).toBe('measured 9 °C at 01:10');
    again(wait([coreProbe, did('probe', 'retard', 80, { data: { kind: 'probed', probe: null } })]));
    expect(screen.queryByText(/11.3/)).toBeNull();
  });
});
