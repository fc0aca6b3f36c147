import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show, telling } from '../../../test-support/view';
import type { OvenClash } from '@/core/shopfloor/oven-clashes';
import { OvenClashCard } from './oven-clash-card';
import { coded } from '@/core/codes/coded';

const cooler = {
  ...{ kind: 'cooler' as const, doughId: 2, stepKey: '5.1.proof', place: 'retarder' },
  words: coded('ovenClashes.intoThe', { load: 'Crescent 2', place: 'retarder', celsius: { celsius: 4 } }),
};
/** Two loads that are ready together. */
const MEET = {
  ...{ first: 'Crescent 1', second: 'Crescent 2', why: coded('ovenClashes.theOvenHasNoRoom') },
  ...{ duration: { minutes: 13 }, then: coded('ovenClashes.thenNeitherWaits') },
};
const clash = (ways: OvenClash['ways'], tooLong = false) =>
  ({ message: coded('ovenClashes.andAreReadyTogetherWould', MEET), tooLong, ways }) as OvenClash;

describe('two loads that meet', () => {
  it('come with what can be done in words, and with a button where one tap does it', async () => {
    const told = telling();
    const order = {
      kind: 'order' as const,
      words: coded('ovenClashes.bakeFirst', {
        load: 'Crescent 2',
        then: coded('ovenClashes.thenNeitherWaits'),
      }),
    };
    const { user } = show(<OvenClashCard clash={clash([order, cooler])} onCooler={told} />);
    expect(screen.getAllByRole('button')).toHaveLength(1);
    expect(screen.getByText('Bake Crescent 2 first: then neither waits.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Crescent 2 into the retarder, 4 °C' }));
    expect(told).toHaveBeenCalledWith(cooler);
  });

  it('stand out by weight where the second cannot wait so long', () => {
    const { again } = show(<OvenClashCard clash={clash([])} onCooler={telling()} />);
    expect(screen.getByText(/ready together/).className).not.toContain('font-bold');
    again(<OvenClashCard clash={clash([], true)} onCooler={telling()} />);
    expect(screen.getByText(/ready together/).className).toContain('font-bold');
  });
});
