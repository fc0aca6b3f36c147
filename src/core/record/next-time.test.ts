import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { effectiveEvents } from './undo';
import { eventOf, type FloorEvent } from './events';
import { nextTime } from './next-time';

const SECOND = 1000;
const marked = (at: number, marks: Record<string, number>): FloorEvent =>
  eventOf({
    ...{ id: uuidv7(), doughId: 1, stepKey: '5.1.finish', kind: 'marks', at, personId: 2 },
    ...{ celsius: null, text: null, undoes: null },
    data: { kind: 'marked', marks, seen: [] },
  });

describe('the time of what is recorded next', () => {
  it('is now, and never before what the house has stored a moment ago', () => {
    expect(nextTime([], 60 * SECOND)).toBe(60 * SECOND);
    expect(nextTime([{ at: 30 * SECOND }], 60 * SECOND)).toBe(60 * SECOND);
    expect(nextTime([{ at: 97 * SECOND }, { at: 80 * SECOND }], 60 * SECOND)).toBe(97 * SECOND);
  });

  it('is now where somebody has set the house’s clock back', () => {
    expect(nextTime([{ at: 3_600 * SECOND }], 60 * SECOND)).toBe(60 * SECOND);
  });

  it('lets the later of two marks count, though the tablet’s clock shows the full minute only', () => {
    // Stored by the house 37 s into a minute at whose beginning the tablet's clock still stands.
    const first = marked(97 * SECOND, { rise: 4 });
    const late = marked(60 * SECOND, { rise: 4, layers: 5 });
    expect(effectiveEvents([first, late]).at(-1)?.id).toBe(first.id);
    const second = marked(nextTime([first], 60 * SECOND), { rise: 4, layers: 5 });
    expect(effectiveEvents([second, first]).at(-1)?.id).toBe(second.id);
  });
});
