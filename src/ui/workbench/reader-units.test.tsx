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
  { id: 'retarder', label: 'Retarder', kind: 'fridge' as const, celsius: 3.6 },
  { id: 'bakery', label: 'Bakery', kind: 'room' as const, celsius: 22.4 },
  { id: 'proofer', label: 'Proofer', kind: 'proofer' as const, celsius: 26 },
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

const TOOLS: [name: string, tool: () => ReactElement][] = [
  ['chilling', () => <ChillTool places={PLACES} />],
  ['levain', () => <LevainTool rise={RISE} room={22.4} zone="UTC" />],
  [
    'proof',
    () => (
      <ProofTool
        products={[
          {
            productId: 1,
            name: 'Crescent',
            phases: [
              { phase: 'proof', set: RISE, learnt: { mean: 240, spread: 60, readings: 0 }, evidence: [] },
            ],
          },
        ]}
        places={PLACES}
        zone="UTC"
      />
    ),
  ],
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
