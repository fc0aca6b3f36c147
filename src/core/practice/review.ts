import { coded, type Coded } from '../codes/coded';
import { truthIn } from '../double/dough-truth';
import { forecastDough, type StepForecast } from '../forecast/forecast';
import { UNKNOWN_CONDITIONS } from '../forecast/conditions';
import { stateOf } from '../record/dough';
import { type Instant, MINUTE } from '../time/local';
import { nightDough, riseOf } from './looks';
import { airIn, boardAt } from './night';
import type { NightDough, NightRecord } from './night-record';
import { hiddenMoments } from './hidden-moments';
import type { Moment } from './moment';
import { type LoadOutcome, outcomes } from './outcome';
import type { Scene } from './scene';

/** When a rise was really ready: from its least to its most. */
export interface TrueWindow {
  from: Instant;
  to: Instant;
}

/** A practice night as it was, against what it could have been. */
export interface NightReview {
  moments: Moment[];
  loads: LoadOutcome[];
  /** When each decisive rise was really ready, by dough and step. */
  windows: { doughId: number; stepKey: string; ended: Instant | null; window: TrueWindow | null }[];
  good: number;
  second: number;
  waste: number;
  /** Pieces of loads that were not out when it ended. */
  unmade: number;
  /** What the same doughs give in a night without a fault or a slip. */
  possible: { good: number; waste: number };
}

/** A rise is followed for so long at most, hours, in steps of so many minutes. */
const FOLLOWED = { hours: 14, every: 3 };

/** When a wait was, or would have been, really ready, had nobody ended it. */
export function trueWindow(
  scene: Scene,
  { record, forecast }: NightDough,
  wait: StepForecast,
): TrueWindow | null {
  const rise = riseOf(record, wait);
  const ended = forecast.state.steps.get(wait.key)?.finishedAt ?? Infinity;
  const dough = { ...record, events: record.events.filter(({ at }) => at < ended) };
  const state = stateOf(dough);
  const begun = state.steps.get(wait.key)?.startedAt;
  if (!rise || begun === null || begun === undefined) return null;
  const hidden = scene.hidden[record.id] ?? { vigour: 1, warmer: 0 };
  const risenAt = (at: Instant) =>
    truthIn({ dough, state, hidden, airOf: airIn(scene) }, wait.key, at).risen ?? 0;
  const reached = (share: number, from: Instant): Instant | null => {
    for (let at = from; at <= begun + FOLLOWED.hours * 60 * MINUTE; at += FOLLOWED.every * MINUTE)
      if (risenAt(at) >= share) return at;
    return null;
  };
  const from = reached(rise.early, begun);
  const to = from === null ? null : reached(rise.late, from);
  return from === null ? null : { from, to: to ?? begun + FOLLOWED.hours * 60 * MINUTE };
}

/** What went on in a night: reviewed when it is over, or as far as it has gone. */
export function reviewNight(scene: Scene, record: NightRecord): NightReview {
  const { doughs: records } = boardAt(scene, record);
  const forecasts = records.map((dough) => forecastDough(dough, UNKNOWN_CONDITIONS, record.at));
  const doughs = records.flatMap(({ id }) => nightDough(records, forecasts, id) ?? []);
  const loads = doughs.flatMap((dough) => outcomes(scene, dough, record.at));
  const rises = doughs.flatMap((dough) =>
    dough.forecast.steps.flatMap((wait) =>
      wait.step.rise?.decides && wait.status !== 'open' && wait.end >= scene.opensAt
        ? [{ dough, wait, window: trueWindow(scene, dough, wait) }]
        : [],
    ),
  );
  const sum = (of: (load: LoadOutcome) => number) => loads.reduce((all, load) => all + of(load), 0);
  return {
    moments: [
      ...hiddenMoments(scene, doughs),
      ...rises.flatMap((rise) => riseMoments(scene, record, rise)),
      ...loads.flatMap((load) => loadMoments(scene, record, load)),
    ].sort((a, b) => a.at - b.at),
    loads,
    windows: rises.map(({ dough, wait, window }) => ({
      ...{ doughId: dough.record.id, stepKey: wait.key, window },
      ended: wait.status === 'done' ? wait.end : null,
    })),
    good: sum(({ counted }) => counted?.good ?? 0),
    second: sum(({ counted }) => counted?.second ?? 0),
    waste: sum(({ counted }) => counted?.waste ?? 0),
    unmade: sum(({ counted, pieces }) => (counted ? 0 : pieces)),
    possible: { good: sum(({ possible }) => possible.good), waste: sum(({ possible }) => possible.waste) },
  };
}

