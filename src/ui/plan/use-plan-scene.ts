'use client';

import { useMemo } from 'react';
import type { Person } from '@/core/bakery/people';
import { forecastDough } from '@/core/forecast/forecast';
import { promisesOf } from '@/core/forecast/promises';
import { drifts } from '@/core/schedule/drift';
import { rota, unmanned } from '@/core/schedule/rota';
import { wholePlan } from '@/core/schedule/whole-plan';
import { withTimes } from '@/core/schedule/with-times';
import type { Board } from '@/core/wire/board';
import { useFloor } from '../live/floor';
import type { PlanState } from './plan-state';
import { useMoving } from './use-moving';
import { useSampled } from './use-sampled';

/** The whole plan as it is now: its doughs with what is forecast of them, what is off, and a hand that moves steps. */
export function usePlanScene(board: Board, plan: PlanState, person: Person, now: number) {
  const { zone } = board.house;
  const { doughs, records, conditions } = useFloor(board, person.id, now);
  const whole = useMemo(() => {
    const equipment = { machines: board.machines, places: board.rooms };
    return wholePlan({ ...board, equipment, doughs: records, conditions }, now);
  }, [board, records, conditions, now]);
  const hand = useMoving(whole, plan);
  const sampled = useSampled(whole);
  const duties = useMemo(() => rota(records, board.people, board.presences), [board, records]);
  const off = useMemo(
    () => [
      ...drifts(whole, board, now, plan.lateMatters),
      ...unmanned(duties, now, zone).map(({ message, duty }) => ({
        ...{ message, doughId: duty.doughId, at: duty.start },
      })),
    ],
    [whole, board, duties, now, zone, plan.lateMatters],
  );
  const factsOf = (id: number) => records.find((dough) => dough.id === id);
  const moved = hand.supposed?.found?.moved;
  // While a step is in the hand the plan is drawn as it would be.
  const asSupposed = moved
    ? records.map((dough) => forecastDough(withTimes(dough, moved, whole.origin), conditions, now))
    : doughs;
  const late = doughs.filter(
    (dough) =>
      !dough.state.finished &&
      promisesOf(dough, factsOf(dough.id) ?? { outputs: [] }).some((promise) => promise.late > 0),
  );
  return { doughs, whole, hand, sampled, duties, off, factsOf, asSupposed, late };
}

export type PlanScene = ReturnType<typeof usePlanScene>;
