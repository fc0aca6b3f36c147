import type { Metadata } from 'next';
import { NO_CALLS } from '@/core/floor/board';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { doughById } from '@/server/queries/doughs';
import { rollingHouse } from '@/server/queries/rolling';
import { house, latestReadings, machines, people, shifts } from '@/server/queries/house';
import { presences } from '@/core/time/shifts';
import { DoughView } from '@/ui/dough/dough-view';

export const metadata: Metadata = { title: 'Dough' };

const DAY = 24 * 3_600_000;

export default async function DoughPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, now } = await housePage();
  const id = Number((await params).id);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) notFound();
  const [bakery, persons, pools, places, pattern, rolling] = await Promise.all([
    house(db),
    people(db),
    machines(db),
    latestReadings(db, now),
    shifts(db),
    rollingHouse(db),
  ]);
  const times = dough.steps.flatMap((step) => [step.plannedStart, step.plannedEnd]);
  const there = presences(pattern, Math.min(...times) - DAY, Math.max(...times) + DAY, bakery.zone);
  const board = {
    house: bakery,
    people: persons,
    machines: pools,
    presences: there,
    ...{ places, rolling, scale: null, calls: NO_CALLS },
    doughs: [dough],
  };
  return <DoughView board={board} person={person} />;
}
