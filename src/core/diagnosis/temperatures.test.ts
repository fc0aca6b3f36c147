import { stateOf } from '../record/dough';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { baked } from '../../../test-support/batch';
import { did, MIN } from '../../../test-support/floor';
import type { EventData } from '../record/events';
import { readByHand, spanFigures, probeSpans } from './temperatures';
import { inEnglish } from '../../../test-support/words';

const HOUR = 60 * MIN;
/** A step of a baked dough, with the minutes from which to which it really was. */
const minutesOf = (dough: ReturnType<typeof baked>, id: string) => {
  const step = dough.steps.find((one) => one.step.id === id);
  const { startedAt, finishedAt } = stateOf(dough).steps.get(step?.key ?? '') ?? {};
  if (!step || !startedAt || !finishedAt) throw new Error(`The dough has no ${id}.`);
  return { key: step.key, from: startedAt / MIN, to: finishedAt / MIN };
};

/** A baked dough whose waits stand somewhere, with more that was recorded, by step and minutes since its start. */
function stood(
  places: Record<string, string>,
  recorded: readonly { step: string; after: number; data: EventData }[] = [],
) {
  const dough = baked();
  const steps = dough.steps.map((step) => {
    const place = places[step.step.id];
    return place === undefined ? step : { ...step, place };
  });
  const more = recorded.map(({ step, after, data }) => {
    const { key, from } = minutesOf(dough, step);
    return did(data.kind === 'probed' ? 'probe' : 'move', key, from + after, { data });
  });
  return { ...dough, steps, events: [...dough.events, ...more] };
}

const LATER = 1e6 * MIN;
const moved = (place: string, shelf?: number): EventData => {
  return { kind: 'moved', place, ...(shelf === undefined ? {} : { shelf }) };
};
const coreProbe = (id: string | null): EventData => ({ kind: 'probed', probe: id });

describe('the stays of a batch', () => {
  it('are its waits where the route has them, for as long as they were', () => {
    const dough = stood({ retard: 'retarder', proof: 'proofer' });
    const [retard, proof] = [minutesOf(dough, 'retard'), minutesOf(dough, 'proof')];
    expect(inEnglish(probeSpans(dough, LATER))).toEqual([
      {
        ...{ probe: 'retarder', within: false, step: 'retard', baking: false },
        ...{ from: retard.from * MIN, to: retard.to * MIN },
      },
      {
        ...{ probe: 'proofer', within: false, step: 'proof', baking: false },
        ...{ from: proof.from * MIN, to: proof.to * MIN },
      },
    ]);
  });

  it('change where somebody has put it elsewhere, and not from shelf to shelf', () => {
    const dough = stood({ retard: 'retarder' }, [
      { step: 'retard', after: 60, data: moved('retarder', 3) },
      { step: 'retard', after: 120, data: moved('cellar') },
      { step: 'retard', after: 180, data: moved('cellar', 2) },
    ]);
    const { from, to } = minutesOf(dough, 'retard');
    expect(probeSpans(dough, LATER).map((stay) => [stay.probe, stay.from / MIN, stay.to / MIN])).toEqual([
      ['retarder', from, from + 120],
      ['cellar', from + 120, to],
    ]);
  });

  it('know each core probe from when it was put in until it was taken out, or the wait was over', () => {
    const dough = stood({}, [
      { step: 'retard', after: 10, data: coreProbe('core-1') },
      { step: 'retard', after: 70, data: coreProbe(null) },
      { step: 'retard', after: 100, data: coreProbe('core-2') },
    ]);
    const { from, to } = minutesOf(dough, 'retard');
    expect(
      probeSpans(dough, LATER).map((stay) => [stay.probe, stay.within, stay.from / MIN, stay.to / MIN]),
    ).toEqual([
      ['core-1', true, from + 10, from + 70],
      ['core-2', true, from + 100, to],
    ]);
  });

  it('forget what was taken back', () => {
    const dough = stood({ retard: 'retarder' }, [{ step: 'retard', after: 60, data: moved('cellar') }]);
    const wrong = dough.events.at(-1);
    const undo = did('undo', wrong?.stepKey ?? '', 5000, { undoes: wrong?.id ?? '' });
    expect(
      probeSpans({ ...dough, events: [...dough.events, undo] }, LATER).map(({ probe }) => probe),
    ).toEqual(['retarder']);
  });

  it('end now while the wait goes on, and say nothing of waits to come', () => {
    const dough = stood({ retard: 'retarder', proof: 'proofer' });
    const { from } = minutesOf(dough, 'retard');
    const young = { ...dough, events: dough.events.filter(({ at }) => at <= from * MIN) };
    expect(inEnglish(probeSpans(young, (from + 45) * MIN))).toMatchObject([
      { probe: 'retarder', from: from * MIN, to: (from + 45) * MIN },
    ]);
  });

  it('never overlap and never leave the wait, whatever was said when', () => {
    const { from, to } = minutesOf(baked(), 'retard');
    const told = fc.array(
      fc.record({
        step: fc.constant('retard'),
        after: fc.integer({ min: -60, max: 700 }),
        data: fc.oneof(
          fc.constantFrom('retarder', 'cellar', 'bakery').map((place) => moved(place)),
          fc.constantFrom('core-1', 'core-2', null).map(coreProbe),
        ),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(told, (recorded) => {
        const stays = probeSpans(stood({ retard: 'retarder' }, recorded), LATER);
        for (const within of [true, false]) {
          const own = stays.filter((stay) => stay.within === within);
          own.forEach((stay, i) => {
            expect(stay.from).toBeGreaterThanOrEqual(from * MIN);
            expect(stay.to).toBeLessThanOrEqual(Math.min(to * MIN, own[i + 1]?.from ?? Infinity));
            expect(stay.to).toBeGreaterThan(stay.from);
          });
        }
      }),
    );
  });
});

describe('a stay in numbers', () => {
  const point = (at: number, celsius: number, swing = 0) => {
    return { at, celsius, lowest: celsius - swing, highest: celsius + swing, humidity: null };
  };

  it('takes lows and highs from within each point, first and last from the points', () => {
    expect(spanFigures([point(0, 18), point(HOUR, 9, 2), point(2 * HOUR, 4.5, 1)])).toEqual({
      ...{ first: 18, last: 4.5, lowest: 3.5, highest: 18 },
    });
  });

  it('has none where nothing was heard', () => {
    expect(spanFigures([])).toBeNull();
  });
});

describe('what was measured by hand', () => {
  it('is told in order of time, with the step it was measured on', () => {
    const dough = baked([
      { step: 'bake', kind: 'temperature', celsius: 96 },
      { step: 'mix', kind: 'temperature', celsius: 24.5 },
    ]);
    expect(inEnglish(readByHand(dough))).toMatchObject([
      { step: 'bake', baking: true, celsius: 96 },
      { step: 'mix', baking: false, celsius: 24.5 },
    ]);
  });
});
