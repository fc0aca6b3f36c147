'use client';

import { useWords } from '../kit/words';
import clsx from 'clsx';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { remarkMessage } from '@/core/forecast/remark-message';
import { countTurns, turnMessage } from '@/core/record/turns';
import { clockTime } from '@/core/time/local';
import { useCelsius } from '../live/units';
import { temperatureColour } from '../thread/temperature';

interface Props {
  items: AgendaItem[];
  places: { place: string; label: string; celsius: number }[];
  now: number;
  zone: string;
  onPick: (item: AgendaItem) => void;
}

/** What rests and rises by itself: how far it is, and from when to when it may be taken. */
export function WaitingLanes({ items, places, now, zone, onPick }: Props) {
  const say = useWords();
  const celsius = useCelsius();
  return (
    <section aria-label={say('bench.restingAndRising')} className="min-w-0 bg-ground p-5 max-sm:order-4">
      <h2 className="mb-2 text-lg text-quiet">{say('bench.restingAndRising')}</h2>
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-3 sm:grid-cols-2">
        {items.map((item) => (
          <Lane key={`${item.dough.id}/${item.step.key}`} item={item} now={now} zone={zone} onPick={onPick} />
        ))}
        {items.length === 0 && <li className="text-xl">{say('bench.nothingIsWaiting')}</li>}
      </ul>
      <p className="mt-4 flex flex-wrap gap-x-5 text-lg text-quiet">
        {places.map(({ place, label, celsius: degrees }) => (
          <span key={place}>
            {say.named(label)} {celsius(degrees)}
          </span>
        ))}
      </p>
    </section>
  );
}

function Lane({ item, now, zone, onPick }: { item: AgendaItem } & Pick<Props, 'now' | 'zone' | 'onPick'>) {
  const say = useWords();
  const { dough, step } = item;
  const turns =
    step.step.kind === 'rest' && !step.step.branch
      ? countTurns(dough.steps, dough.state, dough.lamination?.blocks)
      : null;
  const { start: from, end, ready } = step;
  const { earliest, at, latest } = ready ?? { earliest: end, at: end, latest: end };
  const share = Math.min(1, Math.max(0, (now - from) / Math.max(1, at - from)));
  const fixed = step.min === step.max;
  const words = step.never
    ? step.remark && say.coded(remarkMessage(step.remark))
    : now > latest && !fixed
      ? say('bench.pastItsWindowSince', { time: clockTime(latest, zone) })
      : fixed || now >= earliest
        ? say('bench.until', { time: say.dayTime(at, zone) })
        : say('bench.atTheSoonestPlanned', { time: clockTime(earliest, zone), time2: say.dayTime(at, zone) });
  const body = (
    <>
      <span className="flex flex-wrap items-baseline justify-between gap-x-2">
        <span className="text-xl font-semibold">{say.named(dough.name)}</span>
        <span className="text-lg">{say.inLine(say.coded(step.label))}</span>
      </span>
      <svg viewBox="0 0 200 28" className="block w-full" aria-hidden>
        <path d="M4 22C70 22 130 10 196 10" fill="none" stroke="var(--hairline)" strokeWidth={3} />
        <path
          d="M4 22C70 22 130 10 196 10"
          fill="none"
          stroke={temperatureColour(step.around)}
          strokeWidth={5}
          pathLength={100}
          strokeDasharray={`${share * 100} 100`}
        />
      </svg>
      <span
        className={clsx(
          'text-lg',
          step.never || (now > latest && !fixed) ? 'font-bold text-warn' : 'text-quiet',
        )}
      >
        {words}
        {step.step.cover && `, ${say.named(step.step.cover)}`}
        {turns && turns.done < turns.of && (
          <span className="block font-bold text-ink">{say.coded(turnMessage(turns))}</span>
        )}
      </span>
    </>
  );
  return (
    <li>
      <button onClick={() => onPick(item)} className="block min-h-14 w-full text-left">
        {body}
      </button>
    </li>
  );
}
