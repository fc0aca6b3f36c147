import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { did, MIN, smallDough } from '../../../test-support/floor';
import type { FloorEvent } from './events';
import { foldDough } from './state';
import { countTurns, turnMessage } from './turns';
import { inEnglish } from '../../../test-support/words';

const dough = smallDough();
const stepOf = (events: FloorEvent[], key: string) => foldDough(dough, events).steps.get(key);

describe('the state of a dough', () => {
  it('begins with what nothing holds up: mixing and the butter block', () => {
    const { steps, started } = foldDough(dough, []);
    expect([...steps.values()].filter((s) => s.startable).map((s) => s.key)).toEqual(['mix', 'butter']);
    expect(started).toBe(false);
  });

  it('lets a wait run from the end of the work before it to the start of the work after it', () => {
    const mixed = [
      did('start', 'mix', 0),
      did('finish', 'mix', 16),
      did('start', 'butter', 400),
      did('finish', 'butter', 410),
    ];
    expect(stepOf(mixed, 'retard')).toMatchObject({ status: 'running', startedAt: 16 * MIN });
    expect(stepOf([...mixed, did('start', 'lock-in', 530)], 'retard')).toMatchObject({
      status: 'done',
      finishedAt: 530 * MIN,
    });
    expect(stepOf([...mixed, did('start', 'lock-in', 530)], 'temper')).toMatchObject({
      status: 'done',
      finishedAt: 530 * MIN,
    });
  });

  it('goes on behind waits that follow one another: whoever begins the next step ends them all', () => {
    const at = dough.steps.findIndex(({ key }) => key === 'retard');
    const retard = dough.steps[at];
    if (!retard) throw new Error('the dough has a retard');
    const second = { ...retard, key: 'retard-2' };
    const links = dough.links.map((link) => (link.from === 'retard' ? { ...link, from: 'retard-2' } : link));
    const twice = {
      steps: dough.steps.toSpliced(at + 1, 0, second),
      links: [...links, { from: 'retard', to: 'retard-2', min: 0, max: 0 }],
    };
    const both = [
      did('start', 'mix', 0),
      did('finish', 'mix', 16),
      did('start', 'butter', 400),
      did('finish', 'butter', 410),
    ];
    expect(foldDough(twice, both).steps.get('lock-in')?.startable).toBe(true);
    const begun = foldDough(twice, [...both, did('start', 'lock-in', 530)]).steps;
    expect([begun.get('retard')?.status, begun.get('retard-2')?.status]).toEqual(['done', 'done']);
  });

  it('holds the lock-in until dough and butter are both there', () => {
    const mixed = [did('start', 'mix', 0), did('finish', 'mix', 16)];
    expect(stepOf(mixed, 'lock-in')?.startable).toBe(false);
    const both = [...mixed, did('start', 'butter', 400), did('finish', 'butter', 410)];
    expect(stepOf(both, 'lock-in')?.startable).toBe(true);
  });

  it('ends a bake only when somebody takes it out', () => {
    const steps = ['mix', 'butter', 'lock-in', 'turn-1', 'turn-2', 'sheet', '5.1.shape', '5.1.load'];
    const events = steps.flatMap((key, i) => [did('start', key, i * 600), did('finish', key, i * 600 + 10)]);
    expect(stepOf(events, '5.1.bake')?.status).toBe('running');
    expect(stepOf(events, '5.1.finish')?.startable).toBe(false);
    const out = [...events, did('finish', '5.1.bake', 5000)];
    expect(stepOf(out, '5.1.bake')).toMatchObject({ status: 'done', finishedAt: 5000 * MIN });
    expect(stepOf(out, '5.1.finish')?.startable).toBe(true);
  });

  it('lets the first of two tablets count, in whatever order their events arrive', () => {
    const events = [
      did('start', 'mix', 0),
      did('finish', 'mix', 15, { personId: 2 }),
      did('finish', 'mix', 17, { personId: 3 }),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: 3 }), (order) => {
        expect(stepOf(order, 'mix')).toMatchObject({ status: 'done', finishedAt: 15 * MIN, finishedBy: 2 });
      }),
    );
  });

  it('skips with a reason and goes on behind it', () => {
    const skipped = stepOf([did('skip', 'butter', 3, { text: 'bought in sheets' })], 'butter');
    expect(skipped).toMatchObject({ status: 'skipped', skipReason: 'bought in sheets' });
    expect(stepOf([did('skip', 'butter', 3, { text: 'x' })], 'temper')?.status).toBe('running');
  });

  it('keeps temperatures and notes with their step, and notes on the whole dough apart', () => {
    const events = [
      did('temperature', 'mix', 15, { celsius: 24.5 }),
      did('note', 'mix', 16, { text: 'sticky' }),
    ];
    const state = foldDough(dough, [
      ...events,
      { ...did('note', '', 20, { text: 'for the market' }), stepKey: null },
    ]);
    expect(state.steps.get('mix')).toMatchObject({
      temperatures: [{ celsius: 24.5 }],
      notes: [{ text: 'sticky' }],
    });
    expect(state.notes).toMatchObject([{ text: 'for the market' }]);
  });

  it('is finished when every step is done or skipped', () => {
    const all = dough.steps.map(({ key }, i) => did('skip', key, i, { text: 'x' }));
    expect(foldDough(dough, all).finished).toBe(true);
    expect(foldDough(dough, all.slice(1)).finished).toBe(false);
  });
});

describe('the count of turns', () => {
  it('follows what was recorded', () => {
    const count = (events: FloorEvent[]) => countTurns(dough.steps, foldDough(dough, events));
    expect(count([])).toMatchObject({ done: 0, of: 2, running: null });
    const once = [did('start', 'turn-1', 0), did('finish', 'turn-1', 9)];
    expect(count(once)).toMatchObject({ done: 1, of: 2, running: null });
    const again = count([...once, did('start', 'turn-2', 60)]);
    expect(inEnglish(again && turnMessage(again))).toBe('turn 2 of 2 under way');
  });

  it('takes a turn back that was undone', () => {
    const start = did('start', 'turn-1', 0);
    const finish = did('finish', 'turn-1', 9);
    const events = [start, finish, did('undo', 'turn-1', 10, { undoes: finish.id })];
    expect(countTurns(dough.steps, foldDough(dough, events))).toMatchObject({ done: 0, of: 2, running: 1 });
  });
});
