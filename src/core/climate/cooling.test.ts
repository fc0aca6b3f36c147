import { describe, expect, it } from 'vitest';
import { inEnglish } from '../../../test-support/words';
import { MIN } from '../../../test-support/floor';
import { cooling, COOLING_RULES, coolingMessage, type CoolingRule } from './cooling';

const [ONE, TWO] = COOLING_RULES as readonly [CoolingRule, CoolingRule];
const told = (...pairs: [minute: number, celsius: number][]) =>
  pairs.map(([minute, celsius]) => ({ at: minute * MIN, celsius }));

describe('a cooked filling', () => {
  it('is cold when it was measured at 10 °C within two hours', () => {
    expect(cooling(ONE, 0, told([5, 70], [100, 9.5]), 300 * MIN)).toEqual({
      ...{ next: null, passed: null, unmeasured: false, enteredLate: null },
    });
  });

  it('says when its record was entered late, however cold it was', () => {
    const [hot, cold] = told([5, 70], [100, 9.5]);
    const late = [
      { ...hot, at: 5 * MIN, celsius: 70 },
      { ...cold, at: 100 * MIN, celsius: 9.5, receivedAt: 290 * MIN },
    ];
    const found = cooling(ONE, 0, late, 300 * MIN);
    expect(found.enteredLate).toBe(290 * MIN);
    expect(inEnglish(coolingMessage(found, 'UTC'))).toMatch(
      /^Cold in time\..* A temperature was entered late, at 04:50\.$/,
    );
    expect(inEnglish(coolingMessage({ ...found, enteredLate: null }, 'UTC'))).not.toContain('entered late');
  });

  it('counts from when it was last hot, not from when somebody put it away', () => {
    const found = cooling(ONE, 0, told([30, 66], [60, 40]), 90 * MIN);
    expect(found.next).toEqual({ to: 10, by: 150 * MIN });
  });

  it('is stopped when the limit has passed, also when it is cold at last', () => {
    for (const late of [told([0, 70], [110, 14]), told([0, 70], [130, 8])])
      expect(cooling(ONE, 0, late, 140 * MIN).passed).toEqual({ to: 10, by: 120 * MIN });
    expect(cooling(ONE, 0, told([0, 70], [110, 14]), 119 * MIN).passed).toBeNull();
  });

  it('that nobody has measured is neither cold nor stopped', () => {
    expect(cooling(ONE, 0, [], 200 * MIN)).toEqual({
      ...{ next: { to: 10, by: 120 * MIN }, passed: null, unmeasured: true, enteredLate: null },
    });
  });

  it('has two limits where the house follows the rule of two stages', () => {
    const first = cooling(TWO, 0, told([0, 60], [90, 20]), 100 * MIN);
    expect(first.next).toEqual({ to: 5, by: 360 * MIN });
    expect(cooling(TWO, 0, told([0, 60], [130, 20]), 140 * MIN).passed?.to).toBe(21);
    expect(cooling(TWO, 0, told([0, 60], [90, 20], [350, 5]), 400 * MIN).next).toBeNull();
  });

  it('says what to do in each case', () => {
    const say = (...pairs: [number, number][]) =>
      inEnglish(coolingMessage(cooling(ONE, 0, told(...pairs), 125 * MIN), 'Europe/Berlin'));
    expect(say([0, 70], [60, 20])).toMatch(/^Stop: .*Throw it away/);
    expect(say([0, 70], [60, 9])).toMatch(/^Cold in time/);
    expect(say([30, 70])).toMatch(/^Must be at 10 °C or colder by/);
    expect(say()).toMatch(/not measured/);
  });
});
