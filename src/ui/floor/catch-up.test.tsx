import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { boardOf } from '../../../test-support/board';
import { did, forecastAt, MIN, plannedRecord } from '../../../test-support/floor';
import { itemOf, show, telling } from '../../../test-support/view';
import type { OutputWay } from '@/core/process/output-way';
import type { FloorEvent, Recording } from '@/core/record/events';
import { NO_CALLS } from '@/core/wire/board';
import { EarlierSheet } from '../bench/earlier-sheet';
import { CatchUpBand } from './catch-up-band';
import { pastTime } from './clock-field';

vi.mock('./door-times', () => ({ doorTimes: () => Promise.resolve([]) }));

const MIXED = [did('start', 'mix', 0), did('finish', 'mix', 15)];
const told = telling();
beforeEach(() => told.mockReset());
const recorded = () =>
  told.mock.calls.map(([recording, at]) => ({ ...(recording as Recording), at: Number(at) / MIN }));

function band(minute: number, events: FloorEvent[] = MIXED, way: OutputWay = 'fresh') {
  const record = plannedRecord(events);
  const outputs = record.outputs.map((output) => (way === 'fresh' ? output : { ...output, way }));
  const board = boardOf({ doughs: [{ ...record, outputs }], calls: { ...NO_CALLS, quiet: 45 } });
  return show(<CatchUpBand board={board} doughs={[forecastAt(record, minute)]} onRecord={told} />, minute);
}
const open = async (minute: number, events?: FloorEvent[], way?: OutputWay) => {
  const { user } = band(minute, events, way);
  await user.click(screen.getByRole('button', { name: 'Catch up' }));
  await screen.findByRole('dialog');
  return user;
};

