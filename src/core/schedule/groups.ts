import type { Words } from '../codes/coded';
import { taskId } from '../process/step-ref';
import type { Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import { STATIONS } from '../shopfloor/bench-for';
import type { Person } from '../bakery/people';
import type { Machine } from '../bakery/machines';
import type { Duty } from './rota';
import { isHandsOn } from '../record/state';

/** A piece of work in a row of a station or a person. */
export interface GroupItem {
  task: string;
  doughId: number;
  key: string;
  dough: string;
  label: Words;
  start: Instant;
  end: Instant;
  status: 'open' | 'running' | 'done' | 'skipped';
}

/** Everything at one station, or of one person, in order of time. */
export interface GroupRow {
  id: string;
  name: string;
  items: GroupItem[];
}

function itemOf(dough: DoughForecast, step: DoughForecast['steps'][number]): GroupItem {
  const { start, end } = step;
  return {
    task: taskId(dough.id, step.key),
    doughId: dough.id,
    key: step.key,
    dough: dough.name,
    label: step.label,
    start,
    end,
    status: dough.state.steps.get(step.key)?.status ?? 'open',
  };
}

/** What is done at each station. */
export function byStation(doughs: readonly DoughForecast[], machines: readonly Machine[]): GroupRow[] {
  return machines
    .filter(({ kind }) => (STATIONS as readonly string[]).includes(kind))
    .map(({ id, label }) => ({
      id,
      name: label,
      items: doughs
        .flatMap((dough) =>
          dough.steps
            .filter(({ uses }) => uses.some(({ resource }) => resource === id))
            .map((step) => itemOf(dough, step)),
        )
        .sort((a, b) => a.start - b.start),
    }));
}

/** What each person does: as recorded where somebody began it, as the rota has it otherwise. */
export function byPerson(
  doughs: readonly DoughForecast[],
  people: readonly Person[],
  duties: readonly Duty[],
): GroupRow[] {
  const planned = new Map(duties.map(({ task, personIds }) => [task, personIds]));
  const work = doughs.flatMap((dough) =>
    dough.steps
      .filter((step) => isHandsOn(step))
      .map((step) => {
        const state = dough.state.steps.get(step.key);
        const by = state?.startedBy ?? state?.finishedBy;
        const item = itemOf(dough, step);
        return { item, by: typeof by === 'number' ? [by] : (planned.get(item.task) ?? []) };
      }),
  );
  return people
    .map(({ id, name }) => ({
      id: String(id),
      name,
      items: work
        .filter(({ by }) => by.includes(id))
        .map(({ item }) => item)
        .sort((a, b) => a.start - b.start),
    }))
    .filter(({ items }) => items.length > 0);
}
