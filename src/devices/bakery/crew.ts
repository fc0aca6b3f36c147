import { v7 as uuidv7 } from 'uuid';
import { outputsToPlan, type ProposedDough } from '@/core/demand/propose';
import { createForecaster } from '@/core/forecast/forecaster';
import { type Instant, MINUTE } from '@/core/time/local';
import { conditionsOf } from '@/core/wire/board';
import { alarmTaps, type AlarmTap } from '@/core/double/alarm-taps';
import { handoverTaps, type HandoverTap } from '@/core/double/handover-taps';
import { isBehind, planningDay, repairedUntil, repairs, toPlan } from './planner';
import { crewTaps, type CrewLook, type CrewTap, onShift } from '@/core/double/shift-work';
import { CrewTablet, type Floor } from './tablet';

/** Somebody of the crew, with the PIN that their taps need. */
export interface CrewMember {
  id: number;
  pin: string;
}

/** Something that the crew did, and why the house refused it, where it did. */
export interface CrewAct {
  at: Instant;
  personId: number;
  what: string;
  refused: string | null;
}

/** How long a repair of the plan is searched for. */
const REPAIR_SECONDS = 1;

/** What the house has refused is tried again after so many minutes. */
const LEFT_ALONE = 10;

/** The simulated crew at its tablet. A planner among them plans once a day. */
export class Crew {
  private readonly tablet: CrewTablet;
  private readonly own: ReadonlySet<number>;
  private readonly forecast = createForecaster();
  private readonly leftUntil = new Map<string, Instant>();
  /** What the house's clock said at the last look. */
  private seenAt: Instant = 0;
  private plannedDay: string | null = null;
  private repairAgain: Instant = 0;
  /** Shifts that have left their words for the next. */
  private readonly handedOver = new Set<string>();

  /**
   * @param house - its address
   * @param people - who works by themselves
   * @param seed - the same seed, and the same record, give the same taps
   */
  constructor(
    house: string,
    people: readonly CrewMember[],
    private readonly seed: number,
  ) {
    if (people.length === 0) throw new Error('A crew has at least one person.');
    this.tablet = new CrewTablet(house, new Map(people.map(({ id, pin }) => [id, pin])));
    this.own = new Set(people.map(({ id }) => id));
  }

  /** Signs everybody out: a crew that comes back finds nobody in its place. */
  leave(): Promise<void> {
    return this.tablet.leave();
  }

  /** What the house's clock said when the crew last looked. */
  get lastLook(): Instant {
    return this.seenAt;
  }

  /** Looks once, and does what is to do now; returns what was done. */
  async work(): Promise<CrewAct[]> {
    const [watcher = 0] = this.own;
    const floor = await this.tablet.floor(watcher);
    const { now, board } = floor;
    this.seenAt = now;
    if (floor.demo?.crew === false) return [];
    const look: CrewLook = {
      board: { ...board, people: board.people.filter(({ id }) => this.own.has(id)) },
      doughs: this.forecast(board.doughs, conditionsOf(board), now),
      ...{ now, seed: this.seed, seated: new Set(floor.atTablets) },
    };
    const acts: CrewAct[] = [];
    // What calls is heard before anybody does what it calls for.
    for (const heard of alarmTaps(look)) acts.push(...(await this.see(heard, now)));
    for (const tap of crewTaps(look)) acts.push(...(await this.tap(tap, now)));
    for (const tap of handoverTaps(look, floor.words)) acts.push(...(await this.handOver(tap, now)));
    acts.push(...(await this.repair(look)));
    return [...acts, ...(await this.plan(floor))];
  }

  /** Does something, unless the house has refused it a moment ago. */
  private async act(
    one: Omit<CrewAct, 'refused'>,
    now: Instant,
    how: () => Promise<string | null>,
  ): Promise<CrewAct[]> {
    if ((this.leftUntil.get(one.what) ?? 0) > now) return [];
    const refused = await how();
    if (refused !== null) this.leftUntil.set(one.what, now + LEFT_ALONE * MINUTE);
    return [{ ...one, refused }];
  }

