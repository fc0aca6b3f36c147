import { coded, type Coded } from '../codes/coded';
import { type Instant, MINUTE } from '../time/local';
import { dialOn, type Machine } from '../bakery/machines';
import type { DoughForecast, StepForecast } from '../forecast/forecast';
import { cooling, coolingMessage, type CoolingRule } from '../climate/cooling';
import type { Excursion } from '../climate/excursions';
import type { StepState } from '../record/step-state';
import type { AlarmKind } from './alarm-kinds';
import { hasStopped } from './catch-up';

/** How long before a step its preparation is called for, minutes: house values. */
export interface Leads {
  /** Oven to its setting before the load goes in. */
  preheat: number;
  /** Wash mixed before it is brushed on. */
  wash: number;
  /** Butter taken out of the cold before it is wanted. */
  butter: number;
  /** Starter, flour and water to hand before a levain or sponge is set. */
  levain: number;
  /** Frozen pieces out of the freezer before they are due. */
  thaw: number;
}

/** A probe of a place with limits that has not said anything for longer than it is believed. */
export interface SilentProbe {
  label: string;
  since: Instant;
}

/** Pieces that come out of the freezer for an order, since no dough makes them. */
export interface Thaw {
  productId: number;
  product: string;
  pieces: number;
  dueAt: Instant;
}

/** Something that somebody has to do or look at now, though no step of the plan says so. */
export interface Alarm {
  /** The same for the same thing however often it is worked out, so that it is taken once. */
  id: string;
  kind: AlarmKind;
  doughId: number | null;
  stepKey: string | null;
  /** From when on it is called for. */
  at: Instant;
  message: Coded;
  /** What comes out of the freezer, where that is what it calls for. */
  thaw?: Thaw;
  /** Who has taken it; null while nobody has. */
  takenBy: { personId: number; at: Instant } | null;
}

/** Who has taken which alarm. */
export interface AlarmTaken {
  alarm: string;
  personId: number;
  at: Instant;
}

/** An oven that has baked at this setting so lately is still hot, minutes. */
const STILL_HOT = 30;

type Step = StepForecast;
/** An alarm before it is known whether somebody has taken it. */
type Draft = Omit<Alarm, 'takenBy'>;

/**
 * The alarms of the floor, the earliest first: those that are due, and those of the next `ahead` minutes. They follow from
 * plan and events alone, so every tablet works out the same ones, with or without a line.
 */
export function alarms(
  doughs: readonly DoughForecast[],
  now: Instant,
  {
    leads,
    taken,
    excursions = [],
    thaws = [],
    silent = [],
    zone,
    ahead = 0,
    coolingRule,
    machines = [],
    quiet = Infinity,
  }: {
    leads: Leads;
    taken: readonly AlarmTaken[];
    excursions?: readonly Excursion[];
    thaws?: readonly Thaw[];
    silent?: readonly SilentProbe[];
    zone: string;
    ahead?: number;
    coolingRule: CoolingRule;
    /** What is set on an oven for a temperature follows from what it is. */
    machines?: readonly Machine[];
    /** Nobody is called to a dough of which nothing was recorded for so long, minutes, though something should have been. */
    quiet?: number;
  },
): Alarm[] {
  const by = new Map(taken.map(({ alarm, ...who }) => [alarm, who]));
  const known = doughs.filter((dough) => !hasStopped(dough, now, quiet));
  const bakes = known.flatMap((dough) =>
    dough.steps.filter(({ step }) => step.kind === 'bake').map((step) => ({ dough, step })),
  );
  const heated = heatedBy(bakes, by, now);
  const called = known.flatMap((dough) =>
    dough.steps.flatMap((step) => [
      ...(preheat({ dough, step }, bakes, { now, leads, zone, machines, heated }) ?? []),
      ...(prepared(dough, step, { now, leads, zone }) ?? []),
      ...(watched(dough, step) ?? []),
      ...cooled(dough, step, { now, rule: coolingRule, zone }),
    ]),
  );
  const frozen = thaws.map((thaw) => thawed(thaw, leads, zone));
  return [...called, ...frozen, ...excursions.map(ofPlace), ...silence(silent, now)]
    .filter(({ at }) => at <= now + ahead * MINUTE)
    .map((alarm) => ({ ...alarm, takenBy: by.get(alarm.id) ?? null }))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}

const isOpen = (dough: DoughForecast, step: Step) => dough.state.steps.get(step.key)?.status === 'open';

const named = (kind: AlarmKind, dough: DoughForecast, step: Step) => ({
  ...{ id: `${kind}/${dough.id}/${step.key}`, kind, doughId: dough.id, stepKey: step.key },
});

