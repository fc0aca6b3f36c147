import type { HeardSpan } from '../diagnosis/temperatures';
import { alongLegs } from '../ferment/path';
import { minuteReached, progressAlong } from '../ferment/progress';
import { BAKERS_YEAST } from '../ferment/rate';
import { inOrder, mainBefore } from '../process/order';
import { settlingIn } from '../process/settling';
import type { DoughStep } from '../process/expand';
import type { DoughRecord } from '../record/dough';
import { eventOf, type EventBody, type FloorEvent, type HandCheck } from '../record/events';
import { isHandsOn } from '../record/state';
import { type Instant, MINUTE } from '../time/local';
import { type Chance, chanceOf } from './chance';
import type { Mishap } from './mishaps';

/** A whole batch as the double made it: what was recorded of it, and what probes said while it waited. */
export interface PlayedBatch {
  record: DoughRecord;
  heard: HeardSpan[];
  /** When each wait that decides a rise was at its best in truth, by its key, and what was around it then, °C. */
  best: ReadonlyMap<string, { at: Instant; air: number }>;
  /** How far each rise had come in truth when it was ended, by the key of its wait: 1 at its best. */
  risen: ReadonlyMap<string, number>;
}

/** How much a place is off what it should be, and how much faster or slower a dough follows it than reckoned. */
const SPREAD = {
  place: 0.5,
  settling: 0.12,
  vigour: 0.07,
  wait: 0.06,
  late: 10,
  bake: 0.03,
  work: 0.12,
  humidity: 3,
  oven: 2,
};
/** How often somebody measures the block, looks by hand and says so, and finds what is wrong. */
const RECORDED = { temperature: 0.8, check: 0.5, finding: 0.85 };
/** Rolling warms a block, °C, beside the room. */
const ROLLED = 1.5;
/** What is worked with follows the room so fast, minutes. */
const IN_HAND = 45;
const BLOCK: readonly string[] = ['lock-in', 'turn', 'sheet'];
/** How much colder a core is that was baked for no time at all, °C. */
const CORE_SHORT = 20;
/** What a proofer's humidity is held at, %. */
const HUMID = 77;

/** Where each check by hand is made, by the kind of step. */
const LOOKED_AT: readonly (readonly [check: HandCheck['check'], kind: string])[] = [
  ...([
    ['bend', 'temper'],
    ['flour', 'turn'],
    ['sheet', 'sheet'],
    ['roll', 'shape'],
    ['fill', 'shape'],
  ] as const),
  ...([
    ['cover', 'proof'],
    ['wash', 'wash'],
    ['spots', 'bake'],
  ] as const),
];

/**
 * Makes a batch from its first step to its last with one mishap, or with none: everything else varies as it does in a bakery.
 *
 * @param planned - the dough, of which nothing is recorded yet
 * @param seed - the same seed gives the same batch
 */
export function playedBatch(planned: DoughRecord, mishap: Mishap, seed: number): PlayedBatch {
  const chance = chanceOf(`batch of dough ${planned.id}`, seed);
  return new Batch(planned, mishap, chance).play();
}

interface Made {
  from: Instant;
  to: Instant;
  celsius: number;
  risen: number;
}

class Batch {
  private readonly steps: ReadonlyMap<string, DoughStep>;
  private readonly made = new Map<string, Made>();
  private events: FloorEvent[] = [];
  private readonly heard: { key: string; stay: HeardSpan }[] = [];
  private readonly best = new Map<string, { at: Instant; air: number }>();
  private readonly risen = new Map<string, number>();
  private readonly vigour: number;
  private readonly room: number;
  private nth = 0;

  constructor(
    private readonly planned: DoughRecord,
    private readonly mishap: Mishap,
    private readonly chance: Chance,
  ) {
    this.steps = new Map(planned.steps.map((step) => [step.key, step]));
    const own = mishap.yeast === undefined ? chance.factor(SPREAD.vigour) : 0.03;
    this.vigour = own / (mishap.slower ?? 1);
    this.room = 21 + chance.normal() + (mishap.bench?.warmer ?? 0);
  }

  play(): PlayedBatch {
    for (const step of inOrder(this.planned.steps, this.planned.links)) this.make(step);
    this.look();
    const events = this.events.sort((a, b) => a.at - b.at);
    return {
      record: { ...this.planned, events },
      heard: this.heard.map(({ stay }) => stay),
      best: this.best,
      risen: this.risen,
    };
  }

