'use client';

import type { Ref } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { GroupRow } from '@/core/schedule/groups';
import { useWords } from '../kit/words';
import type { TimeScale } from '../thread/geometry';
import { Ground } from '../thread/ground';
import { GROUP_ROW, GroupRows } from './group-rows';
import { ROW, ThreadRow } from './thread-row';
import type { MovingHand } from './use-moving';
import type { PlanScene } from './use-plan-scene';

interface Props {
  scene: Pick<PlanScene, 'factsOf' | 'asSupposed'>;
  /** Doughs of the window; drawn as threads where they are not in groups. */
  shown: readonly DoughForecast[];
  /** Their work by station or person; null where each dough has a thread. */
  rows: readonly GroupRow[] | null;
  scale: TimeScale;
  /** Told how wide it is: threads are drawn where that is known, in the browser. */
  measured: Ref<HTMLDivElement>;
  staffed: Parameters<typeof Ground>[0]['staffed'];
  zone: string;
  now: number;
  picked: number | undefined;
  filter: string;
  hand: MovingHand | null;
  onPick: (doughId: number, step?: string) => void;
}

/** Doughs by the time they take: a thread each, or their work by station or by person. */
export function PlanThreads({ scene, shown, rows, scale, measured, staffed, ...props }: Props) {
  const say = useWords();
  const { zone, now, picked, filter, hand, onPick } = props;
  const isDrawn = scale.width > 0;
  const height = Math.max(1, shown.length * ROW, (rows ?? []).length * GROUP_ROW);
  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto rounded-t"
      tabIndex={0}
      role="group"
      aria-label={say('plan.doughsByTheTimeThey')}
    >
      <div ref={measured} className="relative" style={{ minHeight: height }}>
        <svg width={scale.width} height={height} className="absolute inset-0">
          {isDrawn && <Ground scale={scale} staffed={staffed} zone={zone} height={height} />}
        </svg>
        {isDrawn && rows && <GroupRows {...{ rows, scale, now, zone, picked, hand }} onPick={onPick} />}
        {(rows || !isDrawn ? [] : shown).map((dough) => (
          <ThreadRow
            key={dough.id}
            dough={dough}
            ghost={scene.asSupposed.find(({ id }) => id === dough.id) ?? dough}
            outputs={scene.factsOf(dough.id)?.outputs ?? []}
            {...{ scale, now, zone, hand }}
            picked={dough.id === picked}
            onPick={() => onPick(dough.id)}
          />
        ))}
        {shown.length === 0 && (
          <p className="relative p-6 text-lg">
            {filter ? say('plan.noDoughWithInThese', { filter }) : say('plan.noDoughInTheseDays')}
          </p>
        )}
      </div>
    </div>
  );
}
