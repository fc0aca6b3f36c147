import { act, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { did } from '../../../test-support/floor';
import { itemOf, show } from '../../../test-support/view';
import type { Outcome } from '../live/outbox';
import { TemperatureSheet } from './temperature-sheet';

let tellOutcome: (outcome: Outcome) => void = () => undefined;
vi.mock('../live/outbox', () => ({
  onSent: (tell: (outcome: Outcome) => void) => {
    tellOutcome = tell;
    return () => undefined;
  },
}));

const { step } = itemOf([], 'mix');
const answered = (celsius: number, stepKey: string, message: string | null) =>
  act(() =>
    tellOutcome({
      ...{ event: did('temperature', stepKey, 0, { celsius }), late: false, sessionId: 1, about: '' },
      answer:
        message === null
          ? { ok: true, result: {} }
          : { ok: false, message, status: 422, field: null, offer: null },
    }),
  );

it('opens again with what was told and why it was refused, for its own step alone', async () => {
  const opened = vi.fn();
  show(
    <TemperatureSheet
      open
      onOpenChange={opened}
      step={step.step}
      of={{ doughId: 1, stepKey: 'mix' }}
      onTell={vi.fn()}
    />,
  );
  await screen.findByLabelText(/^Or type it/);
  const typed = () => screen.getByLabelText<HTMLInputElement>(/^Or type it/).value;
  answered(245, 'proof', '245 °C is a slip of the finger.');
  expect(opened).not.toHaveBeenCalled();
  answered(245, 'mix', '245 °C is a slip of the finger.');
  expect(opened).toHaveBeenCalledWith(true);
  expect(typed()).toBe('245 °C');
  expect(screen.getByRole('alert').textContent).toBe('245 °C is a slip of the finger.');
  answered(24.5, 'mix', null);
  expect(typed()).toBe('');
});