  private make(step: DoughStep): void {
    const before = this.planned.links.filter(({ to }) => to === step.key).map((link) => link.from);
    // What is made beside it is made in time for it, however long that takes.
    const ownWay = before.filter((key) => this.steps.get(key)?.step.branch === step.step.branch);
    const waitsFor = (ownWay.length > 0 ? ownWay : before).flatMap((key) => this.made.get(key) ?? []);
    const from = waitsFor.length > 0 ? Math.max(...waitsFor.map(({ to }) => to)) : 0;
    this.delayBranches(step, from);
    const main = mainBefore(step, this.planned.links, this.steps);
    const on = main ? this.made.get(main.key) : undefined;
    const made = isHandsOn(step) ? this.work(step, on, from) : this.wait(step, on, from);
    this.made.set(step.key, made);
    if (isHandsOn(step)) {
      this.record(step.key, from, { kind: 'start' });
      this.finish(step, made);
    } else if (step.step.ends === 'tap') {
      if (step.step.core) this.measure(step, coreOf(step.step.core, this.mishap), made.to);
      this.record(step.key, made.to, { kind: 'finish' });
    }
  }

  /** What is made beside the dough is made so late that it is ready when the dough is. */
  private delayBranches(step: DoughStep, from: Instant): void {
    for (const { from: key } of this.planned.links.filter(({ to }) => to === step.key)) {
      const last = this.planned.steps.find((one) => one.key === key);
      const made = this.made.get(key);
      const { branch } = last?.step ?? {};
      if (!made || branch === undefined || branch === step.step.branch) continue;
      const later = from - made.to;
      const isSame = (one: DoughStep) =>
        one.step.branch === branch && one.outputId === last?.outputId && one.load?.nth === last.load?.nth;
      const own = new Set(this.planned.steps.filter(isSame).map((one) => one.key));
      for (const one of own) {
        const was = this.made.get(one);
        if (was) this.made.set(one, { ...was, from: was.from + later, to: was.to + later });
      }
      this.events = this.events.map((event) =>
        own.has(event.stepKey ?? '') ? { ...event, at: event.at + later } : event,
      );
      for (const { key: of, stay } of this.heard) if (own.has(of)) moveStay(stay, later);
    }
  }

  private work(step: DoughStep, before: Made | undefined, from: Instant): Made {
    const { kind, gives } = step.step;
    const slower = BLOCK.includes(kind) ? (this.mishap.bench?.times ?? 1) : 1;
    const minutes = step.target * slower * this.chance.factor(SPREAD.work);
    const warmer = kind === 'lock-in' ? (this.mishap.doughWarmer ?? 0) : 0;
    const start = (before?.celsius ?? step.around) + warmer;
    const rolled = BLOCK.includes(kind) ? ROLLED : 0;
    const celsius =
      gives === undefined
        ? this.room + (start - this.room) * Math.exp(-minutes / IN_HAND) + rolled
        : gives + (this.mishap.mixedWarmer ?? 0) + 0.6 * this.chance.normal();
    if (warmer > 0) this.measure(step, start, from);
    return { from, to: from + minutes * MINUTE, celsius, risen: before?.risen ?? 0 };
  }

  private wait(step: DoughStep, before: Made | undefined, from: Instant): Made {
    const { kind, id } = step.step;
    const start = before?.celsius ?? step.around;
    const air = step.around + SPREAD.place * this.chance.normal() + (this.mishap.places?.[kind] ?? 0);
    const settling = settlingIn(step) * this.chance.factor(SPREAD.settling);
    // Who comes for a dough in the morning comes on time, however long it has stood.
    const spread = kind === 'bake' ? SPREAD.bake : Math.min(SPREAD.wait, SPREAD.late / step.target);
    const stretched = (this.mishap.waits?.[id] ?? 1) * this.chance.factor(spread);
    const baked = kind === 'bake' ? (this.mishap.baked ?? 1) : 1;
    const leg = (minutes: number) => alongLegs(start, [{ celsius: air, settling, minutes }]);
    const rise = this.riseOf(step);
    const wanted =
      step.step.rise?.decides && kind === 'proof' ? (this.mishap.proofedTo ?? this.seen(1)) : null;
    // A baker waits for the rise, and gives up where it does not come.
    const reached =
      wanted !== null && rise
        ? minuteReached(rise, leg(step.max * 2), {
            target: wanted,
            before: before?.risen ?? 0,
            within: step.max * 1.6,
          })
        : null;
    if (rise && wanted !== null) {
      const ripe = minuteReached(rise, leg(step.max * 2), {
        before: before?.risen ?? 0,
        within: step.max * 3,
      });
      if (ripe !== null) this.best.set(step.key, { at: from + ripe * MINUTE, air });
    }
    const minutes = wanted === null ? step.target * stretched * baked : (reached ?? step.max * 1.2);
    const profile = leg(minutes);
    this.hear(step, { from, minutes, air });
    const risen = (kind === 'proof' ? (before?.risen ?? 0) : 0) + (rise ? progressAlong(rise, profile) : 0);
    if (rise) this.risen.set(step.key, risen);
    return { from, to: from + minutes * MINUTE, celsius: profile.at(-1)?.celsius ?? start, risen };
  }

  /** What a baker takes for ready, who has an eye for it. */
  private seen(ready: number): number {
    return ready * this.chance.factor(0.05);
  }

