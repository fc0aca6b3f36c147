import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show, telling } from '../../../test-support/view';
import type { Meeting } from '@/core/shopfloor/meetings';
import { Together } from './together';

const cooler = {
  ...{ kind: 'cooler' as const, doughId: 2, stepKey: '5.1.proof', place: 'retarder' },
  words: 'Crescent 2 into the retarder, 4 °C',
};
const meeting = (ways: Meeting['ways'], tooLong = false) =>
  ({ sentence: 'Crescent 1 and Crescent 2 are ready together.', tooLong, ways }) as Meeting;

describe('two loads that meet', () => {
  it('come with what can be done in words, and with a button where one tap does it', async () => {
    const told = telling();
    const order = { kind: 'order' as const, words: 'Bake Crescent 2 first.' };
    const { user } = show(<Together meeting={meeting([order, cooler])} onCooler={told} />);
    expect(screen.getAllByRole('button')).toHaveLength(1);
    expect(screen.getByText('Bake Crescent 2 first.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: cooler.words }));
    expect(told).toHaveBeenCalledWith(cooler);
  });

  it('stand out by weight where the second cannot wait so long', () => {
    const { again } = show(<Together meeting={meeting([])} onCooler={telling()} />);
    expect(screen.getByText(/ready together/).className).not.toContain('font-bold');
    again(<Together meeting={meeting([], true)} onCooler={telling()} />);
    expect(screen.getByText(/ready together/).className).toContain('font-bold');
  });
});
