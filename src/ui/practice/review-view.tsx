'use client';

import clsx from 'clsx';
import { useMemo } from 'react';
import { UNKNOWN_CONDITIONS } from '@/core/forecast/conditions';
import { forecastDough } from '@/core/forecast/forecast';
import { boardAt } from '@/core/practice/night';
import type { NightRecord } from '@/core/practice/night-record';
import type { Moment } from '@/core/practice/moment';
import { reviewNight } from '@/core/practice/review';
import type { Scene } from '@/core/practice/scene';
import { clockTime } from '@/core/time/local';
import { FloorTabs } from '../floor/floor-tabs';
import { useWords } from '../kit/words';
import { OpenNight, type NightChoice } from './open-night';
import { ReviewThread } from './review-thread';

interface Props {
  name: string;
  by: string;
  openedAt: number;
  scene: Scene;
  record: NightRecord;
  /** What is practised again. */
  again: NightChoice;
}

/** A practice night looked back at: what came of it, what could have, and what a look would have shown. */
export function ReviewView({ name, by, openedAt, scene, record, again }: Props) {
  const say = useWords();
  const { zone } = scene.board.house;
  const review = useMemo(() => reviewNight(scene, record), [scene, record]);
  const doughs = useMemo(
    () => boardAt(scene, record).doughs.map((dough) => forecastDough(dough, UNKNOWN_CONDITIONS, record.at)),
    [scene, record],
  );
  const { good, second, waste, unmade, possible } = review;
  const counts = [
    [say('practice.good'), good],
    [say('practice.second'), second],
    [say('practice.waste'), waste],
    [say('practice.unmade'), unmade],
  ] as const;
  return (
    <main className="flex-1">
      <FloorTabs />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 p-5">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h1 className="text-4xl font-bold">
            {say('practice.nightOf', { name, by, day: say.dateTime(openedAt, zone) })}
          </h1>
          <div className="flex flex-wrap gap-3">
            <OpenNight choice={again} label={say('practice.again')} />
            <a
              href="/practice"
              className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
            >
              {say('practice.allNights')}
            </a>
          </div>
        </div>
        <section aria-label={say('practice.outcome')}>
          <dl className="flex flex-wrap gap-x-10 gap-y-2">
            {counts.map(([label, pieces]) => (
              <div key={label}>
                <dt className="text-lg text-quiet">{label}</dt>
                <dd className="text-4xl font-bold tabular-nums">{pieces}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-1 text-lg text-quiet">{say('practice.possible', possible)}</p>
        </section>
        <ReviewThread {...{ scene, record, doughs, review }} />
        <section aria-label={say('practice.whatHappened')}>
          <h2 className="text-2xl font-bold">{say('practice.whatHappened')}</h2>
          <ul className="mt-2 grid gap-3">
            {review.moments.map((moment, i) => (
              <MomentLine key={i} moment={moment} zone={zone} />
            ))}
          </ul>
        </section>
      </div>
    </main>
  );
}

const EDGES: Readonly<Record<Moment['how'], string>> = {
  well: 'border-edge',
  missed: 'border-warn',
  hidden: 'border-butter',
};

function MomentLine({ moment: { at, how, what, shown }, zone }: { moment: Moment; zone: string }) {
  const say = useWords();
  const words = {
    well: say('practice.well'),
    missed: say('practice.missed'),
    hidden: say('practice.hidden'),
  };
  return (
    <li className={clsx('border-l-4 pl-3 text-lg', EDGES[how])}>
      <p>
        <span className="font-semibold">{words[how]}</span>{' '}
        <span className="text-quiet">{clockTime(at, zone)}</span> {say.coded(what)}
      </p>
      {shown && <p className="text-quiet">{say.coded(shown)}</p>}
    </li>
  );
}
