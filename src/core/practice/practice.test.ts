import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { MIN } from '../../../test-support/floor';
import {
  type Baker,
  BY_THE_CLOCK,
  looksFirst,
  OPENS,
  practiceBoard,
  sceneFor,
  TRAINEE,
  worked,
} from '../../../test-support/practised';
import { playedBatch } from '../double/played-batch';
import { forecastDough } from '../forecast/forecast';
import { stateOf } from '../record/dough';
import { conditionsOf } from '../wire/board';
import { bodyOf, lookAt, nightDough, truthAt } from './looks';
import { boardAt, doneFrom, openRecord, refusal } from './night';
import type { NightRecord } from './night-record';
import { replayScene, replaySteps, vigourOf } from './replay';
import { reviewNight } from './review';
import type { Scene } from './scene';
import { SITUATION_IDS, SITUATIONS } from './situation';

const codes = (scene: Scene, record: NightRecord) =>
  reviewNight(scene, record).moments.map(({ what }) => what.code);

/** The doughs of a night as they stand, with the first of them. */
function standing(scene: Scene, record: NightRecord) {
  const board = boardAt(scene, record);
  const doughs = board.doughs.map((dough) => forecastDough(dough, conditionsOf(board), record.at));
  const first = nightDough(board.doughs, doughs, 100);
  if (!first) throw new Error('The night has a dough.');
  const inHand = first.forecast.steps.find(
    ({ status, step }) => status === 'running' && step.branch === undefined,
  );
  if (!inHand) throw new Error('Something is under way.');
  return { board, doughs, first, inHand };
}

describe('a scene', () => {
  it('opens where its situation has it: what came before is recorded, the rest is planned', () => {
    const scene = sceneFor(SITUATIONS.calm);
    const { first, inHand } = standing(scene, openRecord(scene));
    expect(inHand.step.kind).toBe('proof');
    expect((OPENS - inHand.start) / MIN).toBeCloseTo(60, 5);
    expect(first.record.events.every(({ at }) => at <= OPENS)).toBe(true);
    expect(first.record.events.every(({ personId }) => personId !== TRAINEE.id)).toBe(true);
    const later = first.record.steps.filter(({ plannedStart }) => plannedStart > OPENS);
    expect(later.map(({ step }) => step.kind)).toEqual(
      expect.arrayContaining(['wash', 'load', 'bake', 'finish']),
    );
    expect(first.record.outputs[0]?.dueAt).toBeGreaterThan(OPENS);
  });

  it('is the same for the same seed, and leaves the house’s board alone', () => {
    expect(sceneFor(SITUATIONS.full, 4)).toEqual(sceneFor(SITUATIONS.full, 4));
    expect(sceneFor(SITUATIONS.full, 4).hidden).not.toEqual(sceneFor(SITUATIONS.full, 5).hidden);
    expect(practiceBoard().doughs).toEqual([]);
  });
});

describe('every night that ships', () => {
  it.each(SITUATION_IDS)('%s: whoever looks first makes most of it good', (id) => {
    const scene = sceneFor(SITUATIONS[id]);
    const { good, possible, unmade } = reviewNight(scene, worked(scene, looksFirst()));
    expect(possible.good).toBeGreaterThan(30);
    // Butter that runs in a hot proofer is saved by nobody who leaves the load there.
    const least = id === 'hotProofer' ? 0.6 : 0.9;
    expect({ id, unmade, share: good / possible.good >= least }).toEqual({ id, unmade: 0, share: true });
  });

  it.each(['slow', 'fast', 'lateNote', 'blindProbe', 'dryProofer', 'full'] as const)(
    '%s: whoever goes by the clock loses pieces that a look saves',
    (id) => {
      const scene = sceneFor(SITUATIONS[id]);
      const [looked, clock] = [looksFirst(), BY_THE_CLOCK].map((baker) =>
        reviewNight(scene, worked(scene, baker)),
      );
      expect(clock?.good).toBeLessThan((looked?.good ?? 0) - 3);
      expect(codes(scene, worked(scene, BY_THE_CLOCK))).toEqual(
        expect.arrayContaining([expect.stringMatching(/practice\.(endedEarly|endedLate|spoilt)/)]),
      );
    },
  );
});