  private tap(tap: CrewTap, now: Instant): Promise<CrewAct[]> {
    const { personId, at, doughId, stepKey, body } = tap;
    const what = `${doughId} ${stepKey} ${body.kind}`;
    return this.act({ at, personId, what }, now, () => this.tablet.tap(tap, at < now));
  }

  private async see({ alarm, personId, tap }: AlarmTap, now: Instant): Promise<CrewAct[]> {
    const call = (command: string, input: Record<string, unknown>) =>
      this.act({ at: now, personId, what: `${command} ${alarm.id}` }, now, () =>
        this.tablet.send(personId, command, input),
      );
    const { thaw } = alarm;
    // What is out of the freezer calls nobody any more.
    if (thaw)
      return call('move-stock', { productId: thaw.productId, amount: -thaw.pieces, forDue: thaw.dueAt });
    return [...(await call('take-alarm', { alarm: alarm.id })), ...(tap ? await this.tap(tap, now) : [])];
  }

  private handOver(tap: HandoverTap, now: Instant): Promise<CrewAct[]> {
    const { personId } = tap;
    if ('handover' in tap)
      return this.act({ at: now, personId, what: `sign-handover ${tap.handover}` }, now, () =>
        this.tablet.send(personId, 'sign-handover', { handover: tap.handover }),
      );
    const shift = `${personId} ${tap.shift}`;
    if (this.handedOver.has(shift)) return Promise.resolve([]);
    this.handedOver.add(shift);
    return this.act({ at: now, personId, what: `write-handover ${shift}` }, now, () =>
      this.tablet.send(personId, 'write-handover', { id: uuidv7(), words: tap.words }),
    );
  }

  /** Brings the plan up to what has happened, where the floor has left it. */
  private async repair(look: CrewLook): Promise<CrewAct[]> {
    const { now, doughs, board, seated } = look;
    const free = board.people.filter(({ id }) => !seated.has(id));
    const by = repairs(onShift(look), free);
    if (!by || now < this.repairAgain || !isBehind(doughs, now)) return [];
    this.repairAgain = repairedUntil(now);
    return this.act({ at: now, personId: by.id, what: 'accept-proposal' }, now, async () => {
      const worked = await this.tablet.command(by.id, 'propose-mend', { seconds: REPAIR_SECONDS });
      if (!worked.ok) return worked.message;
      const { proposal, passed } = worked.result as { proposal: { id: number }; passed: boolean };
      return passed ? null : this.tablet.send(by.id, 'accept-proposal', { id: proposal.id });
    });
  }

  private async plan({ now, board, atTablets }: Floor): Promise<CrewAct[]> {
    const { zone } = board.house;
    const planner = board.people.find(({ id, role }) => role === 'planner' && this.own.has(id));
    const day = planningDay(now, zone);
    if (!planner || day === null || day === this.plannedDay || atTablets.includes(planner.id)) return [];
    this.plannedDay = day;
    const { proposals } = await this.tablet.orders(planner.id);
    const acts: CrewAct[] = [];
    for (const dough of toPlan(proposals, now))
      acts.push(...(await this.add(dough, planner.id, { now, zone })));
    return acts;
  }

  private add(
    dough: ProposedDough,
    personId: number,
    { now, zone }: { now: Instant; zone: string },
  ): Promise<CrewAct[]> {
    const outputs = outputsToPlan(dough, zone);
    const add = (late: { late?: true }) =>
      this.tablet.send(personId, 'add-dough', { clientId: uuidv7(), outputs, ...late });
    const what = `add-dough ${JSON.stringify(outputs)}`;
    // Late is better than not at all.
    return this.act({ at: now, personId, what }, now, async () =>
      (await add({})) === null ? null : add({ late: true }),
    );
  }
}