describe('nobody has recorded anything for long', () => {
  it('is asked about once: put off, it does not come again', async () => {
    const { user } = band(900);
    expect(screen.getByText(/^Nothing recorded since 00:15: \d steps may be done\.$/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Not now' }));
    expect(screen.queryByRole('button', { name: 'Catch up' })).toBeNull();
  });

  it('is not asked while something was recorded lately', () => {
    band(70, [...MIXED, did('temperature', 'retard', 60, { celsius: 8 })]);
    expect(screen.queryByRole('button', { name: 'Catch up' })).toBeNull();
  });

  it('is caught up with one tap: every step at the time that was offered', async () => {
    const user = await open(900);
    await user.click(await screen.findByRole('button', { name: /^Record \d steps$/ }));
    const kinds = recorded().map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'start').length).toBeGreaterThan(1);
    expect(kinds.at(-1)).toBe('finish');
    const times = recorded().map(({ at }) => at);
    expect(Math.max(...times)).toBeLessThanOrEqual(900);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('leaves out what is unticked, with all that comes behind it, and takes another time', async () => {
    const user = await open(900);
    const boxes = screen.getAllByRole('checkbox');
    const [first, second] = boxes as [HTMLElement, HTMLElement];
    await user.click(second);
    expect(screen.getAllByRole('checkbox').filter((box) => (box as HTMLInputElement).checked)).toEqual([
      first,
    ]);
    const [time] = screen.getAllByRole('textbox') as [HTMLInputElement];
    await user.clear(time);
    await user.type(time, '0312');
    await user.click(screen.getByRole('button', { name: 'Record 1 step' }));
    expect(recorded().at(-1)).toMatchObject({ kind: 'finish', at: 192 });
  });

  it('refuses a time that has not come, or lies before what leads to the step, and says so', async () => {
    const user = await open(900);
    const [, time] = screen.getAllByRole('textbox') as [HTMLInputElement, HTMLInputElement];
    for (const wrong of ['25:00', 'soon', '00:01']) {
      await user.clear(time);
      await user.type(time, wrong);
      expect(screen.getByRole('alert').textContent).toMatch(/^Correct the times in red/);
      expect(screen.getByRole('button', { name: /^Record/ }).hasAttribute('disabled')).toBe(true);
    }
    expect(recorded()).toEqual([]);
  });

  it('does not mind a time that makes no sense where the step is unticked', async () => {
    const user = await open(900);
    const [, second] = screen.getAllByRole('checkbox') as [HTMLElement, HTMLElement];
    const [, time] = screen.getAllByRole('textbox') as [HTMLInputElement, HTMLInputElement];
    await user.clear(time);
    await user.type(time, 'soon');
    expect(screen.getByRole('alert')).toBeTruthy();
    await user.click(second);
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Record 1 step' }));
    expect(recorded().at(-1)?.kind).toBe('finish');
  });

  it('for days is closed as not recorded with one tap', async () => {
    const user = await open(4000);
    const over = screen.getByRole('region', { name: 'Ended, not recorded' });
    await user.click(within(over).getByRole('button', { name: 'Close it as not recorded' }));
    expect(recorded()).toMatchObject([{ doughId: 1, stepKey: null, kind: 'close' }]);
  });

  it('for days can still be entered by whoever knows', async () => {
    const user = await open(4000);
    await user.click(screen.getByRole('button', { name: 'Enter steps' }));
    expect(screen.queryByRole('region', { name: 'Ended, not recorded' })).toBeNull();
    expect(screen.getByRole('button', { name: /^Record \d+ steps$/ })).toBeTruthy();
  });

  it('asks what was to be kept before it closes that: there, all is recorded as planned', async () => {
    const user = await open(4000, MIXED, 'to-freezer');
    expect(screen.getByText(/Planned to be put away: 40 Crescent\. Is it there\?/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Close/ })?.textContent ?? '').not.toMatch(/recorded/);
    await user.click(screen.getByRole('button', { name: 'Yes, as planned' }));
    expect(recorded().some(({ kind }) => kind === 'close')).toBe(false);
    expect(recorded().filter(({ kind }) => kind === 'finish').length).toBeGreaterThan(2);
  });

  it('and never begun can be said not to have been made', async () => {
    const user = await open(900, []);
    await user.click(screen.getByRole('button', { name: 'Not made' }));
    expect(recorded()).toMatchObject([{ kind: 'lost', text: 'Not made', stepKey: null }]);
  });
});

describe('one step that was done earlier', () => {
  const sheet = async (events: FloorEvent[], now = 200) => {
    const { user } = show(
      <EarlierSheet
        item={itemOf(events, 'mix', now)}
        now={now * MIN}
        zone="UTC"
        record={(...recording) => Promise.resolve(told(...recording))}
        onClose={telling()}
      />,
      now,
    );
    await screen.findByRole('dialog');
    return user;
  };

  it('is recorded with its start and end, by a tap on how long ago it was', async () => {
    const user = await sheet([]);
    await user.click(screen.getByRole('button', { name: '30 min ago' }));
    await user.click(screen.getByRole('button', { name: 'Record' }));
    const [start, finish] = recorded();
    expect([start?.kind, finish?.kind, finish?.at]).toEqual(['start', 'finish', 170]);
    expect(start?.at).toBeLessThan(170);
  });

  it('or only with its start, where it is still going on; or only with its end, where that was begun', async () => {
    const user = await sheet([]);
    await user.click(screen.getByRole('checkbox', { name: 'Still under way' }));
    await user.click(screen.getByRole('button', { name: '10 min ago' }));
    await user.click(screen.getByRole('button', { name: 'Record' }));
    expect(recorded()).toMatchObject([{ kind: 'start', at: 190 }]);
  });

  it('does not end before it began', async () => {
    const user = await sheet([did('start', 'mix', 180)]);
    expect(screen.queryByLabelText('Started at')).toBeNull();
    const time = screen.getByRole('textbox', { name: 'Done at' });
    await user.clear(time);
    await user.type(time, '0250');
    expect(screen.getByRole('button', { name: 'Record' }).hasAttribute('disabled')).toBe(true);
    await user.clear(time);
    await user.type(time, '3.10');
    await user.click(screen.getByRole('button', { name: 'Record' }));
    expect(recorded()).toMatchObject([{ kind: 'finish', at: 190 }]);
  });
});

describe('a time of day that has passed', () => {
  const near = 30 * 60 * MIN;
  const read = (typed: string, now = near) => pastTime(typed, { near, now, zone: 'UTC' });

  it('is that of the day nearest to what is expected', () => {
    expect([read('0545'), read('23:50'), read('6.00')]).toEqual([
      (24 * 60 + 345) * MIN,
      23 * 60 * MIN + 50 * MIN,
      near,
    ]);
    expect(read('06:01')).toBe(361 * MIN);
  });

  it('is none for what is no time', () => {
    expect([read('24:00'), read('6'), read('')]).toEqual([null, null, null]);
  });
});