describe('what is found', () => {
  it('a thermometer shows what a probe hides', () => {
    const [blind, calm] = [SITUATIONS.blindProbe, SITUATIONS.calm].map((situation) => sceneFor(situation));
    const core = (scene: Scene | undefined) => {
      if (!scene) throw new Error('There is a scene.');
      const record = { ...openRecord(scene), at: OPENS + 45 * MIN };
      const { first, inHand, board } = standing(scene, record);
      const look = lookAt(scene, first, { step: inHand, sense: 'thermometer', at: record.at });
      const celsius = look.found.sense === 'thermometer' ? look.found.celsius : NaN;
      return { celsius, shown: board.places.find(({ place }) => place === 'proofer')?.celsius, look };
    };
    expect(core(blind).shown).toBe(26);
    expect(core(blind).celsius).toBeLessThan(core(calm).celsius - 2);
    expect(bodyOf(core(blind).look)).toEqual({ kind: 'temperature', celsius: core(blind).celsius });
  });

  it('a probe shows what is wrong with its place where it can', () => {
    const scene = sceneFor(SITUATIONS.hotProofer);
    const shown = (minutes: number) =>
      boardAt(scene, { ...openRecord(scene), at: OPENS + minutes * MIN }).places.find(
        ({ place }) => place === 'proofer',
      )?.celsius;
    expect([shown(0), shown(30)]).toEqual([26, 32]);
  });

  it('a thermometer that is off is off by that everywhere', () => {
    const read = (thermometer: number) => {
      const scene = sceneFor({ ...SITUATIONS.calm, thermometer });
      const { first, inHand } = standing(scene, openRecord(scene));
      const { found } = lookAt(scene, first, { step: inHand, sense: 'thermometer', at: OPENS });
      return found.sense === 'thermometer' ? found.celsius : NaN;
    };
    expect(read(3) - read(0)).toBeCloseTo(3, 5);
  });

  it('a block that was turned just now springs back, whatever the record says, and tears when it is rolled', () => {
    const scene = sceneFor(SITUATIONS.shortRest);
    const { first, inHand } = standing(scene, openRecord(scene));
    const { found } = lookAt(scene, first, { step: inHand, sense: 'hand', at: OPENS });
    expect(found).toMatchObject({ check: 'spring', answer: 'springs' });
    const spoilt = (baker: Baker) =>
      reviewNight(scene, worked({ ...scene, closesAt: OPENS + 9 * 60 * MIN }, baker)).loads[0]?.spoilt;
    expect(spoilt({ ...looksFirst(), begins: () => true })).toContain('torn');
    expect(spoilt(looksFirst())).not.toContain('torn');
  });

  it('a dough is warmer at its core than at its surface while it cools, and colder while it warms', () => {
    const scene = sceneFor(SITUATIONS.calm);
    const { first, inHand } = standing(scene, openRecord(scene));
    const piece = { shape: 'cylinder', mm: 45, lying: 'tray' } as const;
    const steps = first.record.steps.map((one) =>
      one.key === inHand.key ? { ...one, step: { ...one.step, piece } } : one,
    );
    const record = { ...first.record, steps };
    const proofing = truthAt(scene, { ...first, record }, inHand.key, inHand.start + 15 * MIN);
    expect(proofing.core).toBeLessThan(proofing.celsius);
    expect(proofing.celsius).toBeLessThan(proofing.surface);
  });
});

describe('a night has one pair of hands, and work takes its time', () => {
  const scene = sceneFor(SITUATIONS.two);
  const zone = 'UTC';
  const begun = () => {
    const { first } = standing(scene, openRecord(scene));
    const wash = first.forecast.steps.find(({ step }) => step.kind === 'wash');
    const event = {
      id: 'a',
      doughId: 100,
      stepKey: wash?.key ?? '',
      kind: 'start' as const,
      at: OPENS,
      personId: 7,
    };
    const events = [{ ...event, celsius: null, text: null, undoes: null, data: null }];
    return { record: { ...openRecord(scene), events }, key: wash?.key ?? '' };
  };

  it('nothing else is begun meanwhile, and nothing is done before it can be', () => {
    const { record, key } = begun();
    const { doughs } = standing(scene, { ...record, at: OPENS + MIN });
    const other = doughs[1]?.steps.find(({ step }) => step.kind === 'wash');
    const at = (minutes: number) => ({ now: OPENS + minutes * MIN, zone });
    expect(refusal(doughs, { doughId: 101, stepKey: other?.key ?? '', kind: 'start' }, at(1))?.code).toBe(
      'practice.handsFull',
    );
    const finish = { doughId: 100, stepKey: key, kind: 'finish' } as const;
    expect(refusal(doughs, finish, at(1))?.code).toBe('practice.notDoneBefore');
    const wash = doughs[0]?.steps.find((step) => step.key === key);
    expect(wash && refusal(doughs, finish, { now: doneFrom(wash), zone })).toBeNull();
    expect(refusal(doughs, { doughId: 100, stepKey: key, kind: 'note', text: 'x' }, at(1))).toBeNull();
  });
});

