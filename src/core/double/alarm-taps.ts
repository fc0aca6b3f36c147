import type { DoughForecast } from '../forecast/forecast';
import { type Alarm, alarms } from '../shopfloor/alarms';
import { MINUTE } from '../time/local';
import { chanceOf } from './chance';
import { onShift, workIn, type CrewLook, type CrewTap } from './shift-work';
import { measured } from './taps';

/** Somebody of the crew who sees to an alarm. */
export interface AlarmTap {
  alarm: Alarm;
  personId: number;
  /** What they record then: the temperature of a filling that cools. */
  tap: CrewTap | null;
}

/** An alarm is heard after so many minutes, at least and at most. */
const HEARD = { least: 0.5, most: 4 };

/** Who takes which of the alarms that ring; whoever is not at work just now first. */
export function alarmTaps(look: CrewLook): AlarmTap[] {
  const { board, doughs, now, seed } = look;
  const people = onShift(look);
  const idle = people.filter(({ id }) => !isAtWork(doughs, id));
  const [by] = idle.length > 0 ? idle : people;
  if (!by) return [];
  const ringing = alarms(doughs, now, {
    ...board.calls,
    ...{ zone: board.house.zone, machines: board.machines },
  });
  return ringing
    .filter(({ takenBy, at, id }) => {
      const after = HEARD.least + (HEARD.most - HEARD.least) * chanceOf(`alarm ${id}`, seed).unit();
      return takenBy === null && now >= at + after * MINUTE;
    })
    .map((alarm) => ({ alarm, personId: by.id, tap: tapFor(look, alarm, by.id) }));
}

function tapFor(look: CrewLook, { kind, doughId, stepKey }: Alarm, personId: number): CrewTap | null {
  const dough = kind === 'cooling' ? look.doughs.find(({ id }) => id === doughId) : undefined;
  const step = dough?.steps.find(({ key }) => key === stepKey);
  if (!dough || !step) return null;
  return { ...measured(workIn(look)({ dough, step }), look.now), personId, at: look.now };
}

const isAtWork = (doughs: readonly DoughForecast[], personId: number): boolean =>
  doughs.some(({ state }) =>
    [...state.steps.values()].some(({ status, startedBy }) => status === 'running' && startedBy === personId),
  );