/** The setting of the oven that a bake needs. */
const settingOf = (step: Step) => step.uses.find(({ setting }) => setting !== undefined)?.setting;

/** The oven that a bake is planned in. */
const ovenFor = (step: Step) => step.uses.find(({ setting }) => setting !== undefined)?.resource ?? '';

interface Bake {
  dough: DoughForecast;
  step: Step;
}

/** How long after somebody has said that they heat an oven it counts as heated, minutes. */
const HEATED_FOR = 120;

/** Ovens at the settings to which somebody heats them already: one call is enough for all loads that follow. */
function heatedBy(
  bakes: readonly Bake[],
  taken: ReadonlyMap<string, { at: Instant }>,
  now: Instant,
): ReadonlyMap<string, string> {
  const heated = new Map<string, string>();
  for (const { dough, step } of bakes) {
    const { id } = named('preheat', dough, step);
    const since = taken.get(id)?.at;
    if (since !== undefined && since > now - HEATED_FOR * MINUTE) heated.set(heatOf(step), id);
  }
  return heated;
}

const heatOf = (step: Step) => `${ovenFor(step)} ${settingOf(step)}`;

function preheat(
  { dough, step }: Bake,
  bakes: readonly Bake[],
  {
    now,
    leads,
    zone,
    machines,
    heated,
  }: LeadsAt & { machines: readonly Machine[]; heated: ReadonlyMap<string, string> },
): Draft[] | null {
  if (step.step.kind !== 'bake' || !isOpen(dough, step)) return null;
  const setting = settingOf(step);
  const start = Math.max(now, step.start);
  const at = step.start - leads.preheat * MINUTE;
  const hot = bakes.some(
    ({ step: other }) =>
      other !== step &&
      settingOf(other) === setting &&
      other.start < start &&
      other.end > at - STILL_HOT * MINUTE,
  );
  if (setting === undefined || hot) return null;
  const { id } = named('preheat', dough, step);
  if ((heated.get(heatOf(step)) ?? id) !== id) return null;
  const message = coded('alarms.heatTheOvenToGoes', {
    celsius: { celsius: dialOn(ovenFor(step), setting, machines) },
    name: dough.name,
    time: { clock: start, zone },
  });
  return [{ ...named('preheat', dough, step), at, message }];
}

/** How long before a limit a cooling is measured, minutes. */
const COOLING_LEAD = 30;

interface CoolingAt {
  now: Instant;
  rule: CoolingRule;
  zone: string;
}

/** A cooling that has to be measured, or that has failed. */
function cooled(dough: DoughForecast, step: Step, { now, rule, zone }: CoolingAt): Draft[] {
  const state = dough.state.steps.get(step.key);
  if (!step.step.cools || state?.status !== 'running' || state.startedAt === null) return [];
  const found = cooling(rule, state.startedAt, state.temperatures, now);
  const due = found.passed?.by ?? (found.next ? found.next.by - COOLING_LEAD * MINUTE : null);
  if (due === null) return [];
  const { id, ...of } = named('cooling', dough, step);
  const message = coded('alarms.ofStep', {
    ...{ dough: dough.name, step: { inLine: step.label } },
    message: coolingMessage(found, zone),
  });
  return [{ ...of, id: found.passed ? `${id}/stop` : `${id}/${found.next?.to}`, at: due, message }];
}

interface LeadsAt {
  now: Instant;
  leads: Leads;
  zone: string;
}

/** What is fetched or mixed before the hands that need it. */
function prepared(dough: DoughForecast, step: Step, { now, leads, zone }: LeadsAt): Draft[] | null {
  if (!isOpen(dough, step)) return null;
  const { start } = step;
  const when = { clock: Math.max(now, start), zone };
  if (step.step.kind === 'wash')
    return [
      {
        ...named('wash', dough, step),
        at: start - leads.wash * MINUTE,
        message: coded('alarms.mixTheWashIsBrushed', { name: dough.name, when }),
      },
    ];
  if (step.step.kind === 'move' && step.step.branch === 'butter')
    return [
      {
        ...named('butter', dough, step),
        at: start - leads.butter * MINUTE,
        message: coded('alarms.butterOutOfTheCold', { name: dough.name, when }),
      },
    ];
  if (step.step.work && (step.step.branch === 'levain' || step.step.branch === 'sponge'))
    return [
      {
        ...named('levain', dough, step),
        at: start - leads.levain * MINUTE,
        message: coded('alarms.forRipeStarterYeastFlour', {
          label: step.label,
          name: dough.name,
          when,
          isLevain: step.step.branch === 'levain',
        }),
      },
    ];
  return null;
}

