import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { HandReading, HeardSpan } from '@/core/diagnosis/temperatures';
import { Temperatures } from './temperatures';
import { inEnglish } from '../../../test-support/words';

// Drawn by a library that measures the screen: here it says what it was given to draw.
vi.mock('./temperature-curve', () => ({
  default: ({ stays, told }: { stays: HeardSpan[]; told: HandReading[] }) => (
    <figure aria-label="curve">{[...stays, ...told].map(({ step }) => inEnglish(step)).join(', ')}</figure>
  ),
}));

const MINUTE = 60_000;
const point = (minute: number, celsius: number) => {
  return { at: minute * MINUTE, celsius, lowest: celsius, highest: celsius, humidity: null };
};
const stay = (more: Partial<HeardSpan> = {}): HeardSpan => ({
  ...{ probe: 'retarder', label: 'Retarder', within: false, step: 'Cold retard', baking: false },
  ...{ from: 0, to: 480 * MINUTE, points: [point(0, 3.6), point(240, 5.2), point(480, 4.1)] },
  ...more,
});
const told = (more: Partial<HandReading> = {}): HandReading => {
  return { step: 'Mix', baking: false, celsius: 24.5, at: -30 * MINUTE, ...more };
};
const rows = () =>
  within(screen.getByRole('region', { name: 'Temperatures' }))
    .getAllByRole('listitem')
    .map(({ textContent }) => textContent);
const view = (stays: HeardSpan[], hands: HandReading[] = []) => (
  <Temperatures stays={stays} told={hands} zone="UTC" />
);

describe('temperatures of a batch', () => {
  it('say for each wait where it was, for how long, and how cold: around it from lowest to highest, within it how it went', () => {
    show(
      view([
        stay(),
        stay({
          probe: 'core-1',
          label: 'Core probe 1',
          within: true,
          points: [point(10, 18), point(470, 4.4)],
        }),
      ]),
    );
    expect(rows()).toEqual([
      'Thu 00:00Cold retard, in the retarder for 8 h: 3.6 °C to 5.2 °C',
      'Thu 00:00Cold retard, core probe 1 for 8 h: from 18 °C to 4.4 °C',
    ]);
  });

  it('say which measurement was entered late, and when', () => {
    show(view([], [told({ receivedAt: 90 * MINUTE })]));
    expect(rows()).toEqual(['Wed 23:30Mix, measured: 24.5 °C, entered late, Thu 01:30']);
  });

  it('put what somebody measured between them, in order of time', () => {
    show(
      view(
        [stay({ points: [point(0, 4)] })],
        [told(), told({ at: 500 * MINUTE, step: 'Lock-in', celsius: 12 })],
      ),
    );
    expect(rows()).toEqual([
      'Wed 23:30Mix, measured: 24.5 °C',
      'Thu 00:00Cold retard, in the retarder for 8 h: 4 °C',
      'Thu 08:20Lock-in, measured: 12 °C',
    ]);
  });

  it('draw all but the oven, beside which nothing else would be seen', async () => {
    show(
      view(
        [stay(), stay({ step: 'Bake', baking: true, points: [point(600, 185)] })],
        [told(), told({ step: 'Bake', baking: true, celsius: 96 })],
      ),
    );
    expect((await screen.findByRole('figure', { name: 'curve' })).textContent).toBe('Cold retard, Mix');
    expect(rows()).toHaveLength(4);
  });

  it('are in Fahrenheit for whoever reads it so', () => {
    localStorage.setItem('hefeteig-units', JSON.stringify({ temperature: 'F' }));
    show(view([stay({ points: [point(0, 4)] })]));
    expect(rows()[0]).toContain('39 °F');
  });

  it('take no room where no probe and nobody has said anything', () => {
    show(view([stay({ points: [] })]));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
