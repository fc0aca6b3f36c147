import { cleanup, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { ButterPanel } from '../lamination/butter-panel';
import { ChillTool } from './chill-tool';
import { LevainTool } from './levain-tool';
import { ProofTool } from './proof-tool';
import { WaterTool } from './water-tool';

vi.mock('./temperature-chart', () => ({ default: () => null }));
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

const RISE = { yeast: 'levain' as const, celsius: 26, minutes: 240, early: 0.85, late: 1.25 };
const PLACES = [
  { id: 'retarder', label: 'Retarder', purpose: 'dough' as const, kind: 'fridge' as const, celsius: 3.6 },
  { id: 'bakery', label: 'Bakery', purpose: 'dough' as const, kind: 'room' as const, celsius: 22.4 },
  { id: 'proofer', label: 'Proofer', purpose: 'dough' as const, kind: 'proofer' as const, celsius: 26 },
];
const FORMULA = {
  doughCelsius: 24,
  stages: [
    {
      kind: 'dough' as const,
      lines: [
        { ingredient: 'wheat-flour', percent: 100 },
        { ingredient: 'water', percent: 52 },
      ],
    },
  ],
};
const AT = { flour: 21.5, room: 22.4, fridge: 4, tap: 14.2, preferment: 24, ice: -18, warmest: 43 };
const LEARNT = { mean: 6.3, spread: 1.2, readings: 3, questioned: [] };

const PRODUCTS = [
  {
    ...{ productId: 1, name: 'Crescent', laminated: true },
    phases: [
      {
        ...{ phase: 'proof' as const, set: RISE, evidence: [] },
        learnt: { mean: 240, spread: 60, readings: 0 },
      },
    ],
  },
];

const TOOLS: [name: string, tool: () => ReactElement][] = [
  ['chilling', () => <ChillTool places={PLACES} />],
  ['levain', () => <LevainTool rise={RISE} room={22.4} zone="UTC" />],
  ['proof', () => <ProofTool products={PRODUCTS} places={PLACES} zone="UTC" />],
  [
    'butter',
    () => (
      <ButterPanel
        room={{ celsius: 22.4, kind: 'room' }}
        cold={{ celsius: 3.6, kind: 'fridge' }}
        blockMm={10}
        zone="UTC"
      />
    ),
  ],
  [
    'water',
    () => (
      <WaterTool
        formulas={[{ id: 1, name: 'Dough', formula: FORMULA }]}
        ingredients={[...USUAL_INGREDIENTS]}
        temperatures={AT}
        mixing={[{ formulaId: 1, rise: { ...LEARNT, evidence: [] }, factor: { ...LEARNT, mean: 18.4 } }]}
        zone="UTC"
      />
    ),
  ],
];

const OTHER = JSON.stringify({ mass: 'oz', temperature: 'F', length: 'in', kitchen: 'us' });
/** Times and durations that a tool tells: they are the same whatever the reader reads. */
const times = () => document.body.textContent?.match(/\d+ h \d\d|\d+ h(?= )|\d+ min|\d\d:\d\d/g) ?? [];

describe('a tool on a tablet that reads °F, inches and ounces', () => {
  beforeEach(() => localStorage.clear());

  it.each(TOOLS)('%s begins with values in these, and tells the same as in metric units', (_, tool) => {
    show(tool(), 8 * 60);
    const metric = times();
    cleanup();
    localStorage.setItem('hefeteig-units', OTHER);
    show(tool(), 8 * 60);
    expect(times()).toEqual(metric);
    for (const field of screen.getAllByRole<HTMLInputElement>('textbox'))
      expect(field.value).not.toMatch(/°C|mm|cm|kg|\d g/);
    expect(document.body.textContent).not.toMatch(/\d °C|\d mm|\d cm/);
  });
});

describe('what mixing warms a dough by', () => {
  const tool = (readings: number) => (
    <WaterTool
      formulas={[{ id: 1, name: 'Dough', formula: FORMULA }]}
      ingredients={[...USUAL_INGREDIENTS]}
      temperatures={AT}
      mixing={[
        { formulaId: 1, rise: { ...LEARNT, readings, evidence: [] }, factor: { ...LEARNT, mean: 18.4 } },
      ]}
      zone="UTC"
    />
  );
  const rise = () => screen.getByLabelText<HTMLInputElement>('Rise by mixing').value;

  it('follows how and how long it is mixed, where nobody has measured it', async () => {
    const { user } = show(tool(0));
    expect(rise()).toBe('5.2 °C');
    await user.clear(screen.getByLabelText('Minutes fast'));
    await user.type(screen.getByLabelText('Minutes fast'), '16');
    expect(rise()).toBe('12.2 °C');
    await user.selectOptions(screen.getByLabelText('Mixer'), 'in a planetary mixer');
    expect(rise()).toBe('8.6 °C');
    await user.selectOptions(screen.getByLabelText('Mixer'), 'by hand');
    expect(rise()).toBe('1.5 °C');
    expect(screen.queryByLabelText('Minutes fast')).toBeNull();
  });

  it('is what the house has measured, where it has', () => {
    show(tool(4));
    expect(screen.getByLabelText<HTMLSelectElement>('Mixer').value).toBe('learnt');
    expect(rise()).toBe(`${LEARNT.mean} °C`);
  });
});

describe('a proof of laminated dough', () => {
  const at = (proofer: number, laminated = true) => {
    const places = PLACES.map((one) => (one.id === 'proofer' ? { ...one, celsius: proofer } : one));
    show(<ProofTool products={PRODUCTS.map((one) => ({ ...one, laminated }))} places={places} zone="UTC" />);
  };
  it.each([34, 40])('at %i °C is told that butter runs out', (celsius) => {
    at(celsius);
    expect(screen.getByRole('alert').textContent).toContain(`At ${celsius} °C butter melts and runs out`);
  });
  it('at 29 °C that it starts to, and nothing at 27 °C or without layers', () => {
    at(29);
    expect(screen.getByText(/starts to run/)).toBeTruthy();
    cleanup();
    at(27);
    expect(screen.queryByText(/butter/)).toBeNull();
    cleanup();
    at(40, false);
    expect(screen.queryByText(/butter/)).toBeNull();
  });
});
