import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show, telling } from '../../../test-support/view';
import type { RisePhase } from '@/core/process/route';
import { LANGUAGES } from '@/words/message';
import { WaitLooks } from './wait-looks';

const PHASES: readonly RisePhase[] = ['proof', 'bulk', 'sponge', 'levain'];

describe('how a rise looks', () => {
  it.each(PHASES)(
    'is recorded with one of three pictures, each with its sign in words: %s',
    async (phase) => {
      const told = telling();
      const { user } = show(<WaitLooks phase={phase} onTell={told} />);
      const buttons = screen.getAllByRole('button');
      for (const button of buttons) await user.click(button);
      expect(told.mock.calls).toEqual([['under'], ['right'], ['over']]);
      const pictures = buttons.map((button) => button.querySelector('svg')?.innerHTML);
      expect(new Set(pictures).size).toBe(3);
      expect(buttons.map(({ textContent }) => textContent.length > 12)).toEqual([true, true, true]);
    },
  );

  it.each(LANGUAGES)('is heard once, and not once more for the picture: %s', (language) => {
    show(<WaitLooks phase="proof" onTell={telling()} />, 0, language);
    for (const button of screen.getAllByRole('button'))
      expect(button.querySelector('svg')?.closest('[aria-hidden]')).not.toBeNull();
  });
});