describe('a review', () => {
  it('says of a quiet night that it was worked well, and hides nothing', () => {
    const scene = sceneFor(SITUATIONS.calm);
    const told = codes(scene, worked(scene, looksFirst()));
    expect(told).toContain('practice.endedRight');
    expect(told.filter((code) => code.startsWith('practice.rose') || code === 'practice.endedLate')).toEqual(
      [],
    );
  });

  it('tells what was wrong, and what would have shown it', () => {
    const hidden = (id: keyof typeof SITUATIONS) => {
      const scene = sceneFor(SITUATIONS[id]);
      return reviewNight(scene, openRecord(scene))
        .moments.filter(({ how }) => how === 'hidden')
        .map(({ what, shown }) => [what.code, shown?.code]);
    };
    expect(hidden('slow')).toEqual([['practice.roseOtherwise', undefined]]);
    expect(hidden('blindProbe')).toContainEqual(['practice.placeWasOff', 'practice.probeWasWrong']);
    expect(hidden('coldProofer')).toContainEqual(['practice.placeWasOff', 'practice.probeTells']);
    expect(hidden('lateNote')).toContainEqual(['practice.begunOtherwise', 'practice.lookTells']);
    expect(hidden('thermometer')).toContainEqual([
      'practice.thermometerOff',
      'practice.secondThermometerTells',
    ]);
  });

  it('counts as not made what was not out of the oven', () => {
    const scene = sceneFor(SITUATIONS.two);
    const nothing = { ...openRecord(scene), at: scene.closesAt };
    const { unmade, good, moments } = reviewNight(scene, nothing);
    expect([unmade, good]).toEqual([80, 0]);
    expect(moments.map(({ what }) => what.code)).toEqual(
      expect.arrayContaining(['practice.leftTooLong', 'practice.notOut']),
    );
  });

  it('of one dough in the proofer knows when it was really ready, to some minutes', () => {
    const scene = sceneFor(SITUATIONS.calm);
    const { windows } = reviewNight(scene, worked(scene, looksFirst()));
    const { window, ended } = windows[0] ?? {};
    expect(window).not.toBeNull();
    expect(ended).toBeGreaterThanOrEqual((window?.from ?? 0) - 10 * MIN);
    expect(window?.to).toBeGreaterThan(window?.from ?? 0);
  });
});

describe('a batch that is played again', () => {
  const { record, heard } = playedBatch(crescentDough(100), {}, 5);
  const parts = (stepKey: string) => ({
    ...{ dough: record, heard, stepKey, board: practiceBoard(), trainee: TRAINEE, opensAt: OPENS, seed: 1 },
  });

  it('opens just after the step was begun, with what was recorded until then', () => {
    const proof = replaySteps(record).at(-1)?.key ?? '';
    const scene = replayScene(parts(proof));
    const { inHand, first } = standing(scene as Scene, openRecord(scene as Scene));
    expect(inHand.key).toBe(proof);
    expect((OPENS - inHand.start) / MIN).toBeCloseTo(5, 5);
    const begun = stateOf(record).steps.get(proof)?.startedAt ?? 0;
    expect(first.record.events).toHaveLength(record.events.filter(({ at }) => at <= begun + 5 * MIN).length);
  });

  it('rises as that batch did: slower where it was judged under at its time', () => {
    expect(vigourOf(record, heard)).toBe(1);
    const key = replaySteps(record).at(-1)?.key ?? '';
    const at = stateOf(record).steps.get(key)?.finishedAt ?? 0;
    const judged = (verdict: 'under' | 'right' | 'over') => {
      const own = {
        id: 'v',
        doughId: 100,
        stepKey: key,
        at,
        personId: 2,
        celsius: null,
        text: null,
        undoes: null,
      };
      const event = { ...own, kind: 'verdict' as const, data: { kind: 'verdict' as const, verdict } };
      return vigourOf({ ...record, events: [...record.events, event] }, heard);
    };
    expect(judged('under')).toBeLessThan(judged('right'));
    expect(judged('right')).toBeLessThan(judged('over'));
  });

  it('is none from a step that was never begun', () => {
    expect(replayScene(parts('nowhere'))).toBeNull();
    expect(replaySteps(crescentDough())).toEqual([]);
  });
});
