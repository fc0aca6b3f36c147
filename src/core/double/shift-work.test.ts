import { describe, expect, it } from 'vitest';
import { boardOf } from '../../../test-support/board';
import { did, forecastAt, MIN, plannedRecord } from '../../../test-support/floor';
import type { Person } from '@/core/bakery/people';
import type { FloorEvent } from '@/core/record/events';
import { handoverTaps } from './handover-taps';
import { crewTaps, onShift, type CrewLook } from './shift-work';

const person = (id: number, more: Partial<Person> = {}): Person => ({
  ...{ id, name: `Baker ${id}`, role: 'baker', team: 'nights' },
  ...more,
});

/** A bakery with one small dough, as it is at a minute. */
function lookAt(
  minute: number,
  events: FloorEvent[],
  more: Partial<CrewLook> = {},
  people = [person(1)],
): CrewLook {
  const record = plannedRecord(events);
  const there = people.map(({ id }) => ({ personId: id, start: 0, end: 5000 * MIN }));
  return {
    ...{ now: minute * MIN, seed: 1, seated: new Set<number>(), doughs: [forecastAt(record, minute)] },
    board: boardOf({ people, presences: there, doughs: [record] }),
    ...more,
  };
}

const said = (look: CrewLook) =>
  crewTaps(look).map(({ personId, stepKey, body }) => `${personId} ${stepKey} ${body.kind}`);

describe('a crew', () => {
  it('begins what is due, one thing each, and nothing before it is', () => {
    expect(said(lookAt(5, []))).toEqual(['1 mix start']);
    expect(said(lookAt(125, [], {}, [person(1), person(2)]))).toEqual(['1 mix start', '2 butter start']);
    const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];
    expect(said(lookAt(20, mixed))).toEqual([]);
  });

  it('ends work when it is done, by whoever began it, with what was measured', () => {
    const begun = [did('start', 'mix', 0)];
    expect(said(lookAt(8, begun))).toEqual([]);
    expect(said(lookAt(60, begun))).toEqual(['1 mix temperature', '1 mix finish']);
    const [measured] = crewTaps(lookAt(60, begun));
    // The mixer gives 24 °C; the day and the thermometer are off by a little.
    expect(measured?.body.kind === 'temperature' && Math.abs(measured.body.celsius - 24)).toBeLessThan(3);
  });

  it('leaves to a visitor what is theirs: their place, and what they have begun', () => {
    const seated = new Set([1]);
    expect(onShift(lookAt(5, [], { seated }))).toEqual([]);
    expect(said(lookAt(5, [], { seated }))).toEqual([]);
    expect(said(lookAt(200, [did('start', 'mix', 0)], { seated }, [person(1), person(2)]))).toEqual([
      '2 butter start',
    ]);
  });

  it('takes over what somebody has left who is not there any more', () => {
    const begun = [did('start', 'mix', 0, { personId: 9 })];
    expect(said(lookAt(60, begun))).toContain('1 mix finish');
  });

  it('asks of nobody what they do not know, and of a helper no judgement', () => {
    expect(said(lookAt(5, [], {}, [person(1, { skills: ['bake'] })]))).toEqual([]);
    expect(said(lookAt(5, [], {}, [person(1, { role: 'helper' })]))).toEqual([]);
  });

  it('is nobody where nobody is on shift', () => {
    const look = lookAt(5, []);
    expect(crewTaps({ ...look, board: { ...look.board, presences: [] } })).toEqual([]);
  });

  it('presses a dough before it is rolled, and leaves one that springs back', () => {
    const turned = ['mix', 'butter', 'lock-in', 'turn-1'].flatMap((key, i) => [
      did('start', key, 100 * i),
      did('finish', key, 100 * i + 20),
    ]);
    const rest = plannedRecord([]).steps.find(({ step }) => step.kind === 'rest' && !step.branch);
    const rested = (minutes: number) => {
      const look = lookAt(320 + minutes, [...turned, did('start', rest?.key ?? '', 320)]);
      const doughs = look.doughs.map((dough) => ({
        ...dough,
        steps: dough.steps.map((step) =>
          step.key === 'turn-2' ? { ...step, dueAt: look.now, mayStart: look.now - 30 * MIN } : step,
        ),
      }));
      return said({ ...look, doughs }).filter((tap) => /rest|turn-2/.test(tap));
    };
    expect(rested(20)).toEqual([`1 ${rest?.key} check`]);
    expect(rested(90)).toEqual(['1 turn-2 start']);
  });

  it('counts and marks what comes out; a helper counts, and leaves the marks to bakers', () => {
    const baked = ['mix', 'butter', 'lock-in', 'turn-1', 'turn-2', 'sheet', '5.1.shape', '5.1.load'].flatMap(
      (key, i) => [did('start', key, 100 * i), did('finish', key, 100 * i + 20)],
    );
    const racking = [...baked, did('finish', '5.1.bake', 760), did('start', '5.1.finish', 770)];
    const at = (people: Person[]) => said(lookAt(800, racking, {}, people));
    expect(at([person(1)])).toEqual(['1 5.1.bake count', '1 5.1.finish marks', '1 5.1.finish finish']);
    expect(at([person(1, { role: 'helper' })])).toEqual(['1 5.1.bake count', '1 5.1.finish finish']);
  });

  it('puts two loads of one look onto decks of their own', () => {
    const done = ['mix', 'butter', 'lock-in', 'turn-1', 'turn-2', 'sheet', '5.1.shape'].flatMap((key, i) => [
      did('start', key, 60 * i),
      did('finish', key, 60 * i + 20),
    ]);
    const records = [1, 2].map((id) => ({
      ...plannedRecord(done.map((event) => ({ ...event, id: `${event.id} ${id}`, doughId: id }))),
      id,
    }));
    const people = [person(1), person(2)];
    const look = lookAt(900, [], {}, people);
    const doughs = records.map((record) => forecastAt(record, 900));
    const decks = { oven: { count: 3, perDeck: 4, whole: { ratio: 1, spread: 0, bakes: 0 }, each: [] } };
    const taps = crewTaps({ ...look, doughs, board: { ...look.board, doughs: records, decks } });
    const onto = taps.flatMap(({ body }) =>
      body.kind === 'deck' && body.data.kind === 'decks' ? [body.data.decks] : [],
    );
    expect(onto).toHaveLength(2);
    expect(new Set(onto.flat()).size).toBe(onto.flat().length);
  });

  it('does the same at the same look', () => {
    const look = lookAt(60, [did('start', 'mix', 0)]);
    expect(crewTaps(look)).toEqual(crewTaps(look));
  });
});

describe('a change of shift', () => {
  const note = { id: 7, at: 0, by: 'Baker 2', words: 'The sheeter slips.', readBy: [] };
  const WORDS = [note];
  it('leaves words at its end, and reads those of others at its beginning', () => {
    const begun = [did('start', 'mix', 4900)];
    const [left] = handoverTaps(lookAt(4990, begun), WORDS);
    expect(left).toMatchObject({ personId: 1, shift: 0 });
    expect(left && 'words' in left && left.words).toMatch(/^Still going: Crescent 1\./);
    expect(handoverTaps(lookAt(10, []), WORDS)).toEqual([{ personId: 1, handover: 7 }]);
    expect(handoverTaps(lookAt(10, []), [{ ...note, readBy: ['Baker 1'] }])).toEqual([]);
    expect(handoverTaps(lookAt(10, []), [{ ...note, by: 'Baker 1' }])).toEqual([]);
    expect(handoverTaps(lookAt(2000, []), WORDS)).toEqual([]);
  });
});
