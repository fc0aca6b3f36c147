import { describe, expect, it } from 'vitest';
import { did, forecastAt, MIN, plannedRecord } from '../../../test-support/floor';
import type { FloorEvent, PieceCount } from '../record/events';
import { bakeBefore, rackAndCount, rackOf } from './rack';

const BAKE = '5.1.bake';
const COUNT: PieceCount = { kind: 'counted', good: 38, second: 1, waste: 1 };
const COOL = '5.1.cool';
const RACK = '5.1.finish';

/** The small dough with an hour of cooling between its bake and its racking. */
function cooling(events: FloorEvent[], minute = 0) {
  const record = plannedRecord(events);
  const rack = record.steps.find(({ key }) => key === RACK);
  if (!rack) throw new Error('The small dough is racked.');
  const wait = { shortest: 60, best: 70, longest: 600, shortCost: 1, longCost: 1 };
  const cool = {
    ...rack,
    ...{ key: COOL, min: 60, target: 70, max: 600 },
    step: { ...rack.step, id: 'cool', kind: 'cool' as const, wait },
  };
  delete (cool.step as Partial<typeof cool.step>).work;
  const links = record.links.flatMap((link) =>
    link.to === RACK
      ? [
          { ...link, to: COOL },
          { ...link, from: COOL },
        ]
      : [link],
  );
  const steps = [...record.steps.slice(0, -1), cool, rack];
  return forecastAt({ ...record, steps, links }, minute);
}

const plain = cooling([]);
const bake = plain.steps.find(({ key }) => key === BAKE) ?? { key: '' };
const rack = rackOf(plain, bake);

/** Everything up to the bake done, which came out at minute 1020. */
function baked(minute: number, ...events: FloorEvent[]) {
  const upTo = plain.steps.slice(
    0,
    plain.steps.findIndex(({ key }) => key === BAKE),
  );
  const done = upTo
    .filter(({ step }) => step.work)
    .flatMap(({ key }, i) => [did('start', key, 900 + 2 * i), did('finish', key, 901 + 2 * i)]);
  return cooling([...done, did('finish', BAKE, 1020), ...events], minute);
}
const kinds = (at: number, ...events: FloorEvent[]) =>
  rackAndCount(baked(at, ...events), bake, COUNT, at * MIN).map(({ stepKey, kind }) => [stepKey, kind]);

describe('racking', () => {
  it('is the work after the bake, and knows its bake', () => {
    expect(rack?.step.kind).toBe('finish');
    expect(bakeBefore(plain, rack ?? bake)?.key).toBe(BAKE);
    expect(bakeBefore(plain, bake)).toBeNull();
    expect(rackOf(plain, { key: 'mix' })).toBeNull();
  });

  it('is done with the count where it has cooled or is under way, and is left where it is hot', () => {
    expect(kinds(1021)).toEqual([[BAKE, 'count']]);
    expect(kinds(1200)).toEqual([
      [BAKE, 'count'],
      [rack?.key, 'start'],
      [rack?.key, 'finish'],
    ]);
    const begun = did('start', rack?.key ?? '', 1100);
    expect(kinds(1101, begun)).toEqual([
      [BAKE, 'count'],
      [rack?.key, 'finish'],
    ]);
  });

  it('is over once: a count that is corrected records nothing else', () => {
    const over = [did('start', rack?.key ?? '', 1100), did('finish', rack?.key ?? '', 1110)];
    expect(kinds(1200, ...over)).toEqual([[BAKE, 'count']]);
  });
});
