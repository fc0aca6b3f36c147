import { fireEvent, screen, within, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { MIN } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import type { Exception, HouseBook } from '@/core/bakery/house-book';
import type { HouseRecord } from '@/core/bakery/house-record';
import { BusySheet } from './busy-sheet';
import { ExceptionSheet } from './exception-sheet';
import { METRIC } from '@/core/units/reader';
import { HouseView } from './house-view';
import { MachineSheet } from './machine-sheet';
import { PersonSheet } from './person-sheet';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const hurt = {
  message: 'This would cause problems: 1 person too few Thu 04:00.',
  offer: { sure: true, hurts: 1 },
};

type Known = HouseBook['people'][number];
const jonas: Known = {
  ...{ id: 2, name: 'Jonas', role: 'baker', team: 'nights', skills: ['laminate'], language: null },
  shifts: [{ personId: 2, weekday: 1, startMinute: 22 * 60, endMinute: 6 * 60 }],
};
const mara: Known = { ...jonas, id: 1, name: 'Mara', role: 'planner', skills: [], shifts: [] };
const oven = machine('oven', { label: 'Deck oven', capacity: 9, changeover: 20, decks: 3 });
const mixer = machine('mixer', { label: 'Spiral mixer', unit: 'bowl' });
const away: Exception = {
  ...{ id: 7, kind: 'away', personId: 2, machineId: null, units: null },
  ...{ start: 600 * MIN, end: 900 * MIN, note: 'first aid course' },
};
const book = (more: Partial<HouseBook> = {}): HouseBook => {
  return { people: [mara, jonas], machines: [mixer, oven], exceptions: [], places: [], senders: [], ...more };
};
const record: HouseRecord = {
  devices: [{ id: 3, name: 'Bench tablet', enrolledAt: 60 * MIN, by: 'Mara' }],
  addresses: [{ id: 5, of: 'Jonas', by: 'Mara', madeAt: 60 * MIN }],
  changes: [
    {
      ...{ id: 9, at: 90 * MIN, by: 'Mara', subject: 'machine Deck oven' },
      ...{ was: { capacity: 9 }, becomes: { capacity: 8 } },
    },
  ],
  backup: null,
};
const inputs = () => house.sent.map(({ input }) => input);

describe('the house', () => {
  const view = (shown: HouseBook, person: Person = mara, more: Partial<HouseRecord> = {}) => (
    <HouseView
      {...{ book: shown, record: { ...record, ...more }, person, zones: ['UTC', 'Europe/Berlin'] }}
      self={{ name: 'Corner bakery', zone: 'UTC', units: METRIC }}
    />
  );

  it('reads every shift out to those who cannot see its strip', () => {
    show(view(book()));
    const people = within(screen.getByRole('region', { name: 'People' }));
    expect(people.getByRole('img', { name: 'Monday 22:00 to 06:00' })).toBeTruthy();
    expect(people.getByRole('img', { name: 'no weekly shifts' })).toBeTruthy();
  });

  it('says when the last backup was, and what to do where the last night has none', () => {
    const last = { madeAt: 180 * MIN, bytes: 12_340_000 };
    const { again } = show(view(book(), mara, { backup: { last, isLate: false } }));
    const backup = () => screen.getByRole('region', { name: 'Backup' }).textContent;
    expect(backup()).toMatch(/03:00.*12\.3 MB$/);
    again(view(book(), mara, { backup: { last, isLate: true } }));
    expect(backup()).toMatch(/12\.3 MBHave bin\/backup run every night\.$/);
    again(view(book(), mara, { backup: { last: null, isLate: true } }));
    expect(backup()).toContain('No backup yet.');
    again(view(book()));
    expect(screen.queryByRole('region', { name: 'Backup' })).toBeNull();
  });

  it('shows planners who changed what, from what to what', () => {
    show(view(book()));
    const [row] = within(screen.getByRole('region', { name: 'Changes' })).getAllByRole('row');
    expect(row?.textContent).toContain('Mara');
    expect(row?.textContent).toContain('machine Deck oven');
    expect(row?.textContent).toContain('capacity 9 → 8');
  });

  it('lets a planner shut a device out, withdraw an address and make a code for another device', async () => {
    house.result = { code: 'ABCD2345' };
    const { user } = show(view(book()));
    const part = (name: string) => within(screen.getByRole('region', { name }));
    await user.click(part('Devices').getByRole('button', { name: 'Remove' }));
    await user.click(part('Calendar addresses').getByRole('button', { name: 'Withdraw' }));
    await user.click(part('Devices').getByRole('button', { name: 'Add device' }));
    expect((await part('Devices').findByRole('status')).textContent).toContain('ABCD2345');
    expect(house.sent).toEqual([
      { command: 'remove-tablet', input: { id: 3 } },
      { command: 'withdraw-address', input: { id: 5 } },
      { command: 'make-tablet-code', input: {} },
    ]);
  });

  it('shows a baker neither devices nor changes', () => {
    show(view(book(), jonas));
    expect(screen.queryByRole('region', { name: 'Devices' })).toBeNull();
    expect(screen.queryByRole('region', { name: 'Changes' })).toBeNull();
  });

  it('draws a night over the end of the week on its Monday as well', () => {
    const sunday = {
      ...jonas,
      shifts: [{ personId: 2, weekday: 7, startMinute: 22 * 60, endMinute: 6 * 60 }],
    };
    show(view(book({ people: [sunday] })));
    const spans = [...screen.getByRole('img').querySelectorAll('rect')].map((rect) =>
      ['x', 'width'].map((side) => Math.round(Number(rect.getAttribute(side)))),
    );
    expect(spans).toEqual([
      [692, 33],
      [-8, 33],
    ]);
  });

  it('says what is different on single days, in a sentence each', () => {
    const exceptions: Exception[] = [
      away,
      { ...away, id: 8, kind: 'extra', note: '' },
      { ...away, id: 9, personId: null, machineId: 'oven', units: 4, note: '' },
      { ...away, id: 10, personId: null, machineId: 'mixer', note: '' },
    ];
    show(view(book({ exceptions }), jonas));
    const region = within(screen.getByRole('region', { name: 'Exceptions' }));
    expect(region.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      'Jonas is away Thu 10:00 1 Jan to Thu 15:00, first aid course',
      'Jonas works Thu 10:00 1 Jan to Thu 15:00',
      'Deck oven has 4 trays less Thu 10:00 1 Jan to Thu 15:00',
      'Spiral mixer is out of order Thu 10:00 1 Jan to Thu 15:00',
    ]);
  });

  it('is changed by a planner, and by nobody else but for their own calendar address', () => {
    const { again } = show(view(book({ exceptions: [away] })));
    expect(screen.getAllByRole('button').length).toBeGreaterThan(5);
    again(view(book({ exceptions: [away] }), jonas));
    expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['Withdraw']);
  });

  it('takes an exception back, or says what that would do first', async () => {
    house.refuse(hurt);
    const { user } = show(view(book({ exceptions: [away] })));
    const exceptions = within(screen.getByRole('region', { name: 'Exceptions' }));
    await user.click(exceptions.getByRole('button', { name: 'Remove' }));
    expect((await screen.findByRole('alert')).textContent).toBe(hurt.message);
    await user.click(screen.getByRole('button', { name: 'Save anyway' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(inputs()).toEqual([
      { kind: 'away', id: 7 },
      { kind: 'away', id: 7, sure: true },
    ]);
    expect(refresh).toHaveBeenCalledOnce();
  });
});

describe('a person', () => {
  it('new in the house is told beside the field what is missing, and keeps what was typed', async () => {
    const done = telling();
    house.refuse({ message: 'A new person needs a PIN.', field: 'pin' });
    const { user } = show(<PersonSheet person={null} onClose={done} />);
    await user.type(await screen.findByLabelText('Name'), 'Nele');
    await user.selectOptions(screen.getByLabelText('Role'), 'Helper: ticks off what is done');
    await user.click(screen.getByRole('button', { name: 'mixing' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.getByLabelText('PIN').getAttribute('aria-invalid')).toBe('true'));
    await user.type(screen.getByLabelText('PIN'), '9001');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(inputs().at(-1)).toEqual({
      ...{
        id: null,
        name: 'Nele',
        role: 'helper',
        team: 'nights',
        pin: '9001',
        skills: ['mix'],
        language: null,
        active: true,
      },
    });
  });

  it('has a week, of which an empty day is a day off, and a plan that is hurt by it stays as it was', async () => {
    const done = telling();
    house.refuse(hurt);
    const { user } = show(<PersonSheet person={jonas} onClose={done} />);
    const week = within(await screen.findByRole('region', { name: 'Week' }));
    expect(week.getByLabelText<HTMLInputElement>('Mon from').value).toBe('22:00');
    await user.clear(week.getByLabelText('Mon from'));
    await user.clear(week.getByLabelText('Mon to'));
    await user.type(week.getByLabelText('Sat from'), '04:00');
    await user.type(week.getByLabelText('Sat to'), '12:30');
    await user.click(week.getByRole('button', { name: 'Save week' }));
    expect((await week.findByRole('alert')).textContent).toBe(hurt.message);
    await user.click(week.getByRole('button', { name: 'Leave as it was' }));
    expect(week.queryByRole('alert')).toBeNull();
    expect(done).not.toHaveBeenCalled();
    expect(inputs()).toEqual([{ personId: 2, shifts: [{ weekday: 6, startMinute: 240, endMinute: 750 }] }]);
  });

  it('leaves the house, or all tablets, with one tap each', async () => {
    const done = telling();
    const { user } = show(<PersonSheet person={jonas} onClose={done} />);
    await user.click(await screen.findByRole('button', { name: 'Sign Jonas out everywhere' }));
    await user.click(screen.getByRole('button', { name: 'Deactivate' }));
    await waitFor(() => expect(done).toHaveBeenCalledTimes(2));
    expect(house.sent).toMatchObject([
      { command: 'end-sessions', input: { personId: 2 } },
      { command: 'save-person', input: { id: 2, active: false } },
    ]);
  });
});

describe('a machine', () => {
  it('has decks where it is an oven, and none elsewhere', async () => {
    const done = telling();
    const { user, again } = show(<MachineSheet machine={oven} onClose={done} />);
    await user.clear(await screen.findByLabelText('Decks'));
    await user.type(screen.getByLabelText('Decks'), '4');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(inputs()).toEqual([
      { id: 'oven', label: 'Deck oven', capacity: '9', changeover: '20', decks: '4', details: {} },
    ]);
    again(<MachineSheet key="mixer" machine={mixer} onClose={done} />);
    expect(await screen.findByLabelText('Capacity (bowls)')).toBeTruthy();
    expect(screen.queryByLabelText('Decks')).toBeNull();
  });
});

describe('the bakery itself', () => {
  it('has a name, a zone and units that hold for whoever has chosen none', async () => {
    const { user } = show(
      <HouseView
        {...{ book: book(), record, person: mara, zones: ['UTC', 'Europe/Berlin'] }}
        self={{ name: 'Corner bakery', zone: 'UTC', units: METRIC }}
      />,
    );
    await user.click(screen.getByRole('button', { name: 'Name and units' }));
    await user.selectOptions(await screen.findByLabelText('Time zone'), 'Europe/Berlin');
    await user.selectOptions(screen.getByLabelText('Temperatures'), '°F');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(inputs()).toEqual([
        { name: 'Corner bakery', zone: 'Europe/Berlin', units: { ...METRIC, temperature: 'F' } },
      ]),
    );
  });
});

describe('an exception', () => {
  it('of a machine says how many are out, of a person who it is; it ends on its day unless another is said', async () => {
    const { user } = show(<ExceptionSheet book={book()} onClose={telling()} />);
    await user.type(await screen.findByLabelText('From'), '1970-01-02');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await user.selectOptions(screen.getByLabelText('What'), 'Machine out of order');
    await user.selectOptions(screen.getByLabelText('Machine'), 'Deck oven');
    await user.type(screen.getByLabelText('How many are out'), '3');
    fireEvent.change(screen.getByLabelText('Until'), { target: { value: '1970-01-03' } });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    const times = { start: '1970-01-02T06:00', note: '' };
    expect(inputs()).toEqual([
      { ...times, kind: 'away', personId: 1, machineId: null, units: null, end: '1970-01-02T14:00' },
      { ...times, kind: 'down', personId: null, machineId: 'oven', units: '3', end: '1970-01-03T14:00' },
    ]);
  });
});

describe('busy times from a calendar', () => {
  it('are shown before they are taken, for a person or a machine', async () => {
    const { user } = show(<BusySheet book={book()} zone="UTC" onClose={telling()} />);
    await user.click(await screen.findByLabelText('Or paste it here'));
    await user.paste('hello');
    expect(screen.getByRole('alert').textContent).toContain('Not an iCalendar file');
    expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull();
    await user.clear(screen.getByLabelText('Or paste it here'));
    await user.click(screen.getByLabelText('Or paste it here'));
    await user.paste(
      [
        ...['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:1', 'SUMMARY:service'],
        ...['DTSTART:19700102T120000Z', 'DTEND:19700102T130000Z', 'END:VEVENT', 'END:VCALENDAR'],
      ].join('\r\n'),
    );
    const list = within(screen.getByRole('list', { name: 'Busy times' }));
    expect(list.getByRole('listitem').textContent).toBe('service2 Jan Fri 12:00 to Fri 13:00');
    await user.selectOptions(screen.getByLabelText('Whose calendar'), 'Deck oven');
    await user.click(screen.getByRole('button', { name: 'Import 1 busy time' }));
    expect(inputs()).toMatchObject([{ personId: null, machineId: 'oven', busy: [{ summary: 'service' }] }]);
  });
});
