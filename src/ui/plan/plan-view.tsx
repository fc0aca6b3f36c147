'use client';

import { ChevronLeft, ChevronRight, Plus, ZoomIn, ZoomOut } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Board, Person } from '@/core/floor/board';
import { clockTime } from '@/core/time/local';
import { staffedSpans } from '@/core/time/shifts';
import { Button } from '../kit/button';
import { useKeys } from '../kit/use-keys';
import { useWidth } from '../kit/use-width';
import { useMinute } from '../live/clock';
import { send } from '../live/command';
import { useFloor } from '../live/floor';
import { go } from '../live/go';
import type { TimeScale } from '../thread/geometry';
import { Floor, Ground } from '../thread/ground';
import { AddDough } from './add-dough';
import { DoughPanel } from './dough-panel';
import { KeySheet } from './key-sheet';
import { MachineLoads } from './machine-loads';
import { PlanFiles } from './plan-files';
import { ThreadRow, ROW } from './thread-row';
import { TakenOut } from './taken-out';
import { canZoom, homeWindow, moved, spanWords, zoomed } from './time-window';

const HOUR = 3_600_000;
/** Hours shown first: a dough from its mix to the oven. */
const FIRST_SPAN = 96;

/** Every dough as a thread over four days, what they hold beneath, and the one picked beside it. */
export function PlanView({
  board,
  products,
  person,
}: {
  board: Board;
  products: { id: number; name: string }[];
  person: Person;
}) {
  const router = useRouter();
  const now = useMinute();
  const { zone } = board.house;
  const { doughs } = useFloor(board, person.id, now);
  const [view, setView] = useState(() => homeWindow(now, FIRST_SPAN, zone));
  const [picked, setPicked] = useState<number | null>(null);
  const [sheet, setSheet] = useState<'add' | 'keys' | 'files' | null>(null);
  const [taken, setTaken] = useState<{ id: number; name: string } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { ref, width } = useWidth<HTMLDivElement>(0);
  const scale: TimeScale = useMemo(
    () => ({ from: view.from, to: view.from + view.hours * HOUR, width }),
    [view, width],
  );
  const staffed = useMemo(() => staffedSpans(board.presences), [board.presences]);
  const shown = doughs.filter((dough) =>
    dough.steps.some((s) => s.plannedEnd > scale.from && s.plannedStart < scale.to),
  );
  // Threads are drawn where their width is known: in the browser.
  const drawn = width > 0 ? shown : [];
  const openDoughs = shown.filter((dough) => !dough.state.finished);
  const selected = doughs.find(({ id }) => id === picked) ?? openDoughs[0] ?? shown[0];
  const facts = board.doughs.find(({ id }) => id === selected?.id);
  const height = Math.max(1, shown.length) * ROW;
  const mayPlan = person.role === 'planner';

  const takeOut = async (dough: { id: number; name: string }) => {
    const answer = await send('remove-dough', { doughId: dough.id });
    setTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setTaken(dough);
    router.refresh();
  };
  const move = (by: number) => {
    const at = shown.findIndex(({ id }) => id === selected?.id);
    setPicked(shown[Math.min(shown.length - 1, Math.max(0, at + by))]?.id ?? null);
  };
  useKeys({
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    ArrowLeft: () => setView(moved(view, -1)),
    ArrowRight: () => setView(moved(view, 1)),
    '+': () => setView(zoomed(view, -1)),
    '-': () => setView(zoomed(view, 1)),
    h: () => setView(homeWindow(now, view.hours, zone)),
    f: () => setSheet('files'),
    a: () => mayPlan && setSheet('add'),
    t: () => mayPlan && selected && void takeOut(selected),
    Enter: () => selected && go(`/dough/${selected.id}`),
    '?': () => setSheet('keys'),
  });

  return (
    <main className="grid flex-1 lg:min-h-0 lg:grid-cols-[1fr_21rem]">
      <h1 className="sr-only">Plan</h1>
      <section aria-label="Threads" className="flex min-w-0 flex-col px-4 pb-3 lg:h-[calc(100dvh-4rem)]">
        <div className="flex flex-wrap items-center gap-2 py-2">
          <Button onClick={() => setView(moved(view, -1))} aria-label="Earlier">
            <ChevronLeft aria-hidden size={18} />
          </Button>
          <Button onClick={() => setView(homeWindow(now, view.hours, zone))}>
            Now {clockTime(now, zone)}
          </Button>
          <Button onClick={() => setView(moved(view, 1))} aria-label="Later">
            <ChevronRight aria-hidden size={18} />
          </Button>
          <Button
            onClick={() => setView(zoomed(view, -1))}
            disabled={!canZoom(view.hours, -1)}
            aria-label="Closer"
          >
            <ZoomIn aria-hidden size={18} />
          </Button>
          <Button
            onClick={() => setView(zoomed(view, 1))}
            disabled={!canZoom(view.hours, 1)}
            aria-label="Wider"
          >
            <ZoomOut aria-hidden size={18} />
          </Button>
          <p className="ml-2 text-[15px] text-quiet max-sm:hidden" role="status">
            {openDoughs.length} {openDoughs.length === 1 ? 'dough' : 'doughs'} under way or to come,{' '}
            {spanWords(view.hours)} shown
          </p>
          <Button look="quiet" className="ml-auto" onClick={() => setSheet('files')}>
            Files
          </Button>
          <Button look="quiet" onClick={() => setSheet('keys')}>
            Keys <kbd className="ml-1 font-sans font-bold">?</kbd>
          </Button>
          {mayPlan && (
            <Button look="act" className="flex items-center gap-1" onClick={() => setSheet('add')}>
              <Plus aria-hidden size={18} /> Add dough
            </Button>
          )}
        </div>
        {trouble && (
          <p role="alert" className="mb-2 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble}
          </p>
        )}
        <div
          className="min-h-0 flex-1 overflow-y-auto rounded-t"
          tabIndex={0}
          role="group"
          aria-label="Doughs, by the time they are due"
        >
          <div ref={ref} className="relative" style={{ minHeight: height }}>
            <svg width={width} height={height} className="absolute inset-0">
              {width > 0 && <Ground scale={scale} staffed={staffed} zone={zone} height={height} />}
            </svg>
            {drawn.map((dough) => (
              <ThreadRow
                key={dough.id}
                dough={dough}
                outputs={board.doughs.find(({ id }) => id === dough.id)?.outputs ?? []}
                {...{ scale, now, zone }}
                picked={dough.id === selected?.id}
                onPick={() => setPicked(dough.id)}
              />
            ))}
            {shown.length === 0 && (
              <p className="relative p-6 text-lg">No dough in these days. Add one, or go back to now.</p>
            )}
          </div>
        </div>
        {width > 0 && (
          <>
            <Floor scale={scale} zone={zone} now={now} />
            <MachineLoads board={board} doughs={doughs} scale={scale} now={now} />
          </>
        )}
      </section>
      {selected && facts ? (
        <DoughPanel
          dough={selected}
          facts={facts}
          {...{ now, zone }}
          people={board.people}
          onTakeOut={mayPlan ? () => void takeOut(selected) : null}
        />
      ) : (
        <aside className="border-l border-hairline p-6 text-lg text-quiet">
          Pick a thread to see its steps.
        </aside>
      )}
      <AddDough
        open={sheet === 'add'}
        onOpenChange={(open) => setSheet(open ? 'add' : null)}
        onAdded={(id) => {
          setPicked(id);
          router.refresh();
        }}
        {...{ products, zone, now }}
      />
      <KeySheet open={sheet === 'keys'} onOpenChange={(open) => setSheet(open ? 'keys' : null)} />
      <PlanFiles open={sheet === 'files'} onOpenChange={(open) => setSheet(open ? 'files' : null)} />
      {taken && <TakenOut dough={taken} onClose={() => setTaken(null)} />}
    </main>
  );
}
