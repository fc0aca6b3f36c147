'use client';

import { useMemo, useState } from 'react';
import { useWidth } from '../kit/use-width';
import type { TimeScale } from '../thread/geometry';
import type { Group } from './plan-bar';
import { homeWindow } from './time-window';
import type { PlanScene } from './use-plan-scene';
import { matches } from './words';

const HOUR = 3_600_000;
/** Hours shown first: a dough from its mix to the oven. */
const FIRST_SPAN = 96;

/** Which days are shown, how, and which dough is picked of those that they have. */
export function useShown(scene: PlanScene, { now, zone, rows }: { now: number; zone: string; rows: Group }) {
  const [view, setView] = useState(() => homeWindow(now, FIRST_SPAN, zone));
  const [picked, setPicked] = useState<number | null>(null);
  const [step, setStep] = useState<string | null>(null);
  const [filter, setFilter] = useState('');
  const [group, setGroup] = useState<Group>(rows);
  const { ref: measured, width } = useWidth<HTMLDivElement>(0);
  const scale: TimeScale = useMemo(
    () => ({ from: view.from, to: view.from + view.hours * HOUR, width }),
    [view, width],
  );
  const shown = scene.doughs.filter(
    (dough) =>
      dough.steps.some(
        ({ plannedEnd, plannedStart }) => plannedEnd > scale.from && plannedStart < scale.to,
      ) && matches(dough, scene.factsOf(dough.id)?.outputs ?? [], filter),
  );
  const open = shown.filter((dough) => !dough.state.finished);
  const selected = scene.doughs.find(({ id }) => id === picked) ?? open[0] ?? shown[0];
  const pick = (id: number | null, key?: string) => {
    if (id !== selected?.id) setStep(null);
    if (key !== undefined) setStep(key);
    setPicked(id);
  };
  const pickNext = (by: number) => {
    const at = shown.findIndex(({ id }) => id === selected?.id);
    pick(shown[Math.min(shown.length - 1, Math.max(0, at + by))]?.id ?? null);
  };
  return {
    ...{ view, setView, filter, setFilter, group, setGroup, scale, measured },
    ...{ shown, open, selected, step, setStep, pick, pickNext },
  };
}

export type Shown = ReturnType<typeof useShown>;
