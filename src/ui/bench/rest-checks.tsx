'use client';

import { useWords } from '../kit/words';
import { useMemo } from 'react';
import { placeOf } from '@/core/bakery/machines';
import type { PlaceKind } from '@/core/heat/places';
import type { Board } from '@/core/wire/board';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { HandCheck } from '@/core/record/events';
import { butterWindow, type ButterWindow } from '@/core/lamination/butter-window';
import { fractionOf } from '@/core/lamination/scheme';
import { freezerShortCut, restAnswer } from '@/core/lamination/rest';
import { showCelsius } from '@/core/units/reader';
import { clockTime, MINUTE } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { Button } from '../kit/button';
import { butterWords } from '../lamination/butter-words';
import { useUnits } from '../live/units';
import { lastMeasured, restCheckButtons } from './rest-words';

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  places: readonly { place: string; celsius: number }[];
  rooms: Board['rooms'];
  onTell: (check: HandCheck) => void;
}

/** A window of butter that goes by its wait: pliable from when the wait is over, and not before. */
function butterBy({ state }: ButterWindow, readyIn: number | null): Pick<ButterWindow, 'state' | 'readyIn'> {
  if (state === 'soft') return { state, readyIn };
  return { state: readyIn === 0 ? 'pliable' : 'warming', readyIn };
}

const STILL = 10;
const FREEZER = 12;
const ROOM = 9;
const air = (celsius: number, film: number) => ({ celsius, top: film, bottom: film });

/** What a resting block or tempering butter is like inside by now, and the check by hand that settles it. */
export default function RestChecks({ item, now, zone, places, rooms, onTell }: Props) {
  const say = useWords();
  const { dough, step, state } = item;
  const [units] = useUnits();
  const at = (kind: PlaceKind, usual: number) => {
    const id = placeOf(kind, rooms);
    return places.find(({ place }) => place === id)?.celsius ?? usual;
  };
  const isButter = step.step.kind === 'temper';
  const since = Math.max(0, (now - (state.startedAt ?? now)) / MINUTE);
  const mm = step.step.piece?.mm ?? 24;
  const work = dough.lamination;
  const [room, freezer, cold] = [at('room', 22), at('freezer', -18), at('retarder', 4)];
  const measured = lastMeasured(dough, step);
  // The card has one clock: when it is ready is what its window says, as everywhere else.
  const soonest = step.ready?.earliest ?? step.start;
  const readyIn = step.never ? null : Math.max(0, Math.ceil((soonest - now) / MINUTE));
  const { lines, soft } = useMemo(() => {
    if (isButter) {
      const window = butterWindow({
        ...{ mm, start: cold, fat: 'butter-82', history: [{ ...air(room, ROOM), minutes: since }] },
        ...{ room: air(room, ROOM), cold: air(cold, STILL) },
      });
      const own = { ...window, ...butterBy(window, readyIn) };
      return { lines: butterWords(say, own, now, zone, showCelsius(room, units)), soft: window.coldFor };
    }
    const target = step.step.until ?? 7;
    const block = {
      mm,
      fatFraction: work ? fractionOf(work.scheme.scheme, work.weights) : 0,
      celsius: measured,
    };
    const rest = restAnswer(block, air(step.around, STILL), since, target);
    const core = readyIn === 0 ? Math.min(rest.core, target) : Math.max(rest.core, target);
    const words = [
      say('bench.coreAboutSkin', {
        celsius: showCelsius(core, units),
        celsius2: showCelsius(rest.surface, units),
      }),
    ];
    if (readyIn === null)
      words.push(
        say('bench.doesNotComeTo', {
          celsius: showCelsius(step.around, units),
          target: showCelsius(target, units),
        }),
      );
    else if (readyIn > 0)
      words.push(
        say('bench.restedFrom', { celsius: showCelsius(target, units), time: clockTime(soonest, zone) }),
      );
    const cut = freezerShortCut(
      { ...block, celsius: rest.core },
      air(freezer, FREEZER),
      air(room, ROOM),
      target,
    );
    if (cut && readyIn !== 0) {
      const price = cut.cracks
        ? say('bench.theSkinIsAtBy', {
            celsius: showCelsius(cut.skin, units),
            duration: duration(cut.evenOut),
          })
        : say('bench.skinAt', { celsius: showCelsius(cut.skin, units) });
      words.push(say('bench.freezerShortCut', { duration: duration(cut.minutes), price }));
    }
    return { lines: words, soft: null };
  }, [
    isButter,
    mm,
    cold,
    room,
    freezer,
    since,
    now,
    zone,
    units,
    step,
    work,
    measured,
    readyIn,
    soonest,
    say,
  ]);
  return (
    <div className="my-3 grid gap-2">
      {lines.map((line) => (
        <p key={line} className="text-xl">
          {line}
        </p>
      ))}
      <fieldset>
        <legend className="mb-2 text-xl font-semibold">
          {isButter ? say('bench.bendIt') : say('bench.pressIt')}
        </legend>
        <div className="grid gap-3 sm:grid-cols-3">
          {restCheckButtons(say, isButter, soft).map(({ word, then, data }) => (
            <Button key={word} floor className="py-2" onClick={() => onTell(data)}>
              <span className="block text-2xl font-bold">{word}</span>
              <span className="block text-base text-quiet">{then}</span>
            </Button>
          ))}
        </div>
      </fieldset>
    </div>
  );
}
