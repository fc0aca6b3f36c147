import { coded, type Coded } from '../codes/coded';
import type { Instant } from '../time/local';
import type { Moment } from './moment';
import type { NightDough } from './night-record';
import type { Scene, SceneFault } from './scene';

/** From how much on a baker would see it: how much faster a dough rises, how much longer it takes to relax, °C too warm. */
const SEEN = { faster: 0.1, stronger: 0.15, warmer: 1.5 };

const hidden = (
  { at, doughId }: { at: Instant; doughId: number | null },
  what: Coded,
  shown: Coded | null = null,
): Moment => ({ at, doughId, what, shown, how: 'hidden' });

/** What was wrong in a night that nobody had told, and what would have shown it. */
export function hiddenMoments(scene: Scene, doughs: readonly NightDough[]): Moment[] {
  const { opensAt, faults, thermometer } = scene;
  const off = coded('practice.thermometerOff', {
    isHigh: thermometer > 0,
    difference: { difference: Math.abs(thermometer) },
  });
  const house = { at: opensAt, doughId: null };
  return [
    ...faults.flatMap((fault) => placeMoments(scene, fault)),
    ...(thermometer === 0 ? [] : [hidden(house, off, coded('practice.secondThermometerTells'))]),
    ...doughs.flatMap((dough) => doughMoments(scene, dough)),
  ];
}

function placeMoments(
  { board, opensAt }: Scene,
  { place, by, from, shown, drier = 0 }: SceneFault,
): Moment[] {
  const name = board.places.find((one) => one.place === place)?.label ?? place;
  const at = Math.max(from, opensAt);
  const time = { clock: at, zone: board.house.zone };
  const tell = (what: Coded): Moment =>
    hidden({ at, doughId: null }, what, coded(shown ? 'practice.probeTells' : 'practice.probeWasWrong'));
  const difference = { difference: Math.abs(by) };
  return [
    ...(by === 0
      ? []
      : [tell(coded('practice.placeWasOff', { place: name, isWarmer: by > 0, difference, time }))]),
    ...(drier === 0 ? [] : [tell(coded('practice.placeWasDry', { place: name, percent: drier, time }))]),
  ];
}

function doughMoments(scene: Scene, { record: { id, name }, forecast }: NightDough): Moment[] {
  const { vigour, warmer, strength = 1, longer = {} } = scene.hidden[id] ?? { vigour: 1, warmer: 0 };
  const [key, minutes] = Object.entries(longer)[0] ?? ['', 0];
  const step = forecast.steps.find((one) => one.key === key);
  const about = { at: scene.opensAt, doughId: id };
  const percent = Math.round(100 * Math.abs(vigour - 1));
  const found: (Moment | false)[] = [
    Math.abs(vigour - 1) > SEEN.faster &&
      hidden(about, coded('practice.roseOtherwise', { dough: name, percent, isFaster: vigour > 1 })),
    Math.abs(warmer) > SEEN.warmer &&
      hidden(
        about,
        coded('practice.cameWarm', { dough: name, difference: { difference: warmer } }),
        coded('practice.thermometerTells'),
      ),
    strength - 1 > SEEN.stronger &&
      hidden(about, coded('practice.wasStrong', { dough: name }), coded('practice.handTells')),
    minutes !== 0 &&
      step !== undefined &&
      hidden(
        about,
        coded('practice.begunOtherwise', {
          ...{ dough: name, step: step.label, isEarlier: minutes > 0 },
          minutes: { minutes: Math.abs(minutes) },
        }),
        coded('practice.lookTells'),
      ),
  ];
  return found.filter((one) => one !== false);
}
