'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { drifts } from '@/core/schedule/drift';
import { byPerson, byStation } from '@/core/schedule/groups';
import { promisesOf } from '@/core/forecast/promises';
import type { Proposal } from '@/core/schedule/proposal';
import { rota, unmanned } from '@/core/schedule/rota';
import { withTimes } from '@/core/schedule/with-times';
import { forecastDough } from '@/core/forecast/forecast';
import { wholePlan } from '@/core/schedule/whole-plan';
import { staffedSpans } from '@/core/time/shifts';
import { drawnInBrowser } from '../kit/drawn-in-browser';
import { useKeys } from '../kit/use-keys';
import { useWidth } from '../kit/use-width';
import { useMinute } from '../live/clock';
import { withBoard } from '../live/with-board';
import { send } from '../live/command';
import { useFloor } from '../live/floor';
import { go } from '../live/go';
import type { TimeScale } from '../thread/geometry';
import { Floor, Ground } from '../thread/ground';
import { AddDough } from './add-dough';
import { DoughPanel } from './dough-panel';
import { KeySheet } from './key-sheet';
import { MachineLoads } from './machine-loads';
import { MendSheet } from './mend-sheet';
import { MoveCard } from './move-card';
import { GroupRows, GROUP_ROW } from './group-rows';
import { PlanBar, type Group } from './plan-bar';
import { PlanFiles } from './plan-files';
import { PlanNews } from './plan-news';
import { ThreadRow, ROW } from './thread-row';
import { TakenOut } from './taken-out';
import { homeWindow, moved, zoomed } from './time-window';
import { useMoving } from './use-moving';
import { useSampled } from './use-sampled';
import { WaysSheet } from './ways-sheet';
import { matches, movable } from './words';

const HOUR = 3_600_000;
/** Hours shown first: a dough from its mix to the oven. */
const FIRST_SPAN = 96;

/** What the plan page knows beside its board. */
export interface PlanState {
  /** Number of the plan version that is shown. */
  basis: number;
  history: { undo: string | null; redo: string | null };
  mends: Proposal[];
  /** Minutes behind from which it matters. */
  lateMatters: number;
  /** What a minute's move of a hands-on step counts. */
  stay: number;
}

