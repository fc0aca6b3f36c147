'use client';

import { type DoorOpening, type Unrecorded } from '@/core/shopfloor/catch-up';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Instant } from '@/core/time/local';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { answered, type Answers, NO_ANSWERS } from './catch-up-answers';
import { ClockField } from './clock-field';
import { nearTime } from './words';

/** The steps of one dough that should be over: what was not done is unticked, with all that comes after it. */
export function CatchUpDough({
  dough,
  done,
  doors,
  now,
  zone,
  answers: { ends, without },
  onAnswer,
  onNotMade,
}: {
  dough: DoughForecast;
  done: readonly Unrecorded[];
  doors: readonly DoorOpening[];
  now: Instant;
  zone: string;
  answers: Answers;
  onAnswer: (answers: Answers) => void;
  onNotMade: (why: string) => void;
}) {
  const say = useWords();
  const asked = answered(dough, now, NO_ANSWERS, doors).sort((a, b) => a.end - b.end);
  const untick = (key: string) => onAnswer({ ends, without: new Set([...without, key]) });
  const tick = (key: string) => {
    // With a step all that was before it was done as well.
    const upTo = asked.slice(0, asked.findIndex(({ step }) => step.key === key) + 1);
    onAnswer({
      ends,
      without: new Set([...without].filter((one) => !upTo.some(({ step }) => step.key === one))),
    });
  };
  return (
    <section aria-label={dough.name} className="mb-4">
      <div className="flex items-baseline justify-between gap-3 border-b border-edge">
        <h3 className="text-xl font-semibold">{dough.name}</h3>
        {!dough.state.started && (
          <Button look="quiet" className="min-h-14" onClick={() => onNotMade(say('floor.notMade'))}>
            {say('floor.notMade')}
          </Button>
        )}
      </div>
      <ul>
        {asked.map((offer) => {
          const own = done.find(({ step }) => step.key === offer.step.key);
          const { key, label } = offer.step;
          const shown = own ?? offer;
          const name = say.coded(label);
          return (
            <li key={key} className="flex min-h-16 items-center gap-3 border-b border-hairline py-1">
              <label className="flex min-h-14 min-w-0 flex-1 items-center gap-3 text-xl">
                <input
                  type="checkbox"
                  className="size-7 shrink-0 accent-ink"
                  checked={own !== undefined}
                  onChange={() => (own ? untick(key) : tick(key))}
                />
                <span className={own ? 'min-w-0' : 'min-w-0 text-quiet line-through'}>{name}</span>
              </label>
              <span className="text-right text-base text-quiet">
                {offer.isRunning || shown.start === shown.end
                  ? ''
                  : say('floor.from', { time: nearTime(say, shown.start, now, zone) })}
                <span className="block">{own && say('floor.basis', { basis: own.basis })}</span>
              </span>
              <ClockField
                at={shown.end}
                label={say('floor.overAt', { step: name, dough: dough.name })}
                disabled={!own}
                isWrong={own?.isTooEarly ?? false}
                onEnter={(at) => onAnswer({ without, ends: new Map(ends).set(key, at) })}
                {...{ now, zone }}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}
