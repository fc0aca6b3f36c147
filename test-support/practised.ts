import type { Board } from '@/core/wire/board';
import type { Person } from '@/core/bakery/people';
import { forecastDough, type DoughForecast } from '@/core/forecast/forecast';
import { bodyOf, lookAt, nightDough } from '@/core/practice/looks';
import { boardAt, inHand, openRecord } from '@/core/practice/night';
import type { Found, NightRecord, Sense } from '@/core/practice/night-record';
import { openScene, type Scene } from '@/core/practice/scene';
import type { Situation } from '@/core/practice/situation';
import { eventOf, type EventBody } from '@/core/record/events';
import { agenda, type AgendaItem } from '@/core/shopfloor/agenda';
import { conditionsOf } from '@/core/wire/board';
import { boardOf } from './board';
import { crescentDough } from './crescent';
import { MIN } from './floor';

export const OPENS = Date.UTC(2026, 10, 19, 3, 0);
export const TRAINEE: Person = { id: 7, name: 'Noor', role: 'baker', team: 'nights' };

const ROOMS = [
  { id: 'retarder', kind: 'retarder', celsius: 4 },
  { id: 'proofer', kind: 'proofer', celsius: 26 },
  { id: 'oven', kind: 'oven', celsius: 185 },
  { id: 'room', kind: 'room', celsius: 21 },
] as const;

/** A bakery with one place of each kind. */
export const practiceBoard = (): Board =>
  boardOf({
    people: [TRAINEE, { id: 2, name: 'Ida', role: 'baker', team: 'nights' }],
    rooms: ROOMS.map(({ id, kind }) => ({ id, kind })),
    places: ROOMS.map(({ id, celsius }) => ({
      ...{ place: id, label: id, celsius, at: OPENS },
      humidity: id === 'proofer' ? 78 : null,
    })),
    today: Object.fromEntries(ROOMS.map(({ id, kind, celsius }) => [id, { celsius, kind }])),
  });

/** A night with crescents for every dough of a situation. */
export const sceneFor = (situation: Situation, seed = 1): Scene =>
  openScene({
    ...{ situation, seed, trainee: TRAINEE, opensAt: OPENS, board: practiceBoard() },
    blanks: situation.doughs.map((_, i) => crescentDough(100 + i)),
  });

/** Somebody who works a night: whether a step is begun, and a bake taken out, by what is found or by the clock alone. */
export interface Baker {
  /** Looks at what is due within so many minutes, every so many. */
  ahead: number;
  every: number;
  begins: (item: AgendaItem, look: (wait: DoughForecast['steps'][number], sense: Sense) => Found) => boolean;
  unloads: (item: AgendaItem, look: (sense: Sense) => Found, now: number) => boolean;
}

/** What something is recorded of. */
interface Told {
  dough: { id: number };
  step: { key: string };
}

const waitsBefore = ({ dough, step }: AgendaItem) =>
  dough.links
    .filter(({ to }) => to === step.key)
    .flatMap(({ from }) => dough.steps.find(({ key }) => key === from) ?? [])
    .filter(({ status }) => status === 'running');

/** Looks before every step, and once more when it looks ready; presses what was rolled, and takes bakes out by their colour. */
export const looksFirst = (seen = new Map<string, number>()): Baker => ({
  ...{ ahead: 240, every: 6 },
  begins: (item, look) =>
    waitsBefore(item).every((wait) => {
      if (wait.step.rise?.decides) {
        const found = look(wait, 'eye');
        if (found.sense !== 'eye' || found.of !== 'rise' || found.verdict === 'over') return true;
        const times = found.verdict === 'right' ? (seen.get(wait.key) ?? 0) + 1 : 0;
        seen.set(wait.key, times);
        return times >= 2;
      }
      if (wait.step.kind !== 'rest') return true;
      const found = look(wait, 'hand');
      return found.sense !== 'hand' || found.answer === 'good';
    }),
  unloads: (item, look, now) => {
    if (now < item.step.start + 0.8 * item.step.target * MIN) return false;
    const found = look('eye');
    return found.sense === 'eye' && found.of === 'bake' && found.colour !== 'pale';
  },
});

/** Goes by the clock: begins whatever the plan has next, and takes bakes out when their time is over. */
export const BY_THE_CLOCK: Baker = {
  ...{ ahead: 0, every: 1 },
  begins: () => true,
  unloads: (item, _, now) => now >= item.step.start + item.step.target * MIN,
};

/** Works a night minute by minute until its end. */
export function worked(scene: Scene, baker: Baker): NightRecord {
  let record = openRecord(scene);
  for (let now = scene.opensAt; now <= scene.closesAt; now += MIN) {
    record = { ...record, at: now };
    const board = boardAt(scene, record);
    const doughs = board.doughs.map((dough) => forecastDough(dough, conditionsOf(board), now));
    const tell = ({ dough, step }: Told, body: EventBody) => {
      const blank = { celsius: null, text: null, undoes: null, data: null };
      const id = `n${String(record.events.length).padStart(5, '0')}`;
      const event = eventOf({
        ...blank,
        ...body,
        id,
        doughId: dough.id,
        stepKey: step.key,
        at: now,
        personId: 7,
      });
      record = { ...record, events: [...record.events, event] };
    };
    const lookOf = (doughId: number) => (step: DoughForecast['steps'][number], sense: Sense) => {
      const dough = nightDough(board.doughs, doughs, doughId);
      if (!dough) throw new Error('The night has this dough.');
      const look = lookAt(scene, dough, { step, sense, at: now });
      record = { ...record, looks: [...record.looks, look] };
      const body = bodyOf(look);
      if (body?.kind === 'check') tell({ dough: { id: doughId }, step }, body);
      return look.found;
    };
    const { next, running, waiting } = agenda(doughs, now);
    const bake = waiting.find(({ step }) => step.step.ends === 'tap');
    if (bake && baker.unloads(bake, (sense) => lookOf(bake.dough.id)(bake.step, sense), now))
      tell(bake, { kind: 'finish' });
    const hands = inHand(doughs);
    const item = running[0];
    if (hands && item && now >= item.step.start + item.step.target * MIN) tell(item, { kind: 'finish' });
    if (hands || ((now - scene.opensAt) / MIN) % baker.every !== 0) continue;
    const begun = next.find(
      (one) => one.step.dueAt <= now + baker.ahead * MIN && baker.begins(one, lookOf(one.dough.id)),
    );
    if (begun) tell(begun, { kind: 'start' });
  }
  return record;
}
