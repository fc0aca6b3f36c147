import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import { ALARM_SOUNDS, TONES } from '@/core/shopfloor/alarm-sounds';
import { AlarmSounds } from './alarm-sounds';

const played: number[] = [];
/** A browser's sound as far as it is used: it keeps the pitches that were started. */
class Silent {
  currentTime = 0;
  destination = {};
  resume = () => Promise.resolve();
  close = () => Promise.resolve();
  createGain = () => ({
    gain: { setValueAtTime: vi.fn(), exponentialRampToValueAtTime: vi.fn() },
    connect: (to: unknown) => to,
  });
  createOscillator = () => {
    const frequency = { value: 0 };
    return {
      ...{ frequency, stop: vi.fn(), connect: (to: unknown) => to },
      start: () => played.push(frequency.value),
    };
  };
}

beforeEach(() => {
  played.length = 0;
  localStorage.clear();
  vi.stubGlobal('AudioContext', Silent);
});

it('each sound can be heard before it is needed', async () => {
  const { user } = show(<AlarmSounds />);
  const buttons = screen.getAllByRole('button', { name: /^Hear: / });
  expect(buttons).toHaveLength(ALARM_SOUNDS.length);
  for (const [i, sound] of ALARM_SOUNDS.entries()) {
    played.length = 0;
    await user.click(buttons[i] as HTMLElement);
    expect(played).toEqual(TONES[sound].map(({ hertz }) => hertz));
  }
});

it.each(['en', 'de', 'fr'] as const)(
  'is switched on and stays on, whatever language is read: %s',
  async (language) => {
    const { user } = show(<AlarmSounds />, 0, language);
    const [choice] = screen.getAllByRole('button');
    expect(choice?.getAttribute('aria-pressed')).toBe('false');
    await user.click(choice as HTMLElement);
    expect(choice?.getAttribute('aria-pressed')).toBe('true');
    await user.click(choice as HTMLElement);
    expect(choice?.getAttribute('aria-pressed')).toBe('false');
  },
);