/** Every dough as a thread over the days, what they hold beneath, and the one picked beside it. */
function PlanView({
  board,
  plan,
  products,
  person,
}: {
  board: Board;
  plan: PlanState;
  products: { id: number; name: string }[];
  person: Person;
}) {
  const say = useWords();
  const router = useRouter();
  const now = useMinute();
  const { zone } = board.house;
  const { doughs, records, conditions } = useFloor(board, person.id, now);
  const [view, setView] = useState(() => homeWindow(now, FIRST_SPAN, zone));
  const [picked, setPicked] = useState<number | null>(null);
  const [step, setStep] = useState<string | null>(null);
  const [filter, setFilter] = useState('');
  const [group, setGroup] = useState<Group>('dough');
  const [sheet, setSheet] = useState<'add' | 'keys' | 'files' | 'ways' | null>(null);
  const [looked, setLooked] = useState<Proposal | null>(null);
  const [taken, setTaken] = useState<{ id: number; name: string } | null>(null);
  const [outTrouble, setOutTrouble] = useState<string | null>(null);
  const { ref, width } = useWidth<HTMLDivElement>(0);
  const scale: TimeScale = useMemo(
    () => ({ from: view.from, to: view.from + view.hours * HOUR, width }),
    [view, width],
  );
  const staffed = useMemo(() => staffedSpans(board.presences), [board.presences]);
  const whole = useMemo(
    () =>
      wholePlan(
        {
          ...board,
          equipment: { machines: board.machines, places: board.rooms },
          doughs: records,
          conditions,
        },
        now,
      ),
    [board, records, conditions, now],
  );
  const hand = useMoving(whole, plan);
  const sampled = useSampled(whole);
  const { moving, supposed } = hand;
  const drifted = useMemo(
    () => drifts(whole, board, now, plan.lateMatters),
    [whole, board, now, plan.lateMatters],
  );
  const duties = useMemo(() => rota(records, board.people, board.presences), [board, records]);
  const nobody = useMemo(
    () =>
      unmanned(duties, now, zone).map(({ message, duty }) => ({
        message,
        doughId: duty.doughId,
        at: duty.start,
      })),
    [duties, now, zone],
  );
  const factsOf = (id: number) => records.find((dough) => dough.id === id);
  const shown = doughs.filter(
    (dough) =>
      dough.steps.some((s) => s.plannedEnd > scale.from && s.plannedStart < scale.to) &&
      matches(dough, factsOf(dough.id)?.outputs ?? [], filter),
  );
  // While a step is in the hand the plan is drawn as it would be.
  const asSupposed = supposed?.found
    ? records.map((dough) =>
        forecastDough(withTimes(dough, supposed.found?.moved ?? {}, whole.origin), conditions, now),
      )
    : doughs;
  // Threads are drawn where their width is known: in the browser.
  const drawn = width > 0 ? shown : [];
  const openDoughs = shown.filter((dough) => !dough.state.finished);
  const selected = doughs.find(({ id }) => id === picked) ?? openDoughs[0] ?? shown[0];
  const facts = selected && factsOf(selected.id);
  const inGroups = asSupposed.filter(({ id }) => shown.some((dough) => dough.id === id));
  const rows =
    group === 'station'
      ? byStation(inGroups, board.machines)
      : group === 'person'
        ? byPerson(inGroups, board.people, duties)
        : [];
  const height = Math.max(1, shown.length * ROW, rows.length * GROUP_ROW);
  const mayPlan = person.role === 'planner';
  const late = doughs.filter(
    (dough) =>
      !dough.state.finished &&
      promisesOf(dough, factsOf(dough.id) ?? { outputs: [] }).some((p) => p.late > 0),
  );
  const trouble = outTrouble ?? hand.trouble;

  const takeOut = async (dough: { id: number; name: string }) => {
    const answer = await send('remove-dough', { doughId: dough.id });
    setOutTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setTaken(dough);
    router.refresh();
  };
  const pick = (id: number | null) => {
    if (id !== selected?.id) setStep(null);
    setPicked(id);
  };
  const move = (by: number) => {
    const at = shown.findIndex(({ id }) => id === selected?.id);
    pick(shown[Math.min(shown.length - 1, Math.max(0, at + by))]?.id ?? null);
  };
  const takeUp = (all: boolean) => {
    if (!mayPlan || !selected) return;
    const open = movable(selected);
    const found = open.find(({ key }) => key === step) ?? open[0];
    if (found) hand.begin(selected.id, found.key, all);
  };
  const inHand = moving !== null;
  useKeys({
    ArrowDown: () => !inHand && move(1),
    ArrowUp: () => !inHand && move(-1),
    ArrowLeft: () => (inHand ? hand.by(-5) : setView(moved(view, -1))),
    ArrowRight: () => (inHand ? hand.by(5) : setView(moved(view, 1))),
    'Shift+ArrowLeft': () => inHand && hand.by(-30),
    'Shift+ArrowRight': () => inHand && hand.by(30),
    '+': () => setView(zoomed(view, -1)),
    '-': () => setView(zoomed(view, 1)),
    g: () => setGroup(group === 'dough' ? 'station' : group === 'station' ? 'person' : 'dough'),
    h: () => setView(homeWindow(now, view.hours, zone)),
    f: () => setSheet('files'),
    a: () => mayPlan && setSheet('add'),
    t: () => mayPlan && selected && void takeOut(selected),
    m: () => takeUp(false),
    w: () => takeUp(true),
    u: () => mayPlan && void hand.act('undo-plan'),
    r: () => mayPlan && void hand.act('redo-plan'),
    Escape: () => hand.drop(),
    Enter: () => (inHand ? void hand.keep() : selected && go(`/dough/${selected.id}`)),
    '?': () => setSheet('keys'),
  });

  return (
    <main className="grid flex-1 lg:min-h-0 lg:grid-cols-[1fr_21rem]">
      <h1 className="sr-only">{say('plan.plan')}</h1>
      <section
        aria-label={say('plan.threads')}
        className="flex min-w-0 flex-col px-4 pb-3 lg:h-[calc(100dvh-4rem)]"
      >
        <PlanBar
          {...{ view, now, zone, filter, group }}
          onGroup={setGroup}
          onView={setView}
          onFilter={setFilter}
          openDoughs={openDoughs.length}
          late={late.length}
          onLate={() =>
            pick(late[(late.findIndex(({ id }) => id === selected?.id) + 1) % late.length]?.id ?? null)
          }
          history={mayPlan ? plan.history : null}
          onAct={(act) => void hand.act(act)}
          onSheet={setSheet}
        />
        <PlanNews
          drifts={[...drifted, ...nobody]}
          mends={plan.mends}
          mayPlan={mayPlan}
          onLook={setLooked}
          onJump={({ doughId, at }) => {
            if (doughId !== null) pick(doughId);
            setView(homeWindow(at, Math.min(view.hours, 24), zone));
          }}
        />
        {trouble && (
          <p role="alert" className="mb-2 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble}
          </p>
        )}
        <div
          className="min-h-0 flex-1 overflow-y-auto rounded-t"
          tabIndex={0}
          role="group"
          aria-label={say('plan.doughsByTheTimeThey')}
        >
          <div ref={ref} className="relative" style={{ minHeight: height }}>
            <svg width={width} height={height} className="absolute inset-0">
              {width > 0 && <Ground scale={scale} staffed={staffed} zone={zone} height={height} />}
            </svg>
            {width > 0 && (
              <GroupRows
                {...{ rows, scale, now, zone }}
                picked={selected?.id}
                onPick={(id, key) => {
                  pick(id);
                  setStep(key);
                }}
                hand={mayPlan ? hand : null}
              />
            )}
            {(group === 'dough' ? drawn : []).map((dough) => (
              <ThreadRow
                key={dough.id}
                dough={dough}
                ghost={asSupposed.find(({ id }) => id === dough.id) ?? dough}
                outputs={factsOf(dough.id)?.outputs ?? []}
                {...{ scale, now, zone }}
                picked={dough.id === selected?.id}
                onPick={() => pick(dough.id)}
                hand={mayPlan ? hand : null}
              />
            ))}
            {shown.length === 0 && (
              <p className="relative p-6 text-lg">
                {filter ? say('plan.noDoughWithInThese', { filter }) : say('plan.noDoughInTheseDays')}
              </p>
            )}
          </div>
        </div>
        {width > 0 && (
          <>
            <Floor scale={scale} zone={zone} now={now} />
            <MachineLoads board={board} doughs={asSupposed} scale={scale} now={now} />
          </>
        )}
      </section>
      {selected && facts ? (
        <DoughPanel
          dough={selected}
          facts={facts}
          {...{ now, zone, whole, sampled, duties }}
          people={board.people}
          machines={board.machines}
          rolling={board.rolling}
          step={step}
          onStep={setStep}
          hand={hand}
          mayPlan={mayPlan}
          onTakeOut={mayPlan ? () => void takeOut(selected) : null}
          onWays={mayPlan ? () => setSheet('ways') : null}
        />
      ) : (
        <aside className="border-l border-hairline p-6 text-lg text-quiet">
          {say('plan.pickAThreadToSee')}
        </aside>
      )}
      <MoveCard hand={hand} whole={whole} machines={board.machines} zone={zone} />
      <AddDough
        open={sheet === 'add'}
        onOpenChange={(open) => setSheet(open ? 'add' : null)}
        onAdded={(id) => {
          pick(id);
          router.refresh();
        }}
        {...{ products, zone, now }}
      />
      <KeySheet open={sheet === 'keys'} onOpenChange={(open) => setSheet(open ? 'keys' : null)} />
      <PlanFiles
        open={sheet === 'files'}
        onOpenChange={(open) => setSheet(open ? 'files' : null)}
        person={person}
        people={board.people}
      />
      <MendSheet
        proposal={looked}
        zone={zone}
        machines={board.machines}
        mayAccept={mayPlan}
        onClose={() => {
          setLooked(null);
          router.refresh();
        }}
      />
      {facts && (
        <WaysSheet
          open={sheet === 'ways'}
          dough={facts}
          pinned={board.doughs.some(({ steps }) => steps.some((s) => s.pinned))}
          basis={plan.basis}
          zone={zone}
          machines={board.machines}
          onClose={() => {
            setSheet(null);
            router.refresh();
          }}
        />
      )}
      {taken && <TakenOut dough={taken} onClose={() => setTaken(null)} />}
    </main>
  );
}

export const PlanScreen = drawnInBrowser(withBoard(PlanView));
