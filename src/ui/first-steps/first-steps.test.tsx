import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import { firstSteps, GUIDED } from '@/core/shopfloor/first-steps';
import { maySee } from '@/core/shopfloor/rights';
import type { Answer } from '@/core/wire/answer';
import { guided, guidedPart } from './guided';
import { FirstSteps } from './first-steps';

const told = vi.hoisted(() => ({ send: vi.fn<(command: string, input: unknown) => Promise<Answer>>() }));
const page = vi.hoisted(() => ({ path: '/bench' }));
vi.mock('../live/command', () => told);
vi.mock('next/navigation', () => ({ usePathname: () => page.path }));

const baker: Person = { id: 2, name: 'Jonas', role: 'baker', team: 'nights' };
const ROLES = ['planner', 'baker', 'helper'] as const;
const card = () => screen.queryByRole('complementary', { name: 'First steps' });
const tap = (name: string) => screen.getByRole('button', { name });

beforeEach(() => {
  page.path = '/bench';
  told.send.mockReset().mockResolvedValue({ ok: true, result: null });
  Element.prototype.scrollIntoView = vi.fn();
});

describe('first steps', () => {
  it.each(ROLES)('of a %s are three, on a page that they may see', (role) => {
    const steps = firstSteps(role);
    expect(steps?.steps).toHaveLength(3);
    expect(maySee({ id: 1, role }, steps?.page ?? '/setup')).toBe(true);
  });

  it('point at every place that is marked for them, and a wall is shown none', () => {
    const used = new Set(ROLES.flatMap((role) => firstSteps(role)?.steps ?? []));
    expect([...used].sort()).toEqual([...GUIDED].sort());
    expect(firstSteps('viewer')).toBeNull();
  });

  it('go on by one button to the last, and then the house knows that they were seen', async () => {
    const { user } = show(<FirstSteps person={baker} />);
    expect((await screen.findByRole('complementary')).textContent).toContain('Welcome, Jonas.');
    await user.click(tap('Next'));
    expect(card()?.textContent).toContain('2 of 3');
    await user.click(tap('Next'));
    expect(screen.queryByRole('button', { name: 'Skip' })).toBeNull();
    expect(told.send).not.toHaveBeenCalled();
    await user.click(tap('Start work'));
    expect(told.send).toHaveBeenCalledExactlyOnceWith('end-first-steps', {});
    expect(card()).toBeNull();
  });

  it('are skipped by one tap', async () => {
    const { user } = show(<FirstSteps person={baker} />);
    await user.click(await screen.findByRole('button', { name: 'Skip' }));
    expect(card()).toBeNull();
    expect(told.send).toHaveBeenCalledOnce();
  });

  it('wait for the page that they are about', () => {
    page.path = '/formulas';
    show(<FirstSteps person={baker} />);
    expect(card()).toBeNull();
  });

  it('draw a ring around what they speak of, also where it comes late', async () => {
    const { again } = show(<FirstSteps person={baker} />);
    expect(document.querySelector('[aria-hidden].fixed')).toBeNull();
    vi.spyOn(Element.prototype, 'getBoundingClientRect').mockReturnValue(new DOMRect(8, 9, 100, 50));
    again(
      <>
        <FirstSteps person={baker} />
        <p {...guided('bench-now')}>Turn 2</p>
      </>,
    );
    expect(guidedPart('bench-now')?.textContent).toBe('Turn 2');
    await waitFor(() =>
      expect(document.querySelector<HTMLElement>('[aria-hidden].fixed')?.style.left).toBe('8px'),
    );
  });
});
