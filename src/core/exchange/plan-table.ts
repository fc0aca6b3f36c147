import Papa from 'papaparse';
import type { DoughRecord } from '../record/dough';
import type { Machine } from '../bakery/machines';
import { coded, type Words } from '../codes/coded';
import { CREW } from '../process/expand';
import { taskId } from '../process/step-ref';
import { formatLocal } from '../time/local';
import type { CalendarEvent } from './icalendar';

const COLUMNS = ['dough', 'step', 'product', 'kind', 'start', 'end', 'minutes', 'people', 'holds'] as const;

type PlannedStep = DoughRecord['steps'][number];

const people = ({ uses }: PlannedStep): number => uses.find((use) => use.resource === CREW)?.amount ?? 0;

/** "retarder 4, proofer 6 at 27": what a step holds besides hands. */
function holds({ uses }: PlannedStep, machines: readonly Machine[]): string {
  const labels = new Map(machines.map(({ id, label }) => [id, label]));
  return uses
    .filter(({ resource }) => resource !== CREW)
    .map(({ resource, amount, setting }) => {
      const at = setting === undefined ? '' : ` at ${setting} °C`;
      return `${labels.get(resource) ?? resource} ${amount}${at}`;
    })
    .join(', ');
}

function inOrder(doughs: readonly DoughRecord[]) {
  return doughs
    .flatMap((dough) => dough.steps.map((step) => ({ dough, step })))
    .sort((a, b) => a.step.plannedStart - b.step.plannedStart || a.dough.id - b.dough.id);
}

/** The plan as a table: one row a step, by its start, times local to `zone`. `say` says what a step is called. */
export function writePlanCsv(
  doughs: readonly DoughRecord[],
  machines: readonly Machine[],
  zone: string,
  say: (words: Words) => string,
): string {
  const data = inOrder(doughs).map(({ dough, step }) => [
    ...[dough.name, say(step.label), dough.outputs.find(({ id }) => id === step.outputId)?.product ?? ''],
    ...[step.step.kind, formatLocal(step.plannedStart, zone), formatLocal(step.plannedEnd, zone)],
    ...[Math.round((step.plannedEnd - step.plannedStart) / 60_000), people(step), holds(step, machines)],
  ]);
  // A cell that begins like a formula of a spreadsheet must not become one there.
  return `${Papa.unparse({ fields: [...COLUMNS], data }, { newline: '\n', escapeFormulae: true })}\n`;
}

/** The hands-on work of the plan as calendar events; waits are the time between them. `tasks`: only these; `say` says each. */
export function planEvents(
  doughs: readonly DoughRecord[],
  machines: readonly Machine[],
  say: (words: Words) => string,
  tasks?: ReadonlySet<string>,
): CalendarEvent[] {
  return inOrder(doughs)
    .filter(({ dough, step }) => people(step) > 0 && (tasks?.has(taskId(dough.id, step.key)) ?? true))
    .map(({ dough, step }) => ({
      uid: `dough-${dough.id}-${step.key}@hefeteig`,
      start: step.plannedStart,
      end: step.plannedEnd,
      summary: say(coded('steps.ofDough', { dough: dough.name, step: step.label })),
      location: holds(step, machines),
      description: say(coded('files.people', { count: people(step) })),
    }));
}
