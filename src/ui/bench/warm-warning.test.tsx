import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { laminatedDough } from '../../../test-support/laminated';
import { show } from '../../../test-support/view';
import type { Today } from '@/core/forecast/windows';
import { WarmWarning } from './warm-warning';

const dough = laminatedDough([]);
const warning = (room: number, key = 'lock-in') => {
  const step = dough.steps.find((one) => one.key === key);
  if (!step) throw new Error(`There is no ${key}.`);
  const today: Today = {
    bakery: { kind: 'room', celsius: room },
    freezer: { kind: 'freezer', celsius: -18 },
  };
  return <WarmWarning {...{ dough, step, today }} now={0} zone="UTC" />;
};

describe('a card of lamination in a warm room', () => {
  it('says how warm it is, how warm it may be, what helps and what that costs', () => {
    show(warning(40));
    const note = screen.getByRole('note');
    expect(note.textContent).toMatch(
      /^40 °C in the room: too warm for this butter, which rolls well up to \d+(\.5)? °C\./,
    );
    expect(note.textContent).toMatch(/Butter stays firm for \d+ min; rolling takes \d+ min\./);
    expect(note.textContent).toMatch(/Roll \d parts of \d+ min each, the rest in the cold\./);
  });

  it('says nothing in a cool room, and nothing of other work', () => {
    const { again } = show(warning(20));
    expect(screen.queryByRole('note')).toBeNull();
    again(warning(40, 'mix'));
    expect(screen.queryByRole('note')).toBeNull();
  });
});
