import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import type { PlaceKind } from '@/core/heat/places';
import { MINUTE } from '@/core/time/local';
import { DEMO_BREAKS, type DemoBreak } from '@/core/wire/demo-wishes';
import { asText } from '@/words/as-text';
import { demoWishes, leaveDoorOpen, letCrewWork } from '../store/demo-wishes';
import { house, machines, staffing } from '../store/house';
import { places } from '../store/places';
import { command, type CommandContext, Refusal } from './command';
import { reportTrouble } from './trouble';

interface DemoInput {
  crew?: boolean;
  breaks?: DemoBreak;
}

/** How long what a visitor breaks stays broken: hours, and minutes of a door. */
const OUT_HOURS = 2;
const DOOR_MINUTES = 60;
/** Whose door is worth leaving open. */
const COLD: readonly PlaceKind[] = ['retarder', 'fridge'];

/** What a visitor asks of the demo's stand-ins. A real bakery has none and refuses. */
export const setDemo = command<DemoInput, null>({
  name: 'set-demo',
  schema: Joi.object<DemoInput>({
    crew: Joi.boolean(),
    breaks: Joi.string().valid(...DEMO_BREAKS),
  })
    .or('crew', 'breaks')
    .messages({ '*': asText(coded('refusals.demoDoesNotKnowThat')) }),
  doughOf: () => null,
  async run(context, { crew, breaks }) {
    const { db, now } = context;
    if (!(await demoWishes(db, now))) throw new Refusal(coded('refusals.thisIsNotTheDemo'));
    if (crew !== undefined) await letCrewWork(db, crew);
    if (breaks !== undefined) await BREAKS[breaks](context);
    return null;
  },
});

const BREAKS: Readonly<Record<DemoBreak, (context: CommandContext) => Promise<unknown>>> = {
  oven: async (context) => {
    const oven = (await machines(context.db)).find(({ kind }) => kind === 'oven');
    return out(context, { machineId: oven?.id ?? null });
  },
  /** Whoever is on shift, or comes next, and is not the visitor. */
  person: async (context) => {
    const { db, now, person } = context;
    const { zone } = await house(db);
    const there = await staffing(db, now, now + 24 * 60 * MINUTE, zone);
    return out(context, { personId: there.find(({ personId }) => personId !== person.id)?.personId ?? null });
  },
  door: async ({ db, now }) => {
    const cold = (await places(db, now)).find(
      ({ kind, purpose }) => COLD.includes(kind) && purpose === 'dough',
    );
    if (!cold) throw new Refusal(coded('refusals.demoHasNothingToBreak'));
    await leaveDoorOpen(db, { place: cold.id, until: now + DOOR_MINUTES * MINUTE });
  },
};

/** Something is out, as a baker would report it. */
function out(context: CommandContext, what: { machineId?: string | null; personId?: number | null }) {
  const { machineId = null, personId = null } = what;
  if (machineId === null && personId === null) throw new Refusal(coded('refusals.demoHasNothingToBreak'));
  const nothing = { units: null, deck: null, slower: null, note: '' };
  return reportTrouble.run(context, { ...nothing, machineId, personId, hours: OUT_HOURS }, undefined);
}
