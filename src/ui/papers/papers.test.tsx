import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MIN, plannedDough } from '../../../test-support/floor';
import { output, show } from '../../../test-support/view';
import type { DeliveryLine, MiseLine, Paper, ProductionLine } from '@/core/exchange/papers';
import { PaperView } from './paper-view';
import { RouteCard } from './route-card';

const go = vi.hoisted(() => vi.fn());
vi.mock('../live/go', () => ({ go }));
beforeEach(() => go.mockReset());

const work = (more: Partial<ProductionLine> = {}): ProductionLine => ({
  ...{ station: 'Bench', start: 300 * MIN, end: 320 * MIN, step: 'Shape', dough: 'Crescent 1', doughId: 1 },
  ...{ pieces: 40, trays: 3, celsius: null, people: ['Ida', 'Piet'] },
  ...more,
});
const weighed = (more: Partial<MiseLine> = {}): MiseLine => ({
  ...{ at: 60 * MIN, station: 'Mixer', dough: 'Crescent 1', step: 'Mix', what: { stage: 'dough' } },
  ...{ ingredient: 'milk', grams: 538, isCold: true },
  ...more,
});
const delivery = (more: Partial<DeliveryLine> = {}): DeliveryLine => ({
  ...{ customer: 'Shop', at: 390 * MIN, product: 'Butter crescent', pieces: 70, short: 0, late: 0 },
  from: ['Crescent 1'],
  ...more,
});
const view = (paper: Paper, mayDeliver = true) => (
  <PaperView
    {...{ paper, mayDeliver }}
    day="1970-01-01"
    from={0}
    now={0}
    zone="UTC"
    name="Backhaus Lindenried"
  />
);
const rows = (name: string) =>
  within(screen.getByRole('region', { name }))
    .getAllByRole('row')
    .slice(1)
    .map(({ textContent }) => textContent);

describe('a printed list', () => {
  it('has the work of each station, with how many on how many trays, how hot and by whom', () => {
    show(
      view({
        kind: 'production',
        lines: [
          work(),
          work({ station: 'Oven', step: 'Load oven', celsius: 185, trays: 1, people: [] }),
          work({ station: null, pieces: null }),
        ],
      }),
    );
    expect(rows('Bench')).toContain('05:00ShapeCrescent 140 on 3 traysIda, Piet');
    expect(rows('Oven')).toEqual(['05:00Load ovenCrescent 140 on 1 tray185 °C']);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/^Production sheet, Thursday/);
  });

  it('has what is weighed out for each step in order of time, with what comes from the cold', () => {
    show(
      view({
        kind: 'mise-en-place',
        lines: [
          weighed(),
          weighed({ ingredient: 'salt', grams: 56.6, isCold: false }),
          weighed({
            at: 90 * MIN,
            step: 'Shape',
            what: { part: 'poppy filling' },
            ingredient: 'lemon',
            grams: null,
          }),
        ],
      }),
    );
    expect(screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent)).toEqual([
      '01:00 Mix, Crescent 1',
      '01:30 Shape, Crescent 1',
    ]);
    const all = screen.getAllByRole('row').map(({ textContent }) => textContent);
    expect(all).toContain('milk538 gDough✓');
    expect(all).toContain('salt56.6 gDough');
    expect(all).toContain('lemonto tastepoppy filling✓');
  });

  it('has what each customer gets, in all, and what is missing or late', () => {
    show(
      view({
        kind: 'deliveries',
        lines: [delivery(), delivery({ product: 'Plum danish', pieces: 12, short: 4, late: 8 })],
      }),
    );
    expect(screen.getByRole('heading', { level: 2 }).textContent).toBe('Shop82 in total');
    expect(rows('Shop')).toEqual([
      '06:30Butter crescent70Crescent 1',
      '06:30Plum danish12, 4 short, 8 lateCrescent 1',
    ]);
  });

  it('is chosen with its day, and customers only by who may see them', async () => {
    const { user, again } = show(view({ kind: 'production', lines: [] }));
    expect(screen.getByText('Nothing for this day.')).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Printed lists'), 'Deliveries');
    expect(go).toHaveBeenLastCalledWith('/papers/deliveries?day=1970-01-01');
    await user.selectOptions(screen.getByLabelText('Day'), '1970-01-03');
    expect(go).toHaveBeenLastCalledWith('/papers/production?day=1970-01-03');
    expect(screen.getByRole('link', { name: 'Export CSV' }).getAttribute('href')).toBe(
      '/api/papers?kind=production&day=1970-01-01',
    );
    again(view({ kind: 'production', lines: [] }, false));
    expect(within(screen.getByLabelText('Printed lists')).queryByText('Deliveries')).toBeNull();
  });
});

describe('a route card', () => {
  it('has every step with its time and target, and room for what was really done', () => {
    const dough = plannedDough([]);
    show(<RouteCard dough={dough} kg={4.2} outputs={[output()]} zone="UTC" />);
    expect(screen.getByText(/^4\.200 kg|^4\.2 kg/).textContent).toContain('40 Crescent, due');
    const all = screen.getAllByRole('row');
    expect(all).toHaveLength(dough.steps.length + 1);
    const mix = all.find(({ textContent }) => textContent?.includes('mix'));
    expect(mix?.textContent).toContain('24 °C, 15 min');
    expect(
      within(all[0] as HTMLElement)
        .getAllByRole('columnheader')
        .map(({ textContent }) => textContent),
    ).toContain('Initials');
  });
});
