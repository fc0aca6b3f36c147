import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Person } from '@/core/bakery/people';
import { did, MIN } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { itemOf, show } from '../../../test-support/view';
import { UndoLast } from './undo-last';

standInHouse();

const person = (id: number, name: string, role: Person['role']) => ({ id, name, role }) as Person;
const PEOPLE = [person(1, 'Jonas', 'baker'), person(2, 'Piet', 'helper')];
const EVENTS = [did('start', '5.1.shape', 10), did('note', '5.1.shape', 20, { personId: 2, text: 'floury' })];

function bar(me: Person | undefined, now = 30) {
  const record = vi.fn(() => Promise.resolve());
  const { dough } = itemOf(EVENTS, '5.1.shape');
  const shown = show(
    <UndoLast
      {...{ record, me: me as Person, now: now * MIN }}
      events={EVENTS}
      doughs={[dough]}
      people={PEOPLE}
      zone="UTC"
    />,
  );
  return { record, ...shown };
}

describe('undo', () => {
  it('names dough, step and time of one’s own last act', async () => {
    const { record, user } = bar(PEOPLE[0]);
    await user.click(screen.getByRole('button', { name: /^Undo Crescent 1, .*: started, 00:10$/ }));
    expect(record).toHaveBeenCalledWith({
      ...{ doughId: 1, stepKey: '5.1.shape', kind: 'undo', undoes: EVENTS[0]?.id },
    });
  });

  it('lists the team’s last taps by who they are, and lets a baker take back any', async () => {
    const { record, user } = bar(PEOPLE[0]);
    await user.click(screen.getByRole('button', { name: 'Last taps' }));
    const rows = within(await screen.findByRole('dialog')).getAllByRole('listitem');
    expect(rows.map((row) => row.textContent)).toEqual([
      expect.stringMatching(/^00:20Crescent 1, .*: note “floury”Piet/),
      expect.stringMatching(/^00:10Crescent 1, .*: startedJonas/),
    ]);
    await user.click(screen.getByRole('button', { name: /^Undo Crescent 1, .*floury/ }));
    expect(record).toHaveBeenCalledWith(expect.objectContaining({ undoes: EVENTS[1]?.id }));
  });

  it('lets a helper take back their own only', async () => {
    const { user } = bar(PEOPLE[1]);
    await user.click(screen.getByRole('button', { name: 'Last taps' }));
    const sheet = within(await screen.findByRole('dialog'));
    expect(sheet.getAllByRole('button', { name: /^Undo/ })).toHaveLength(1);
    expect(sheet.getByRole('button', { name: /floury/ })).toBeTruthy();
  });

  it('is not there when nothing was tapped for long', () => {
    bar(PEOPLE[0], 600);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
