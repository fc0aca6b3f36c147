'use client';

import { useMemo } from 'react';
import { byPerson, byStation } from '@/core/schedule/groups';
import type { Proposal } from '@/core/schedule/proposal';
import { staffedSpans } from '@/core/time/shifts';
import type { Board } from '@/core/wire/board';
import { guided } from '../first-steps/guided';
import { useWords } from '../kit/words';
import { Floor } from '../thread/ground';
import { MachineLoads } from './machine-loads';
import { PlanBar } from './plan-bar';
import { PlanByTime } from './plan-by-time';
import { PlanNews } from './plan-news';
import type { PlanSheet } from './plan-sheets';
import type { PlanState } from './plan-state';
import { PlanThreads } from './plan-threads';
import { homeWindow } from './time-window';
import { useOpenDays } from './use-open-days';
import type { PlanScene } from './use-plan-scene';
import type { Shown } from './use-shown';

interface Props {
  board: Board;
  plan: PlanState;
  scene: PlanScene;
  shown: Shown;
  mayPlan: boolean;
  maySeeOrders: boolean;
  now: number;
  trouble: string | null;
  onSheet: (sheet: PlanSheet) => void;
  onLook: (proposal: Proposal) => void;
}

/** The bar, the news, the threads and the machines beneath them. */
export function PlanSection({ board, plan, scene, shown, mayPlan, maySeeOrders, now, ...props }: Props) {
  const { trouble, onSheet, onLook } = props;
  const say = useWords();
  const { zone } = board.house;
  const { scale, group, selected, pick, setView, view } = shown;
  const { hand, late, asSupposed, duties } = scene;
  const staffed = useMemo(() => staffedSpans(board.presences), [board.presences]);
  const inGroups = asSupposed.filter(({ id }) => shown.shown.some((dough) => dough.id === id));
  const rows = {
    dough: null,
    station: () => byStation(inGroups, board.machines),
    person: () => byPerson(inGroups, board.people, duties),
  }[group];
  const open = useOpenDays(board, maySeeOrders);
  const notes = useMemo(
    () => new Map([...open].map(([day, pieces]) => [day, say('plan.withoutADough', { pieces })])),
    [open, say],
  );
  const nextLate = late[(late.findIndex(({ id }) => id === selected?.id) + 1) % late.length];
  return (
    <section
      aria-label={say('plan.threads')}
      {...guided('plan-threads')}
      className="flex min-w-0 flex-col px-4 pb-3 lg:h-[calc(100dvh-4rem)]"
    >
      <PlanBar
        {...{ view, now, zone, group, filter: shown.filter }}
        onGroup={shown.setGroup}
        onView={setView}
        onFilter={shown.setFilter}
        openDoughs={shown.open.length}
        late={late.length}
        onLate={() => pick(nextLate?.id ?? null)}
        history={mayPlan ? plan.history : null}
        onAct={(act) => void hand.act(act)}
        onSheet={onSheet}
      />
      <PlanNews
        {...{ drifts: scene.off, mends: plan.mends, mayPlan, onLook }}
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
      <PlanThreads
        {...{ scene, scale, staffed, zone, now, filter: shown.filter }}
        shown={shown.shown}
        rows={rows && rows()}
        measured={shown.measured}
        picked={selected?.id}
        hand={mayPlan ? hand : null}
        onPick={pick}
      />
      <PlanByTime {...{ now, zone, duties }} doughs={shown.shown} span={scale} people={board.people} />
      {scale.width > 0 && (
        <>
          <Floor {...{ scale, zone, now, notes }} />
          <MachineLoads board={board} doughs={asSupposed} scale={scale} now={now} />
        </>
      )}
    </section>
  );
}
