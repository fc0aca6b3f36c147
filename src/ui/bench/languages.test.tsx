import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { ROLLING } from '../../../test-support/rolling';
import { itemOf, output, show, telling } from '../../../test-support/view';
import type { Language } from '@/words/message';
import { NextList } from './next-list';
import { NowCard } from './now-card';
import { WaitingLanes } from './waiting-lanes';

// Amounts are asked for beside the card; here nobody answers.
vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no line')));

const OTHERS: readonly Exclude<Language, 'en'>[] = ['de', 'fr'];
const PLACES = [{ place: 'retarder', label: 'Kühlraum 1', celsius: 3.6 }];

/** The card of a step in a language, and what its buttons are called there. */
function buttonsOf(language: Language, key: string, started = false): string[] {
  const item = itemOf(started ? [did('start', key, 0)] : [], key);
  show(
    <NowCard
      {...{ item, outputs: [output()], joint: [], mine: true, by: '', zone: 'UTC', now: 0, today: {} }}
      record={() => Promise.resolve(telling())}
      rolling={ROLLING}
      machines={ONE_OF_EACH.machines}
      scale={null}
      doubt={() => Promise.resolve(null)}
    />,
    0,
    language,
  );
  return screen.getAllByRole('button').map(({ textContent }) => textContent);
}

describe.each(OTHERS)('the bench in %s', (language) => {
  it('starts, ends and leaves out in its own words', () => {
    const [act = '', ...others] = buttonsOf(language, '5.1.load');
    expect([act, ...others].join()).not.toMatch(/\b(Start|Record|Note|Skip|Earlier)\b/);
    expect(act.toLowerCase()).toContain('load');
  });

  it('has all that its English card has', () => {
    const own = buttonsOf(language, '5.1.load', true).length;
    document.body.innerHTML = '';
    expect(own).toBe(buttonsOf('en', '5.1.load', true).length);
  });

  it('says what comes next by its own clock and numbers', () => {
    const item = itemOf([], 'butter', 0);
    show(
      <NextList
        {...{ running: [], next: [item], coming: [], zone: 'UTC', me: 2, choice: null }}
        name={() => ''}
        onPick={telling()}
        onTake={telling()}
      />,
      0,
      language,
    );
    const list = screen.getByRole('region').textContent;
    expect(list).toContain('butter');
    expect(list).not.toMatch(/\b(Next|Take|in \d+ min late)\b/);
  });

  it('says what rests and rises, and calls places as the bakery does', () => {
    const waiting = itemOf([did('start', 'mix', 0), did('finish', 'mix', 15)], 'retard', 60);
    show(
      <WaitingLanes items={[waiting]} places={PLACES} now={60 * MIN} zone="UTC" onPick={telling()} />,
      60,
      language,
    );
    const text = screen.getByRole('region').textContent;
    expect(text).toContain('Kühlraum 1 3,6');
    expect(text).toContain(plannedDough([]).name);
    expect(text).not.toMatch(/\b(earliest|planned|until)\b/);
  });
});
