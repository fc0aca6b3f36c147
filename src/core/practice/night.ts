import { coded, type Coded } from '../codes/coded';
import type { DoughForecast, StepForecast } from '../forecast/forecast';
import type { Recording } from '../record/events';
import { isHandsOn } from '../record/state';
import { type Instant, MINUTE } from '../time/local';
import type { Board } from '../wire/board';
import type { TruthOf } from '../double/dough-truth';
import type { NightRecord } from './night-record';
import type { Scene, SceneFault } from './scene';

/** A night of which nothing is done yet. */
export const openRecord = ({ opensAt }: Scene): NightRecord => ({
  at: opensAt,
  events: [],
  looks: [],
  taken: [],
});

/** Share of its planned time before which hands-on work cannot be done. */
const AT_LEAST = 0.75;

/** By how much some faults are off in the mean of a time, °C. */
function offBy(faults: readonly SceneFault[], from: Instant, to: Instant): number {
  return faults.reduce((sum, fault) => {
    if (to <= from) return sum + (from >= fault.from ? fault.by : 0);
    return sum + fault.by * (Math.max(0, to - Math.max(from, fault.from)) / (to - from));
  }, 0);
}

const drierBy = (faults: readonly SceneFault[]): number =>
  faults.reduce((sum, { drier = 0 }) => sum + drier, 0);

/** What places of a night really have: a proofer or oven what it is set to, and what is wrong with it. */
export function airIn(scene: Scene): TruthOf['airOf'] {
  return (place, from, to, meant) => {
    const own = scene.board.today[place];
    const off = offBy(
      scene.faults.filter((fault) => fault.place === place),
      from,
      to,
    );
    const isSet = own?.kind === 'proofer' || own?.kind === 'oven';
    return (isSet || !own ? meant : own.celsius) + off;
  };
}

/** A proofer without a probe of humidity is taken to be as damp as it should be, %. */
const PROOFER = 78;

/** What humidity places of a night really have: what their probes say, less what is wrong with them, %. */
export function humidityIn(scene: Scene): NonNullable<TruthOf['humidityOf']> {
  const drier = new Map(scene.faults.map(({ place, drier = 0 }) => [place, drier]));
  return (place) => {
    const usual = scene.board.today[place]?.kind === 'proofer' ? PROOFER : undefined;
    const said = scene.board.places.find((one) => one.place === place)?.humidity ?? usual;
    return said === undefined ? undefined : Math.max(0, said - (drier.get(place) ?? 0));
  };
}

/** The floor as it is now, as far as anybody sees it. */
export function boardAt(scene: Scene, record: NightRecord): Board {
  const { board } = scene;
  const shown = (place: string) => scene.faults.filter((fault) => fault.place === place && fault.shown);
  const seen = (place: string, celsius: number) => celsius + offBy(shown(place), record.at, record.at);
  return {
    ...board,
    doughs: board.doughs.map((dough) => {
      const own = record.events.filter(({ doughId }) => doughId === dough.id);
      return own.length === 0 ? dough : { ...dough, events: [...dough.events, ...own] };
    }),
    places: board.places.map((one) => ({
      ...{ ...one, celsius: seen(one.place, one.celsius), at: record.at },
      humidity: one.humidity === null ? null : one.humidity - drierBy(shown(one.place)),
    })),
    today: Object.fromEntries(
      Object.entries(board.today).map(([place, now]) => [
        place,
        { ...now, celsius: seen(place, now.celsius) },
      ]),
    ),
    calls: { ...board.calls, taken: record.taken },
  };
}

/** The hands-on work that somebody has in their hands now. */
export function inHand(
  doughs: readonly DoughForecast[],
): { dough: DoughForecast; step: StepForecast } | null {
  for (const dough of doughs)
    for (const step of dough.steps) if (step.status === 'running' && isHandsOn(step)) return { dough, step };
  return null;
}

/** When work that is in hand can be done at the earliest. */
export const doneFrom = (step: Pick<StepForecast, 'start' | 'target'>): Instant =>
  step.start + Math.round(AT_LEAST * step.target) * MINUTE;

/** Why something cannot be recorded in a practice night; null where it can: there is one pair of hands, and work takes its time. */
export function refusal(
  doughs: readonly DoughForecast[],
  { doughId, stepKey, kind, data }: Recording & { data?: unknown },
  { now, zone }: { now: Instant; zone: string },
): Coded | null {
  const step = doughs.find(({ id }) => id === doughId)?.steps.find(({ key }) => key === stepKey);
  if (!step) return null;
  const hands = inHand(doughs);
  if (kind === 'start' && isHandsOn(step) && hands)
    return coded('practice.handsFull', {
      step: hands.step.label,
      time: { clock: doneFrom(hands.step), zone },
    });
  const ends = kind === 'finish' || (kind === 'turn' && (data as { ends?: boolean } | null)?.ends === true);
  if (ends && isHandsOn(step) && step.status === 'running' && now < doneFrom(step))
    return coded('practice.notDoneBefore', { step: step.label, time: { clock: doneFrom(step), zone } });
  return null;
}