interface RiseOfNight {
  dough: NightDough;
  wait: StepForecast;
  window: TrueWindow | null;
}

/** How a rise was judged: in time, too early, too late; and what a look would have shown. */
function riseMoments(scene: Scene, record: NightRecord, { dough, wait, window }: RiseOfNight): Moment[] {
  const { id, name } = dough.record;
  const { zone } = scene.board.house;
  const clock = (at: Instant) => ({ clock: at, zone });
  const looks = record.looks.filter(
    ({ doughId, stepKey, found }) => doughId === id && stepKey === wait.key && found.sense === 'eye',
  );
  const moment = (how: Moment['how'], what: Coded, shown: Coded | null = null): Moment[] => [
    { at: wait.status === 'done' ? wait.end : record.at, doughId: id, how, what, shown },
  ];
  const names = { dough: name, step: wait.label };
  if (!window)
    return moment(
      'missed',
      coded('practice.neverReady', names),
      coded('practice.lookShows', { verdict: 'under' }),
    );
  const ready = { from: clock(window.from), to: clock(window.to) };
  if (wait.status !== 'done') {
    if (record.at <= window.to) return [];
    return moment('missed', coded('practice.leftTooLong', { ...names, ...ready }), null);
  }
  const seen = looks.find(({ at }) => at >= window.from && at <= window.to);
  if (wait.end < window.from)
    return moment(
      'missed',
      coded('practice.endedEarly', {
        ...names,
        ...ready,
        minutes: { minutes: Math.round((window.from - wait.end) / MINUTE) },
      }),
      coded('practice.lookShows', { verdict: 'under' }),
    );
  if (wait.end <= window.to) return moment('well', coded('practice.endedRight', { ...names, ...ready }));
  const late = { minutes: Math.round((wait.end - window.to) / MINUTE) };
  const shown = seen
    ? coded('practice.youSaw', { time: clock(seen.at) })
    : coded('practice.lookWouldShow', { time: clock(window.from + 5 * MINUTE) });
  return moment('missed', coded('practice.endedLate', { ...names, ...ready, minutes: late }), shown);
}

/** How a load came out, and what spoilt it. */
function loadMoments({ board, closesAt }: Scene, record: NightRecord, load: LoadOutcome): Moment[] {
  const { doughId, counted, out, late, spoilt, pieces, later } = load;
  const dough = board.doughs.find(({ id }) => id === doughId)?.name ?? '';
  const at = out ?? Math.min(record.at, closesAt);
  const tell = (how: Moment['how'], what: Coded, shown: Coded | null = null): Moment => ({
    ...{ at, doughId, how, what, shown },
  });
  const reasons = spoilt.map((one) =>
    tell('missed', coded('practice.spoilt', { one }), coded('practice.nextTime', { one })),
  );
  if (later) return reasons;
  if (!counted) return [tell('missed', coded('practice.notOut', { dough, pieces }))];
  return [
    tell(spoilt.length === 0 ? 'well' : 'missed', coded('practice.loadCame', { dough, ...counted })),
    ...reasons,
    ...(late > 0 ? [tell('missed', coded('practice.cameLate', { dough, minutes: { minutes: late } }))] : []),
  ];
}
