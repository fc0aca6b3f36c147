'use client';

import { useWords } from '../kit/words';
import { minuteReached } from '@/core/ferment/progress';
import { LEVAIN } from '@/core/ferment/rate';
import type { Rise } from '@/core/process/route';
import { MINUTE, minuteOfDay, nextLocalMinute } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { Field } from '../kit/field';
import { useClock } from '../live/clock';
import { measure } from '@/core/units/measure';
import { unless, useTyped, wants } from './use-typed';

/** When a levain must be built for a mix at a given time, and how long it stays at its peak. */
export function LevainTool({ rise, room, zone }: { rise: Rise; room: number; zone: string }) {
  const say = useWords();
  const { now } = useClock();
  const { typed, read, field } = useTyped({ at: '14:00', room: measure('celsius', room), seed: '20' });
  const [celsius, seed] = [read.celsius('room'), read.number('seed')];
  // A levain fed with more seed has less far to go: time as one over the share of seed, within half and double.
  const share = Math.min(2, Math.max(0.5, seed / 20));
  const fermentation = {
    cardinal: rise.cardinal ?? LEVAIN,
    celsius: rise.celsius,
    minutes: rise.minutes / share,
  };
  const flat = [{ minute: 0, celsius }];
  const reached = (progress: number) =>
    Number.isNaN(celsius) || !(seed > 0) ? null : minuteReached(fermentation, flat, { target: progress });
  const [from, best, to] = [reached(rise.early), reached(1), reached(rise.late)];
  const minute = minuteOfDay(typed.at);
  const mix = minute === null ? null : nextLocalMinute(now, minute, zone);
  return (
    <div className="grid gap-6 md:grid-cols-[18rem_1fr]">
      <div className="grid content-start gap-3">
        <Field
          label={say('workbench.mixAt')}
          {...field('at')}
          trouble={mix === null ? say('workbench.typeATimeSuchAs') : null}
        />
        <Field
          label={say('workbench.itStandsAt')}
          {...field('room')}
          trouble={unless(celsius, wants(say, 'celsius'))}
        />
        <Field
          label={say('workbench.seedOfTheLevainS')}
          {...field('seed')}
          trouble={seed > 0 ? null : say('workbench.withoutSeedThereIsNo')}
        />
      </div>
      <div className="text-xl">
        {from === null || best === null || to === null || mix === null ? (
          <p>{say('workbench.itDoesNotRipenThere')}</p>
        ) : (
          <>
            <When {...{ mix, now, zone }} ripe={{ from, best, to }} />
            <p className="mt-2 text-lg text-quiet">
              {say('workbench.ripeAfterToBestIt', {
                duration: duration(from),
                duration2: duration(to),
                duration3: duration(best),
                duration4: duration(to - from),
              })}
            </p>
          </>
        )}
      </div>
    </div>
  );
}

/** When to build it for the mix; and where that has passed, what is left to do. */
function When({
  mix,
  now,
  zone,
  ripe: { from, best, to },
}: {
  mix: number;
  now: number;
  zone: string;
  /** Minutes after it was built. */
  ripe: { from: number; best: number; to: number };
}) {
  const say = useWords();
  const at = (time: number) => say.dayTime(time, zone);
  const latest = mix - from * MINUTE;
  if (now > latest) {
    return (
      <>
        <p className="text-4xl font-bold">{say('workbench.tooLateFor', { at: at(mix) })}</p>
        <p className="text-warn">
          {say('workbench.itHadToBeBuilt', {
            at: at(latest),
            at2: at(now + from * MINUTE),
            at3: at(now + best * MINUTE),
          })}
        </p>
      </>
    );
  }
  const ideal = mix - best * MINUTE;
  return (
    <>
      <p className="text-4xl font-bold">
        {say('workbench.buildIt', { part: now > ideal ? say('workbench.now') : at(ideal) })}
      </p>
      <p>
        {now > ideal
          ? say('workbench.forTheMixIsLatest', { at: at(mix), at2: at(latest) })
          : say('workbench.forTheMixNotBefore', { at: at(mix), at2: at(mix - to * MINUTE), at3: at(latest) })}
      </p>
    </>
  );
}
