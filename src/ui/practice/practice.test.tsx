import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { forecastDough } from '@/core/forecast/forecast';
import { boardAt } from '@/core/practice/night';
import { SITUATIONS } from '@/core/practice/situation';
import { agenda } from '@/core/shopfloor/agenda';
import { conditionsOf } from '@/core/wire/board';
import {
  BY_THE_CLOCK,
  looksFirst,
  OPENS,
  practiceBoard,
  sceneFor,
  worked,
} from '../../../test-support/practised';
import { show, telling } from '../../../test-support/view';
import { NightCard } from './night-card';
import { PracticeList } from './practice-list';
import { ReviewView } from './review-view';

vi.mock('next/navigation', () => ({
  usePathname: () => '/practice',
  useRouter: () => ({ push: () => undefined }),
}));

const review = (id: keyof typeof SITUATIONS, baker: Parameters<typeof worked>[1]) => {
  const scene = sceneFor(SITUATIONS[id]);
  const record = worked(scene, baker);
  const again = { ships: id };
  show(<ReviewView name="A night" by="Noor" openedAt={OPENS} {...{ scene, record, again }} />);
  return screen.getByRole('region', { name: 'What happened' }).textContent;
};
const figure = (name: string) =>
  Number(screen.getByText(name, { selector: 'dt' }).nextElementSibling?.textContent);

describe('a night looked back at', () => {
  it('names what was hidden, and what a look would have shown to who went by the clock', () => {
    const happened = review('slow', BY_THE_CLOCK);
    expect(happened).toMatch(/Hidden 03:00 .* rose 2\d % slower than its formula says/);
    expect(happened).toMatch(/Missed .* too early\. It was ready/);
    expect(happened).toContain('A look then: not ready yet.');
    expect(figure('Good')).toBeLessThan(40);
    expect(screen.getByText(/^Possible: \d+ good/)).toBeTruthy();
  });

  it('says so of whoever looked first', () => {
    const happened = review('slow', looksFirst());
    expect(happened).not.toContain('too early');
    expect(figure('Good')).toBeGreaterThan(30);
    expect(figure('Waste')).toBeLessThan(3);
  });
});

describe('the step in hand of a night', () => {
  const scene = sceneFor(SITUATIONS.calm);
  const record = { looks: [], events: [], taken: [], at: OPENS };
  const board = boardAt(scene, { ...record });
  const [item] = agenda(
    board.doughs.map((dough) => forecastDough(dough, conditionsOf(board), OPENS)),
    OPENS,
  ).waiting;
  if (!item) throw new Error('A proof is under way.');
  const card = (looks: Parameters<typeof NightCard>[0]['looks'] = []) => {
    const [onLook, tell] = [telling(), telling()];
    const shown = show(
      <NightCard {...{ item, looks, board, onLook, tell }} now={OPENS} onWork={telling()} />,
    );
    return { ...shown, onLook, tell };
  };

  it('can be looked at and measured, a minute each', async () => {
    const { user, onLook } = card();
    await user.click(screen.getByRole('button', { name: 'Look' }));
    await user.click(screen.getByRole('button', { name: 'Core temperature' }));
    expect(onLook.mock.calls).toEqual([['eye'], ['thermometer']]);
    expect(screen.getByText(/takes a minute/)).toBeTruthy();
  });

  it('lists what was found, the last first', () => {
    const { doughId, stepKey } = { doughId: item.dough.id, stepKey: item.step.key };
    card([
      { doughId, stepKey, at: OPENS, found: { sense: 'eye', of: 'rise', phase: 'proof', verdict: 'under' } },
      { doughId, stepKey, at: OPENS + 60_000, found: { sense: 'thermometer', celsius: 23.4 } },
    ]);
    const found = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(found[0]).toMatch(/^03:01: core 23\.4/);
    expect(found[1]).toMatch(/^03:00: dense/);
  });
});

describe('the nights there are', () => {
  it('are offered by level, and those of the past lead to their review', () => {
    const own = [{ id: 4, name: 'Sunday heat', brief: 'Hot and late.', hours: 5, doughs: 2 }];
    const night = { id: 11, situation: 'slow' as const, name: null, person: 'Noor', openedAt: OPENS };
    show(
      <PracticeList
        own={own}
        nights={[
          { ...night, endedAt: OPENS, good: 31, possible: 40 },
          { ...night, id: 12, endedAt: null, good: null, possible: null },
        ]}
        plans={false}
        zone={practiceBoard().house.zone}
      />,
    );
    expect(screen.getAllByRole('button', { name: /^Start / })).toHaveLength(
      Object.keys(SITUATIONS).length + 1,
    );
    const rows = screen.getAllByRole('row').map(({ textContent }) => textContent);
    expect(rows[1]).toMatch(/31 of 40 good$/);
    expect(rows[2]).toMatch(/under way$/);
  });
});
