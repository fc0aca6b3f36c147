import { coded, type Coded, type Words } from '../codes/coded';
import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import { agenda, type AgendaItem } from './agenda';
import { lastMeasured, type ProbeReadings } from '../forecast/conditions';
import { countTurns, turnMessage } from '../record/turns';

/** Where one dough stands, as the next shift has to know it. */
export interface DoughProgress {
  dough: DoughForecast;
  /** What is going on with it, and since when. */
  now: { label: Words; since: Instant; place: string | null; shelf: number | null; until: Instant }[];
  /** "turn 2 of 3 done"; null for a dough without turns. */
  turns: Coded | null;
  /** The last temperature told of it. */
  measured: { celsius: number; at: Instant } | null;
}

/** Something that was not as planned. */
export interface Unusual {
  at: Instant;
  personId: number | null;
  message: Coded;
}

/** What a shift finds when it comes, worked out from plan and events. */
export interface Handover {
  underWay: DoughProgress[];
  /** Hands-on work of the next hours, the first on top. */
  coming: AgendaItem[];
  unusual: Unusual[];
}

/** How far back and ahead a handover looks, hours; from how many minutes on a step counts as late or slow. */
const BACK = 12;
const AHEAD = 4;
const MATTERS = 10;

const VERDICTS = { under: coded('handover.notRisenEnough'), over: coded('handover.risenTooFar') } as const;

/** The page that writes itself for a change of shift. */
export function handover(
  doughs: readonly DoughForecast[],
  now: Instant,
  coreProbes: ProbeReadings = new Map(),
): Handover {
  const open = doughs.filter(({ state }) => state.started && !state.finished);
  const { next, coming } = agenda(doughs, now, AHEAD * 60);
  return {
    underWay: open.map((dough) => progressOf(dough, coreProbes)),
    coming: [...next, ...coming]
      .filter(({ inMinutes }) => inMinutes <= AHEAD * 60)
      .sort((a, b) => a.inMinutes - b.inMinutes),
    unusual: doughs
      .flatMap((dough) => unusualOf(dough))
      .filter(({ at }) => at > now - BACK * 60 * MINUTE && at <= now)
      .sort((a, b) => b.at - a.at),
  };
}

function progressOf(dough: DoughForecast, coreProbes: ProbeReadings): DoughProgress {
  const turns = countTurns(dough.steps, dough.state, dough.lamination?.blocks);
  const temperatures = [...dough.state.steps.values()].flatMap(
    (state) => lastMeasured(state, coreProbes) ?? [],
  );
  const last = temperatures.reduce<DoughProgress['measured']>(
    (newest, one) => (newest && newest.at > one.at ? newest : one),
    null,
  );
  return {
    dough,
    now: dough.steps.flatMap((step) => {
      const state = dough.state.steps.get(step.key);
      if (state?.status !== 'running') return [];
      const since = step.start;
      return [
        {
          label: step.label,
          since,
          place: state.moved?.place ?? step.place ?? null,
          shelf: state.moved?.shelf ?? null,
          until: step.ready?.at ?? step.end,
        },
      ];
    }),
    turns: turns && turnMessage(turns),
    measured: last,
  };
}

/** What was entered long after it was done, in one line a dough. */
function enteredLater({ name, state }: DoughForecast): Unusual[] {
  const late = [...state.steps.values()].filter(
    ({ enteredAt, startedAt, finishedAt }) =>
      enteredAt !== null && enteredAt - (finishedAt ?? startedAt ?? enteredAt) >= MATTERS * MINUTE,
  );
  const [first] = late;
  if (!first) return [];
  const at = Math.max(...late.map(({ enteredAt }) => enteredAt ?? 0));
  const message = coded('handover.enteredLater', { what: name, steps: late.length });
  return [{ at, personId: first.finishedBy ?? first.startedBy, message }];
}

function unusualOf(dough: DoughForecast): Unusual[] {
  const onDough = dough.state.notes.map(({ text, at, personId }) => {
    return { at, personId, message: coded('handover.noteOn', { what: dough.name, text }) };
  });
  const lost = dough.state.losses.map(({ output, pieces, why, at, personId }): Unusual => {
    const parts = { what: dough.name, pieces: pieces ?? 0, isWhole: output === null, why };
    return { at, personId, message: coded('handover.lost', parts) };
  });
  const closed = dough.state.closed;
  return [
    ...onDough,
    ...lost,
    ...enteredLater(dough),
    ...(closed ? [{ ...closed, message: coded('handover.closed', { what: dough.name }) }] : []),
    ...dough.steps.flatMap((step) => {
      const state = dough.state.steps.get(step.key);
      if (!state) return [];
      const what = coded('handover.stepOf', { dough: dough.name, step: { inLine: step.label } });
      const told: Unusual[] = state.notes.map(({ text, at, personId }) => {
        return { at, personId, message: coded('handover.noteOn', { what, text }) };
      });
      if (state.status === 'skipped' && state.finishedAt !== null && !state.isEndedWithDough)
        told.push({
          ...{ at: state.finishedAt, personId: state.finishedBy },
          message: coded('handover.leftOut', {
            what,
            skipReason: state.skipReason ?? coded('handover.noReasonSaid'),
          }),
        });
      const { verdict } = state;
      if (verdict && verdict.verdict !== 'right')
        told.push({
          at: verdict.at,
          personId: verdict.personId,
          message: coded('handover.judged', { what, verdict: VERDICTS[verdict.verdict] }),
        });
      if (step.step.work && state.startedAt !== null) {
        const late = (state.startedAt - step.plannedStart) / MINUTE;
        if (late >= MATTERS)
          told.push({
            at: state.startedAt,
            personId: state.startedBy,
            message: coded('handover.beganLate', { what, duration: { minutes: Math.round(late) } }),
          });
        const took = state.finishedAt === null ? 0 : (state.finishedAt - state.startedAt) / MINUTE;
        if (state.finishedAt !== null && took - step.target >= MATTERS)
          told.push({
            ...{ at: state.finishedAt, personId: state.finishedBy },
            message: coded('handover.tookInsteadOf', {
              what,
              duration: { minutes: Math.round(took) },
              duration2: { minutes: step.target },
            }),
          });
      }
      return told;
    }),
  ];
}