/** What goes on by itself and has to be looked at. */
function watched(dough: DoughForecast, step: Step): Draft[] | null {
  const state = dough.state.steps.get(step.key);
  if (state?.status !== 'running' || step.step.work) return null;
  const ready = step.ready?.at ?? step.end;
  const name = coded('alarms.stepOf', { dough: dough.name, step: { inLine: step.label } });
  if (step.step.ends === 'tap') {
    const begun = state.startedAt ?? step.plannedStart;
    const { turnTrays = Math.round(step.target / 2), lookAt } = step.step;
    return [
      ...(turnTrays > 0
        ? [
            {
              ...named('turn-trays', dough, step),
              at: begun + turnTrays * MINUTE,
              message: coded('alarms.turnTheTraysRoundSwap', { name }),
            },
          ]
        : []),
      ...(lookAt
        ? [
            {
              ...named('look', dough, step),
              at: begun + lookAt * MINUTE,
              message: coded('alarms.lookAtTheColour', { name }),
            },
          ]
        : []),
      // Each "a little longer" asks anew.
      {
        ...named('out', dough, step),
        id: `out/${dough.id}/${step.key}/${ready}`,
        at: ready,
        message: coded('alarms.shouldBeDoneColourCore', { name }),
      },
    ];
  }
  const look = lastLook(state);
  // Who has seen that it is ready need not be asked again; the plan says what comes next.
  if (look && look.isReady) return null;
  // Asked again after each look that found it not ready yet.
  const id = (kind: AlarmKind) => `${kind}/${dough.id}/${step.key}/${look ? look.at : 0}`;
  if (step.step.alive)
    return [
      {
        ...named('alive', dough, step),
        id: id('alive'),
        at: ready,
        message: coded('alarms.shouldBeReadyIsIt', { name }),
      },
    ];
  // What stands elsewhere than planned is looked at when it is ready there.
  const isElsewhere = state.moved !== null && state.moved.place !== step.place;
  if (!step.risen && !isElsewhere) return null;
  return [
    {
      ...named('ready', dough, step),
      id: id('ready'),
      at: ready,
      message: coded('alarms.shouldBeReadyLook', { name }),
    },
  ];
}

/** The last look at what rises or rests, and whether it was found ready then; null where nobody has looked. */
function lastLook({ verdict, alive, records }: StepState): { at: Instant; isReady: boolean } | null {
  const looks = [
    ...(verdict ? [{ at: verdict.at, isReady: verdict.verdict !== 'under' }] : []),
    ...alive.map(({ at, answer }) => ({ at, isReady: answer === 'ready' })),
    ...records.flatMap(({ data, at }) =>
      data.kind === 'checked' ? [{ at, isReady: data.answer === 'good' }] : [],
    ),
  ];
  return looks.reduce<(typeof looks)[number] | null>(
    (last, one) => (last && last.at > one.at ? last : one),
    null,
  );
}

function thawed(thaw: Thaw, leads: Leads, zone: string): Draft {
  const { productId, product, pieces, dueAt } = thaw;
  return {
    thaw,
    ...{ id: `thaw/${productId}/${dueAt}`, kind: 'thaw', doughId: null, stepKey: null },
    at: dueAt - leads.thaw * MINUTE,
    message: coded('alarms.outOfTheFreezerFor', {
      pieces,
      product: product.toLowerCase(),
      time: { dayTime: dueAt, zone },
    }),
  };
}

/** One call for all of them: it is the gateway more often than the batteries. */
function silence(probes: readonly SilentProbe[], now: Instant): Draft[] {
  const [first] = [...probes].sort((a, b) => b.since - a.since);
  if (!first) return [];
  const names = probes.map(({ label }) => label);
  return [
    {
      ...{ id: `silent/${first.since}`, kind: 'silent', doughId: null, stepKey: null, at: now },
      message: coded('alarms.noWordFromTheProbe', {
        names,
        duration: { minutes: Math.round((now - first.since) / MINUTE) },
      }),
    },
  ];
}

function ofPlace({ place, label, celsius, limit, since, at }: Excursion): Draft {
  const [shown, bound] = [{ celsius }, { celsius: limit }];
  const held = { minutes: Math.round((at - since) / MINUTE) };
  return {
    ...{ id: `place/${place}/${since}`, kind: 'place', doughId: null, stepKey: null, at: since },
    message: coded('alarms.forAboveBelowDoorFan', { label, shown, held, isAbove: celsius > limit, bound }),
  };
}
