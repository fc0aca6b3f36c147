import { coded, type Coded, type Words } from '../codes/coded';
import { CREW } from '../process/expand';
import { taskId } from '../process/step-ref';
import { MINUTE, type Instant } from '../time/local';
import type { Presence } from '../time/shifts';
import type { DoughRecord } from '../record/dough';
import type { Person, Skill } from '../bakery/people';
import { skillFor, strainOf } from '../process/skills';

/** A hands-on step with who carries it out. */
export interface Duty {
  task: string;
  doughId: number;
  dough: string;
  label: Words;
  start: Instant;
  end: Instant;
  personIds: number[];
  /** How many people it wants for whom nobody is there, and what they would have to know. */
  missing: number;
  skill: Skill | null;
  /** What a minute of it costs the arms, against watching. */
  strain: number;
}

/** Going on with the same dough is worth so many minutes of strain: fewer, quieter pieces of work. */
const CONTINUITY = 25;
/** Work that follows within this is going on with it, minutes. */
const SOON = 90;
/** After so long at it without a stop somebody has a break before the next step, minutes. */
const AT_A_STRETCH = 4 * 60;
const BREAK = 15;

/** Where somebody stands in the day, as the duties are given out. */
interface Hand {
  person: Person;
  /** When they are there. */
  there: Presence[];
  busyUntil: Instant;
  /** Since when there was no stop. */
  since: Instant;
  strain: number;
  lastDough: number | null;
  lastEnd: Instant;
}

/**
 * Gives names to the planned hands-on steps: who is there from start to end, knows the work and has no other. Of several,
 * the one who goes on with the same dough, and who has had the least strain; after four hours without a stop comes a break
 * where somebody else can take over. Steps for which nobody is left say so.
 *
 * Planning knows hands as a number; this is where the number meets shifts and skills.
 */
export function rota(
  doughs: readonly DoughRecord[],
  people: readonly Person[],
  presences: readonly Presence[],
): Duty[] {
  const hands = people.map((person): Hand => {
    const there = presences.filter(({ personId }) => personId === person.id);
    return { person, there, busyUntil: 0, since: 0, strain: 0, lastDough: null, lastEnd: 0 };
  });
  return stepsOf(doughs).map((duty) => {
    const wanted = duty.missing;
    // Who leaves in the middle hands over; better somebody who stays.
    const chosen = hands
      .filter((hand) => canDo(hand, duty))
      .map((hand) => ({ hand, until: staysUntil(hand, duty), worth: price(hand, duty) }))
      .filter(({ until }) => until >= duty.start + MINUTE)
      .sort(
        (a, b) =>
          Number(a.until < duty.end) - Number(b.until < duty.end) ||
          a.worth - b.worth ||
          a.hand.person.id - b.hand.person.id,
      )
      .slice(0, wanted)
      .map(({ hand }) => hand);
    for (const hand of chosen) give(hand, duty);
    return {
      ...duty,
      personIds: chosen.map(({ person }) => person.id),
      missing: wanted - chosen.length,
    };
  });
}

/** Hands-on steps in order of time, with as many missing as they want. */
function stepsOf(doughs: readonly DoughRecord[]): Duty[] {
  return doughs
    .flatMap(({ id, name, steps }) =>
      steps.flatMap(({ key, label, step, uses, plannedStart, plannedEnd }): Duty[] => {
        const wanted = uses.find(({ resource }) => resource === CREW)?.amount ?? 0;
        if (wanted === 0) return [];
        return [
          {
            ...{ task: taskId(id, key), doughId: id, dough: name, label },
            ...{ start: plannedStart, end: plannedEnd, personIds: [], missing: wanted },
            ...{ skill: skillFor(step), strain: strainOf(step) },
          },
        ];
      }),
    )
    .sort((a, b) => a.start - b.start || a.end - b.end);
}

/** Has no other work when it starts, and knows how. */
function canDo({ person: { skills = [] }, busyUntil }: Hand, { start, skill }: Duty): boolean {
  // Nobody's skills said: everything.
  return busyUntil <= start && (skill === null || skills.length === 0 || skills.includes(skill));
}

/** Until when somebody who is there at a start stays; long ago for whoever is not there. */
function staysUntil({ there }: Hand, { start }: Duty): Instant {
  return there.reduce((last, span) => (span.start <= start && span.end > last ? span.end : last), -Infinity);
}

function price({ strain, lastDough, lastEnd, since }: Hand, { doughId, start }: Duty): number {
  const goesOn = lastDough === doughId && start - lastEnd <= SOON * MINUTE;
  const tired = start - lastEnd < BREAK * MINUTE && start - since > AT_A_STRETCH * MINUTE;
  return strain - (goesOn ? CONTINUITY : 0) + (tired ? 10 * CONTINUITY : 0);
}

function give(hand: Hand, { doughId, start, end, strain }: Duty): void {
  // A new day begins rested.
  if (start - hand.lastEnd > 6 * 60 * MINUTE) hand.strain = 0;
  if (start - hand.lastEnd >= BREAK * MINUTE) hand.since = start;
  hand.strain += ((end - start) / MINUTE) * strain;
  hand.busyUntil = end;
  hand.lastEnd = end;
  hand.lastDough = doughId;
}

/** Steps to come for which nobody is there who knows the work. */
export function unmanned(
  duties: readonly Duty[],
  now: Instant,
  zone: string,
): { message: Coded; duty: Duty }[] {
  return duties
    .filter(({ missing, start }) => missing > 0 && start > now)
    .map((duty) => {
      const { skill, missing, start, dough, label } = duty;
      const who = skill === null ? 'free' : coded('drift.freeWhoCan', { skill });
      const lack =
        missing === 1 ? coded('drift.nobodyIs', { who }) : coded('drift.peopleAreMissing', { missing, who });
      return {
        message: coded('drift.at', {
          lack,
          time: { dayTime: start, zone },
          dough,
          step: { inLine: label },
        }),
        duty,
      };
    });
}