  private outputOf({ outputId }: DoughStep) {
    return this.planned.outputs.find(({ id }) => id === outputId) ?? this.planned.outputs[0];
  }

  private riseOf(one: DoughStep) {
    const { rise: rises } = one.step;
    const rise = rises && (this.outputOf(one)?.rises ?? this.planned.rises)?.[rises.phase];
    return rise && { cardinal: BAKERS_YEAST, celsius: rise.celsius, minutes: rise.minutes / this.vigour };
  }

  /** What is recorded when work is done. */
  private finish(step: DoughStep, { to, celsius }: Made): void {
    const { kind, turn, given } = step.step;
    const measured = kind === 'mix' || (BLOCK.includes(kind) && this.chance.happens(RECORDED.temperature));
    if (measured) this.measure(step, celsius, to);
    if (kind === 'mix') {
      const liquid =
        typeof this.mishap.yeast === 'object' ? this.mishap.yeast.liquid : 14 + 3 * this.chance.normal();
      this.record(step.key, to, {
        kind: 'conditions',
        data: { kind: 'conditions', flour: 20, room: 22, liquid: Math.round(10 * liquid) / 10, iceKg: 0 },
      });
    }
    if (kind === 'sheet') this.weigh(step, to);
    const more = turn === 2 ? (this.mishap.foldsMore ?? 0) : 0;
    if (more > 0 && given) {
      const folds = Array.from({ length: 1 + more }, () => given.fold);
      this.record(step.key, to, {
        kind: 'turn',
        data: { kind: 'turned', block: null, folds, covers: 0, ends: true },
      });
    } else this.record(step.key, to, { kind: 'finish' });
  }

  private weigh(step: DoughStep, at: Instant): void {
    const { times = 1, spread = 0.04 } = this.mishap.weights ?? {};
    const meant = (this.outputOf(step)?.piece.grams ?? 60) * times;
    for (const side of [-0.5, 0.5]) {
      const each = meant * (1 + side * spread * this.chance.factor(0.15));
      this.record(step.key, at, {
        kind: 'weigh',
        data: { kind: 'pieces', count: 3, grams: Math.round(3 * each) },
      });
    }
  }

  /** What somebody finds who looks: mostly nothing, and the mishap where there is one to be seen. */
  private look(): void {
    for (const [check, kind] of LOOKED_AT) {
      const step = this.planned.steps.find((one) => one.step.kind === kind);
      const made = step && this.made.get(step.key);
      const found = this.mishap.look?.check === check ? this.mishap.look.answer : null;
      if (!step || !made || !this.chance.happens(found ? RECORDED.finding : RECORDED.check)) continue;
      const answer = found ?? 'good';
      this.record(step.key, made.to, { kind: 'check', data: { kind: 'checked', check, answer, minutes: 0 } });
    }
  }

  private measure({ key }: DoughStep, celsius: number, at: Instant): void {
    const read = Math.round((celsius + 0.3 * this.chance.normal()) * 10) / 10;
    this.record(key, at, { kind: 'temperature', celsius: read });
  }

  /** What the probe of the place says every five minutes. */
  private hear(
    step: DoughStep,
    { from, minutes, air }: { from: Instant; minutes: number; air: number },
  ): void {
    if (step.place === undefined) return;
    const { kind } = step.step;
    const setting = step.uses.find((use) => use.setting !== undefined)?.setting;
    const baking = kind === 'bake';
    const real = baking
      ? (setting ?? air) + (this.mishap.oven ?? 0) + SPREAD.oven * this.chance.normal()
      : air;
    const humidity =
      kind === 'proof' ? (this.mishap.humidity ?? HUMID) + SPREAD.humidity * this.chance.normal() : null;
    const to = from + minutes * MINUTE;
    const points = [];
    for (let at = from; at <= to; at += 5 * MINUTE) {
      const celsius = real + 0.2 * this.chance.normal();
      points.push({ at, celsius, lowest: celsius, highest: celsius, humidity });
    }
    const where = { probe: step.place, label: step.place, step: step.label };
    this.heard.push({ key: step.key, stay: { ...where, within: false, baking, from, to, points } });
  }

  private record(stepKey: string, at: Instant, body: EventBody): void {
    const id = `e${String(++this.nth).padStart(5, '0')}`;
    const blank = { celsius: null, text: null, undoes: null, data: null };
    this.events.push(eventOf({ ...blank, ...body, id, doughId: this.planned.id, stepKey, at, personId: 1 }));
  }
}

/** The core of what comes out of the oven, °C: short of what it should be where the bake was. */
const coreOf = ([low, high]: readonly [number, number], { baked = 1 }: Mishap): number =>
  (low + high) / 2 - CORE_SHORT * Math.max(0, 1 - baked);

function moveStay(stay: HeardSpan, later: number): void {
  stay.from += later;
  stay.to += later;
  for (const point of stay.points) point.at += later;
}
