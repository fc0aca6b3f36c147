import { coded, type Coded } from '../codes/coded';
import { MINUTE, type Instant } from '../time/local';
import { type CoolPlace, coldestPlace } from './cool-place';
import type { Oven, WatchedWait } from './proof-watch';

/** Something that can be done about two loads that meet. */
export type ClashWay =
  /** The one that is ready second goes in first. */
  | { kind: 'order'; words: Coded }
  /** Some of its trays go in with the other. */
  | { kind: 'split'; words: Coded }
  /** It waits in a cooler place, which one tap records. */
  | { kind: 'cooler'; words: Coded; doughId: number; stepKey: string; place: string };

/** Two loads that will be ready together for the same oven. */
export interface OvenClash {
  first: WatchedWait;
  second: WatchedWait;
  /** Minutes that the second would wait beyond its best. */
  wait: number;
  /** It would wait longer than it can. */
  tooLong: boolean;
  message: Coded;
  ways: ClashWay[];
}

type Load = WatchedWait & { bake: NonNullable<WatchedWait['bake']> };

/** A wait shorter than this is not worth carrying trays, minutes. */
const WORTH_CARRYING = 10;

/**
 * Loads that rise now, are ready together and do not go into the oven together, with what can be done: bake the other
 * first, let some of its trays in, or put one of them cooler. `places`: where it could stand.
 */
export function ovenClashes(
  watched: readonly WatchedWait[],
  ovens: readonly Oven[],
  zone: string,
  places: readonly CoolPlace[] = [],
): OvenClash[] {
  const loads = watched.filter((one): one is Load => one.bake !== null);
  const cold = coldestPlace(places);
  return loads.flatMap((first, i) =>
    loads.slice(i + 1).flatMap((second) => {
      const { bake: a } = first;
      const { bake: b } = second;
      const oven = ovens.find(({ id }) => id === a.oven);
      if (!oven || a.oven !== b.oven) return [];
      if (a.setting === b.setting && a.trays + b.trays <= oven.capacity) return [];
      const wait = waitBehind(first, second, oven);
      if (wait <= 0) return [];
      const tooLong = second.best + wait * MINUTE > second.latest;
      const why =
        a.setting === b.setting
          ? coded('ovenClashes.theOvenHasNoRoom')
          : coded('ovenClashes.andDoNotGoTogether', {
              celsius: { celsius: a.setting },
              celsius2: { celsius: b.setting },
            });
      const then = tooLong
        ? coded('ovenClashes.itCanOnlyWaitUntil', { time: { clock: second.latest, zone } })
        : coded('ovenClashes.thatIsWithinItsTime', { time: { clock: second.latest, zone } });
      return [
        {
          ...{ first, second, wait, tooLong },
          message: coded('ovenClashes.andAreReadyTogetherWould', {
            first: nameOf(first),
            second: nameOf(second),
            why,
            duration: { minutes: wait },
            then,
          }),
          ways: waysFor(first, second, wait, { oven, cold }),
        },
      ];
    }),
  );
}

/** Minutes that one load waits beyond its best when another is baked before it. */
function waitBehind(ahead: Load, behind: Load, { changeover }: Oven): number {
  const change = ahead.bake.setting === behind.bake.setting ? 0 : changeover;
  const free: Instant = Math.max(ahead.best, ahead.bake.free) + (ahead.bake.minutes + change) * MINUTE;
  return Math.round((free - behind.best) / MINUTE);
}

function waysFor(
  first: Load,
  second: Load,
  wait: number,
  { oven, cold }: { oven: Oven; cold: CoolPlace | undefined },
): ClashWay[] {
  const ways: ClashWay[] = [];
  const turned = waitBehind(second, first, oven);
  if (turned < wait) {
    const last = first.best + turned * MINUTE > first.latest ? coded('ovenClashes.longerThanItCan') : '';
    const then =
      turned > 0
        ? coded('ovenClashes.thenWaits', { load: nameOf(first), duration: { minutes: turned }, last })
        : coded('ovenClashes.thenNeitherWaits');
    ways.push({ kind: 'order', words: coded('ovenClashes.bakeFirst', { load: nameOf(second), then }) });
  }
  const room = oven.capacity - first.bake.trays;
  if (first.bake.setting === second.bake.setting && room > 0) {
    const left = second.bake.trays - room;
    ways.push({
      kind: 'split',
      words: coded('ovenClashes.splitItOfItsTrays', {
        room,
        trays: second.bake.trays,
        other: nameOf(first),
        left,
      }),
    });
  }
  if (cold && wait >= WORTH_CARRYING)
    ways.push({
      ...{ kind: 'cooler', doughId: second.dough.id, stepKey: second.step.key, place: cold.place },
      words: coded('ovenClashes.intoThe', {
        load: nameOf(second),
        place: cold.label.toLowerCase(),
        celsius: { celsius: Math.round(cold.celsius) },
      }),
    });
  return ways;
}

const nameOf = ({ dough, step }: WatchedWait) =>
  step.load && step.load.of > 1
    ? coded('ovenClashes.load', { name: dough.name, nth: step.load.nth })
    : dough.name;
