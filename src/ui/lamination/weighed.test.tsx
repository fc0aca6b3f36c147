import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import { Weighed } from './weighed';

describe('what was weighed', () => {
  const field = () => screen.getByLabelText('butter weighs');
  const weighed = (bySize: number | null = null) => (
    <Weighed label="butter weighs" of="butter" asked={840} bySize={bySize} />
  );

  it('is told by how much it is too much or too little, and what to do', async () => {
    const { user } = show(weighed());
    await user.type(field(), '1058');
    expect(screen.getByText('26 % too much butter: 1.058 kg instead of 840 g. Remove 218 g.')).toBeTruthy();
    await user.clear(field());
    await user.type(field(), '630 g');
    expect(screen.getByText('25 % too little butter: 630 g instead of 840 g. Add 210 g.')).toBeTruthy();
    await user.clear(field());
    await user.type(field(), '845');
    expect(screen.getByText('845 g: correct, 840 g needed.')).toBeTruthy();
  });

  it('is taken from the size where nobody weighed it, and says what is no weight', async () => {
    const { user } = show(weighed(1058));
    expect(screen.getByText(/^26 % too much butter/)).toBeTruthy();
    for (const wrong of ['heavy', '0', '-3']) {
      await user.clear(field());
      await user.type(field(), wrong);
      expect(screen.getByRole('alert')).toBeTruthy();
      expect(screen.queryByText(/too much/)).toBeNull();
    }
  });
});
