import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import 'fake-indexeddb/auto';
import { boardOf } from '../../../test-support/board';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN, plannedDough, plannedRecord } from '../../../test-support/floor';
import { show } from '../../../test-support/view';
import type { FloorEvent } from '@/core/record/events';
import { packBoard } from '@/core/wire/packed-board';
import { NO_CALLS } from '@/core/wire/board';
import { WallScreen } from './wall-view';

vi.stubGlobal(
  'ResizeObserver',
  class {
    observe = () => undefined;
    disconnect = () => undefined;
  },
);
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

const viewer = { id: 9, name: 'Wall', role: 'viewer' as const, team: 'nights' as const };
const jonas = { id: 1, name: 'Jonas', role: 'baker' as const, team: 'nights' as const };
const wall = (events: FloorEvent[], more: Partial<typeof NO_CALLS> = {}) => (
  <WallScreen
    packed={packBoard(
      boardOf({
        people: [jonas],
        machines: [...ONE_OF_EACH.machines],
        doughs: [plannedRecord(events)],
        calls: { ...NO_CALLS, ...more },
      }),
    )}
    rest={{ person: viewer }}
  />
);
const texts = (name: string) =>
  within(screen.getByRole('region', { name }))
    .queryAllByRole('listitem')
    .map(({ textContent }) => textContent);

/** Everything up to a step done, as soon as the one before lets it. */
function upTo(until: string): FloorEvent[] {
  const { steps } = plannedDough([]);
  return steps
    .slice(
      0,
      steps.findIndex(({ key }) => key === until),
    )
    .filter(({ step }) => step.work)
    .flatMap(({ key, start }) => [did('start', key, start / MIN), did('finish', key, start / MIN + 5)]);
}

describe('the screen on the wall', () => {
  it('says who does what now and what is next, with its time; there is nothing to tap', () => {
    show(wall([did('start', 'mix', 0)]), 5);
    expect(texts('Now')).toEqual(['00:00mixCrescent 1Jonas']);
    expect(texts('Next')[0]).toMatch(/^\d\d:\d\d/);
    expect(screen.queryAllByRole('button')).toEqual([]);
    expect(screen.queryAllByRole('link')).toEqual([]);
  });

  it('says what rises and until when, and what the oven still needs', () => {
    const events = upTo('5.1.bake');
    const minute = (events.at(-1)?.at ?? 0) / MIN + 1;
    show(wall(events), minute);
    expect(texts('In the oven')).toEqual(['17:00Crescent 1185 °C, 4 trays']);
    show(wall(upTo('lock-in').slice(0, 2)), 100);
    expect(screen.getAllByRole('region', { name: 'Rising and resting' }).at(-1)?.textContent).toContain(
      'Crescent 1',
    );
  });

  it('says on top what is out and what calls, whoever is on shift', () => {
    const out = {
      id: 1,
      machineId: 'oven',
      personId: null,
      units: null,
      deck: null,
      slower: null,
      since: 0,
      until: 900 * MIN,
      note: '',
    };
    show(wall([], { troubles: [out], silent: [{ label: 'Proofer', since: 0 }] }), 30);
    const list = screen.getByRole('list', { name: 'Alarms' });
    expect(list.textContent).toContain('out since 00:00');
    expect(list.textContent).toContain('No reading from Proofer for 30 min.');
  });

  it('says that nothing goes on where nothing does', () => {
    show(wall([]), 0);
    expect(screen.getByText('Nothing under way.')).toBeTruthy();
    expect(screen.getByText('The oven is empty.')).toBeTruthy();
  });
});
