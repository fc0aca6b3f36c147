'use client';

import clsx from 'clsx';
import type { AgendaItem } from '@/core/floor/agenda';
import { clockTime, dayName } from '@/core/time/local';
import { whenWords } from '../plan/words';

interface Props {
  running: AgendaItem[];
  next: AgendaItem[];
  coming: AgendaItem[];
  zone: string;
  name: (personId: number | null) => string;
  onPick: (item: AgendaItem) => void;
}

/** How many steps that cannot start yet are shown; those that can are all shown. */
const COMING = 5;

/** What else is under way, can be started, and comes later. A tap brings it to the card. */
export function NextList({ running, next, coming, zone, name, onPick }: Props) {
  const open = [
    ...next.map((item) => ({ item, can: true })),
    ...coming.slice(0, COMING).map((item) => ({ item, can: false })),
  ].sort((a, b) => a.item.inMinutes - b.item.inMinutes);
  return (
    <section aria-label="Next" className="bg-ground p-5 md:row-span-2">
      {running.length > 0 && <h2 className="mb-1 text-lg text-quiet">also under way</h2>}
      <ul className="mb-4">
        {running.map((item) => (
          <li key={`${item.dough.id}/${item.step.key}`}>
            <button
              onClick={() => onPick(item)}
              className="flex min-h-14 w-full items-center justify-between gap-3 border-b border-hairline text-left text-lg"
            >
              <span>
                <span className="font-semibold">{item.step.label}</span>, {item.dough.name}
              </span>
              <span className="shrink-0 text-quiet">{name(item.state.startedBy)}</span>
            </button>
          </li>
        ))}
      </ul>
      <h2 className="mb-1 text-lg text-quiet">next</h2>
      <ul>
        {open.map(({ item, can }) => {
          const late = item.inMinutes < 0;
          const row = (
            <>
              <span className="w-24 shrink-0">
                <span className="block text-2xl leading-tight font-bold">
                  {clockTime(item.step.plannedStart, zone)}
                </span>
                <span className={clsx('text-base', late ? 'font-bold text-warn' : 'text-quiet')}>
                  {item.inMinutes > 720 ? dayName(item.step.plannedStart, zone) : whenWords(item)}
                </span>
              </span>
              <span className="min-w-0 flex-1">
                <span className="block text-xl font-semibold">{item.step.label}</span>
                <span className="text-lg text-quiet">{item.dough.name}</span>
              </span>
              {can ? (
                <span className="shrink-0 rounded border border-edge px-3 py-2 text-lg">take</span>
              ) : (
                <span className="shrink-0 text-lg text-quiet">not yet</span>
              )}
            </>
          );
          const box = 'flex min-h-18 w-full items-center gap-3 border-b border-hairline py-2 text-left';
          return (
            <li key={`${item.dough.id}/${item.step.key}`}>
              {can ? (
                <button onClick={() => onPick(item)} className={box}>
                  {row}
                </button>
              ) : (
                <div className={box}>{row}</div>
              )}
            </li>
          );
        })}
        {open.length === 0 && <li className="py-4 text-xl">Nothing for the next twelve hours.</li>}
      </ul>
    </section>
  );
}
