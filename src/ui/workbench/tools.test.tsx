import { cleanup, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { Ingredient } from '@/core/formula/ingredient';
import { AmountTool } from './amount-tool';
import { EvidenceList } from './evidence-list';
import { LevainTool } from './levain-tool';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
const house = standInHouse();

describe('when to build a levain', () => {
  const RISE = { yeast: 'levain' as const, celsius: 26, minutes: 240, early: 0.85, late: 1.25 };
  const tool = (room = 26) => <LevainTool rise={RISE} room={room} zone="UTC" />;
  const build = () => screen.getByText(/^Feed it/).textContent;
  const retype = async (user: ReturnType<typeof show>['user'], label: string, text: string) => {
    await user.clear(screen.getByLabelText(label));
    await user.type(screen.getByLabelText(label), text);
  };

  it('is so long before the mix as it ripens there, with the time in which it is at its peak', () => {
    show(tool(), 8 * 60);
    expect(build()).toBe('Feed it Thu 10:00');
    expect(screen.getByText(/^for the mix/).textContent).toBe(
      'for the mix Thu 14:00; between Thu 08:59 and Thu 10:36.',
    );
  });

  it('is tomorrow’s for a time of day that has passed', async () => {
    const { user } = show(tool(), 15 * 60);
    expect(build()).toBe('Feed it Fri 10:00');
    await retype(user, 'Mix at', '19.30');
    expect(build()).toBe('Feed it Thu 15:30');
  });

  it('is now where the best time has passed, and too late after the last one, with when it is ripe instead', () => {
    show(tool(), 10 * 60 + 20);
    expect(build()).toBe('Feed it now');
    expect(screen.getByText(/^for the mix/).textContent).toContain('latest Thu 10:36');
    cleanup();
    show(tool(), 12 * 60);
    expect(screen.getByText('Too late for Thu 14:00')).toBeTruthy();
    expect(screen.getByText(/^It had to be fed by/).textContent).toBe(
      'It had to be fed by Thu 10:36. Fed now it is ripe from Thu 15:24, best Thu 16:00: mix then, or use yeast.',
    );
  });

  it('is earlier in a cooler place, and later with more seed', async () => {
    const { user } = show(tool(), 0);
    const hour = () => Number(/(\d\d):/.exec(build() ?? '')?.[1]);
    const usual = hour();
    await retype(user, 'Levain kept at', '20');
    expect(hour()).toBeLessThan(usual);
    await retype(user, 'Levain kept at', '26');
    await retype(user, "Seed, % of the levain's flour", '40 %');
    expect(hour()).toBe(usual + 2);
  });

  it('says what is missing, and that nothing ripens in the cold', async () => {
    const { user } = show(tool(), 0);
    await retype(user, 'Levain kept at', 'warm');
    expect(screen.getByRole('alert').textContent).toContain('Enter a temperature');
    await retype(user, 'Levain kept at', '0');
    expect(screen.getByText('It does not ripen at that temperature.')).toBeTruthy();
    await retype(user, 'Levain kept at', '26');
    await user.clear(screen.getByLabelText("Seed, % of the levain's flour"));
    expect(screen.getByRole('alert').textContent).toBe('A levain needs seed.');
    await user.type(screen.getByLabelText("Seed, % of the levain's flour"), '20');
    await retype(user, 'Mix at', 'noon');
    expect(screen.getByRole('alert').textContent).toBe('Enter a time, such as 14:00.');
  });
});

describe('what an amount weighs', () => {
  const sugar: Ingredient = {
    ...{ id: 'sugar', name: 'Sugar', also: ['caster sugar'], kind: 'sugar', density: 0.85 },
    ...{ water: 0, fat: 0, sugar: 1, salt: 0, flour: 0, yeast: 0, heat: 1.25, allergens: [] },
  };
  const type = async (amount: string, of = 'sugar') => {
    const { user } = show(<AmountTool ingredients={[sugar]} />);
    for (const [label, text] of [
      ['Amount', amount],
      ['Of', of],
    ] as const) {
      await user.clear(screen.getByLabelText(label));
      await user.type(screen.getByLabelText(label), text);
    }
  };
  const kitchens = () => screen.getAllByRole('term').map(({ textContent }) => textContent);

  it('differs by the country whose cup it is, and by nothing where it is a weight', async () => {
    await type('1 cup');
    expect(kitchens().length).toBeGreaterThan(1);
    expect(screen.getByText('Sugar, 0.85 g/ml')).toBeTruthy();
  });

  it('is one line where every kitchen says the same', async () => {
    await type('250 g');
    expect(kitchens()).toEqual(['standard measures']);
    expect(screen.getByRole('definition').textContent).toContain('250 g');
  });

  it('says what it cannot read, beside the field', async () => {
    await type('a handful');
    expect(screen.getByLabelText('Amount').getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('definition')).toBeNull();
  });

  it('says that a thing is not in the book, since it has no weight by volume then', async () => {
    await type('1 cup', 'unobtainium');
    expect(screen.getByText('not among your ingredients')).toBeTruthy();
  });
});

describe('what something was learnt from', () => {
  it('asks about what is far off, and lets a person leave it out and count it again', async () => {
    const mix = {
      id: 4,
      words: '11.2 °C',
      dough: 'Crescent 31',
      at: 60 * MIN,
      declined: false,
      questioned: true,
    };
    const { user, again } = show(<EvidenceList evidence={[mix]} zone="UTC" />);
    expect(screen.getByRole('listitem').textContent).toContain(
      '11.2 °C Crescent 31, 1 Jan far off: is it right?',
    );
    await user.click(screen.getByRole('button', { name: 'ignore it' }));
    again(<EvidenceList evidence={[{ ...mix, declined: true }]} zone="UTC" />);
    expect(screen.getByRole('listitem').textContent).not.toContain('far off');
    await user.click(screen.getByRole('button', { name: 'use it' }));
    expect(house.sent.map(({ input }) => input)).toEqual([
      { evidenceId: 4, declined: true },
      { evidenceId: 4, declined: false },
    ]);
  });
});
