import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN } from '../../../test-support/floor';
import { ROLLING } from '../../../test-support/rolling';
import { itemOf, output, show, telling } from '../../../test-support/view';
import { COOLING_RULES } from '@/core/climate/cooling';
import { NowCard } from './now-card';
import { TemperatureSheet } from './temperature-sheet';
import { WaitCard } from './wait-card';
import { WaitingLanes } from './waiting-lanes';

/** Readers of Fahrenheit, as they have set their tablet. */
beforeEach(() => localStorage.setItem('hefeteig-units', JSON.stringify({ temperature: 'F' })));

const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];
const PLACES = [{ place: 'retarder', label: 'Retarder', celsius: 4, humidity: null, at: 0 }];

// Amounts are asked for beside the card; here nobody answers.
vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no line')));

describe('a tablet that reads Fahrenheit', () => {
  it('has no Celsius on the card of what waits, neither measured nor of places', () => {
    const item = itemOf([...mixed, did('temperature', 'retard', 60, { celsius: 10 })], 'retard', 60);
    show(
      <WaitCard
        {...{ item, places: PLACES, coreProbes: [], rooms: ONE_OF_EACH.places, shelves: new Map() }}
        now={60 * MIN}
        zone="UTC"
        record={() => Promise.resolve()}
        humidity={null}
        coolingRule={COOLING_RULES[0] ?? { from: 65, stages: [] }}
        onBack={telling()}
      />,
    );
    expect(document.body.textContent).toContain('50 °F');
    expect(document.body.textContent).toContain('Retarder, 39 °F');
    expect(document.body.textContent).not.toContain('°C');
  });

  it('has none on the card of what is to do, nor under what rests', () => {
    show(
      <>
        <NowCard
          {...{ item: itemOf([], 'mix'), outputs: [output()], joint: [], today: {} }}
          doubt={() => Promise.resolve(null)}
          now={0}
          zone="UTC"
          record={() => Promise.resolve()}
          by=""
          mine
          rolling={ROLLING}
          machines={ONE_OF_EACH.machines}
          scale={null}
        />
        <WaitingLanes items={[]} places={PLACES} now={0} zone="UTC" onPick={telling()} />
      </>,
    );
    expect(screen.getByText(/^target/).textContent).toBe('target 75 °F');
    expect(screen.getByText('Retarder 39 °F')).toBeTruthy();
    expect(document.body.textContent).not.toContain('°C');
  });

  it('takes a number without a unit for Fahrenheit, and keeps it in Celsius', async () => {
    const told = telling();
    const { step } = itemOf([], 'mix').step;
    const { user } = show(
      <TemperatureSheet
        open
        onOpenChange={telling()}
        step={step}
        of={{ doughId: 1, stepKey: 'mix' }}
        onTell={told}
      />,
    );
    await user.click(await screen.findByRole('button', { name: '75°' }));
    await user.type(screen.getByRole('textbox'), '77{Enter}');
    await user.clear(screen.getByRole('textbox'));
    await user.type(screen.getByRole('textbox'), '25.5 C{Enter}');
    expect(told.mock.calls.map(([celsius]) => celsius)).toEqual([24, 25, 25.5]);
  });
});
