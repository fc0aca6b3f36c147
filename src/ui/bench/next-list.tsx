'use client';

import { guided } from '../first-steps/guided';
import { useWords } from '../kit/words';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { clockTime } from '@/core/time/local';
import { plannedWords } from '../floor/forecast-words';
import { whenWords } from '../plan/words';

interface Props {
  running: AgendaItem[];
  next: AgendaItem[];
  coming: AgendaItem[];
  zone: string;
  name: (personId: number | null) => string;
  me: number;
  onPick: (item: AgendaItem) => void;
  /** Says that this person will do it. */
  onTake: (item: AgendaItem) => void;
  /** Whose work it is: the choice of that. */
  choice: ReactNode;
}

/** How many steps that cannot start yet are shown; those that can are all shown. */
const COMING = 5;

/** What else is under way, can be started, and comes later. A tap brings it to the card. */
export function NextList({ running, next, coming, zone, name, me, onPick, onTake, choice }: Props) {
  const say = useWords();
  const open = [
    ...next.map((item) => ({ item, can: true })),
    ...coming.slice(0, COMING).map((item) => ({ item, can: false })),
  ].sort((a, b) => a.item.inMinutes - b.item.inMinutes);
  return (
    <section
      aria-label={say('bench.next')}
      {...guided('bench-next')}
      className="bg-ground p-5 max-sm:order-3 md:row-span-2"
    >
      {running.length > 0 && <h2 className="mb-1 text-lg text-quiet">{say('bench.alsoUnderWay')}</h2>}
      <ul className="mb-4 empty:hidden">
        {running.map((item) => (
          <li key={`${item.dough.id}/${item.step.key}`}>
            <button
              onClick={() => onPick(item)}
              className="flex min-h-14 w-full items-center justify-between gap-3 border-b border-hairline text-left text-lg"
            >
              <span>
                <span className="font-semibold">{say.coded(item.step.label)}</span>, {item.dough.name}
              </span>
              <span className="shrink-0 text-quiet">{name(item.state.startedBy)}</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mb-1 flex items-center justify-between gap-3">
        <h2 className="text-lg text-quiet">{say('bench.next')}</h2>
        {choice}
      </div>
      <ul>
        {open.map(({ item, can }) => {
          const late = item.inMinutes < 0;
          const moved = plannedWords(say, item.step, item.dough, zone);
          const row = (
            <>
              <span className="w-30 shrink-0">
                <span className="block text-2xl leading-tight font-bold">
                  {clockTime(item.step.dueAt, zone)}
                </span>
                <span className={clsx('text-base', late ? 'font-bold text-warn' : 'text-quiet')}>
                  {item.inMinutes > 720 ? say.dayName(item.step.dueAt, zone) : whenWords(say, item)}
                </span>
              </span>
              <span className="min-w-0 flex-1">
                <span className="block text-xl font-semibold">{say.coded(item.step.label)}</span>
                <span className="text-lg text-quiet">{item.dough.name}</span>
                {moved && <span className="block text-base text-quiet">{moved}</span>}
              </span>
            </>
          );
          const box = 'flex min-h-18 min-w-0 flex-1 items-center gap-3 py-2 text-left';
          return (
            <li
              key={`${item.dough.id}/${item.step.key}`}
              className="flex items-center gap-3 border-b border-hairline"
            >
              {can ? (
                <button onClick={() => onPick(item)} className={box}>
                  {row}
                </button>
              ) : (
                <div className={clsx(box, 'text-quiet')}>{row}</div>
              )}
              <Taken
                by={item.state.takenBy}
                {...{ me, name }}
                what={`${say.coded(item.step.label)}, ${item.dough.name}`}
                onTake={() => onTake(item)}
              />
            </li>
          );
        })}
        {open.length === 0 && <li className="py-4 text-xl">{say('bench.nothingForTheNextTwelve')}</li>}
      </ul>
    </section>
  );
}

/** Who will do it; one tap makes that this person, also when somebody else had it. */
function Taken({
  by,
  me,
  name,
  what,
  onTake,
}: {
  by: number | null;
  me: number;
  name: (personId: number | null) => string;
  what: string;
  onTake: () => void;
}) {
  const say = useWords();
  if (by === me) return <span className="shrink-0 px-2 text-lg font-semibold">{say('bench.yours')}</span>;
  return (
    <button
      onClick={onTake}
      aria-label={
        by === null ? say('bench.take', { what }) : say('bench.hasTakeIt', { name: name(by), what })
      }
      className="min-h-14 min-w-20 shrink-0 rounded border border-edge px-3 text-lg"
    >
      {by === null ? say('bench.take2') : name(by)}
    </button>
  );
}
