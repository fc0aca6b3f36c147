import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN } from '../../../test-support/floor';
import { usualScheme } from '../../../test-support/laminated';
import { ROLLING } from '../../../test-support/rolling';
import { itemOf, output, show, telling } from '../../../test-support/view';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { COOLING_RULES, type CoolingRule } from '@/core/climate/cooling';
import { LockInWork } from './lock-in-work';
import { WaitCard } from './wait-card';
import { WaitingLanes } from './waiting-lanes';

const NOW = 20;
const PLACES = [
  { place: 'retarder', label: 'Retarder', celsius: 4, humidity: null, at: 0 },
  { place: 'bakery', label: 'Bakery', celsius: 22, humidity: null, at: 0 },
];
const card = (item: AgendaItem) => (
  <WaitCard
    {...{
      item,
      now: NOW * MIN,
      zone: 'UTC',
      humidity: null,
      places: PLACES,
      coreProbes: [],
      rooms: ONE_OF_EACH.places,
    }}
    record={() => Promise.resolve()}
    shelves={new Map()}
    coolingRule={COOLING_RULES[0] as CoolingRule}
    onBack={telling()}
  />
);
const lanes = (item: AgendaItem) => (
  <WaitingLanes items={[item]} places={[]} now={NOW * MIN} zone="UTC" onPick={telling()} />
);
const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];
const changed = (item: AgendaItem, step: Partial<AgendaItem['step']>): AgendaItem => ({
  ...item,
  step: { ...item.step, ...step },
});

describe('a wait that does not come about where it stands', () => {
  const item = changed(itemOf(mixed, 'retard'), {
    never: true,
    remark: { code: 'core-out-of-reach', around: 22, until: 7 },
  });

  it('is told so on its card and in the list, and neither says when it is ready', () => {
    show(
      <>
        {card(item)}
        {lanes(item)}
      </>,
    );
    expect(screen.getAllByText(/At 22 °C the core does not reach 7 °C/)).toHaveLength(2);
    expect(screen.queryByText(/^ready|^until|at the soonest/)).toBeNull();
  });

  it('is told in the reader’s units', () => {
    localStorage.setItem('hefeteig-units', JSON.stringify({ temperature: 'F' }));
    show(card(item));
    expect(screen.getByText('At 72 °F the core does not reach 45 °F.')).toBeTruthy();
  });
});

describe('butter that tempers', () => {
  it('is pliable when its card and its list say that it is ready', async () => {
    const butter = [did('start', 'butter', 0), did('finish', 'butter', 10)];
    const ready = { earliest: 45 * MIN, at: 45 * MIN, best: 45 * MIN, latest: 610 * MIN };
    const item = changed(itemOf(butter, 'temper'), { min: 35, ready });
    show(
      <>
        {card(item)}
        {lanes(item)}
      </>,
    );
    expect(await screen.findByText('25 min more: pliable at 00:45.')).toBeTruthy();
    expect(screen.getByText(/^ready/).textContent).toContain('ready 00:45');
    expect(screen.getByText(/earliest 00:45/)).toBeTruthy();
  });
});

describe('a rise', () => {
  it.each([
    ['bulk', /domed, nearly doubled/],
    ['proof', /layers show/],
    ['levain', /floats in water/],
  ] as const)('of the %s is judged by its own signs', (phase, sign) => {
    show(card(changed(itemOf(mixed, 'retard'), { risen: { phase, before: 0, after: 1 } })));
    expect(screen.getByText(sign)).toBeTruthy();
    expect(screen.queryAllByText(/layers show/)).toHaveLength(phase === 'proof' ? 1 : 0);
  });
});

describe('butter that is no block', () => {
  const work = (name: string) => {
    const item = itemOf([], 'lock-in');
    const lamination = {
      ...{
        blocks: 1,
        mm: 4,
        wide: null,
        scrap: 0,
        fat: 'butter-82' as const,
        weights: { dough: 3200, fat: 840 },
      },
      scheme: { versionId: 1, name, scheme: usualScheme(name) },
    };
    show(
      <LockInWork
        item={{ ...item, dough: { ...item.dough, lamination } }}
        {...{ rolling: ROLLING, outputs: [output()], scale: null, tell: telling(), running: false }}
      />,
    );
  };

  it('on discs has the weight and width of each, and the butter between two', () => {
    work('Stacked discs');
    expect(screen.getByText('8 discs of 400 g').parentElement?.textContent).toMatch(
      /^8 discs of 400 g, \d+(\.\d)? cm across at 6 mm; 120 g of butter between each pair, none on top$/,
    );
  });

  it('grated frozen is told in its parts, and nothing of it tempers', () => {
    work('Grated frozen butter, four additions');
    expect(screen.getByText('butter 840 g').parentElement?.textContent).toBe(
      'butter 840 g, in 4 parts of 210 g',
    );
    const scheme = usualScheme('Grated frozen butter, four additions');
    expect(scheme.beginning.way).toBe('grated');
  });
});
