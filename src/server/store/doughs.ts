import { type Equipment, type MachineKind, machinesOf } from '@/core/bakery/machines';
import type { BlockWork } from '@/core/process/block-work';
import { blockWeights } from '@/core/cutting/dough-size';
import type { DoughRecord, OutputRecord } from '@/core/record/dough';
import { type DoughState, foldDough } from '@/core/record/state';
import { blocksFor } from '@/core/lamination/geometry';
import {
  type DoughOutput,
  doughOfOutput,
  expandDough,
  type ExpandedDough,
  keptShare,
  loadsAmong,
  scrapOf,
  type Sizes,
} from '@/core/process/expand';
import { productOn } from '@/core/process/product-on';
import { type OutputWay, keepsDough } from '@/core/process/output-way';
import type { ProofSchool } from '@/core/process/proof-school';
import { proofedBy } from '@/core/process/proof-schools';
import type { ProductSpec } from '@/core/process/route';
import { type ChosenMachines, onMachines } from '@/core/process/on-machines';
import { type DoughChange, extraLoads, schoolOf, withChanges } from '@/core/process/changes';
import { inLabelOrder } from '@/core/shaping/dressing';
import { remembered } from '../remembered';
import { broughtIn } from './contents';
import { floorEvents } from './floor-events';
import { equipment, houseSettings } from './house';
import { stepsInPlan } from './planned-steps';
import { rollingBy } from './rolling';
import { type MixedWeights, reallyMixed } from './mixed';
import { type ProductVersion, productVersions } from './products';
import { type Db, rowsOf, write } from '../db/rows';

interface OutputRow {
  id: number;
  doughId: number;
  name: string;
  versionId: number;
  pieces: number;
  dueAt: Date;
  way: OutputWay;
  madeAt: Date;
}

const OUTPUTS = `SELECT o.id, d.id AS doughId, d.name, o.product_version_id AS versionId, o.pieces, o.due_at AS dueAt, o.way,
  d.created_at AS madeAt FROM dough d JOIN dough_output o ON o.dough_id = d.id`;

/**
 * Doughs in the plan that are due at or after `dueFrom`, in order of their first promise; and those that were due from
 * `openFrom` on, were begun, and are not over by what is recorded.
 */
export async function doughsDueFrom(
  db: Db,
  dueFrom: number,
  { openFrom = dueFrom, ...supposing }: Supposing & { openFrom?: number } = {},
): Promise<DoughRecord[]> {
  const rows = await rowsOf<OutputRow>(
    db,
    `${OUTPUTS} WHERE d.removed_at IS NULL AND (d.id IN (SELECT dough_id FROM dough_output WHERE due_at >= ?)
       OR (d.finished_at IS NULL AND d.id IN (SELECT dough_id FROM dough_output WHERE due_at >= ?)
         AND EXISTS (SELECT 1 FROM floor_event WHERE dough_id = d.id)))
     ORDER BY o.id`,
    [new Date(dueFrom), new Date(Math.min(dueFrom, openFrom))],
  );
  return assemble(db, rows, supposing);
}

/** Keeps when a dough was over by its record; it is open again where something of it was taken back. */
export async function keepFinished(
  db: Db,
  dough: Pick<DoughToCheck, 'id' | 'steps' | 'links' | 'outputs' | 'events'>,
): Promise<void> {
  const { finished, steps } = foldDough(dough, dough.events);
  const last = Math.max(...[...steps.values()].map(({ finishedAt }) => finishedAt ?? 0));
  await write(db, 'UPDATE dough SET finished_at = ? WHERE id = ?', [
    ...[finished && last > 0 ? new Date(last) : null, dough.id],
  ]);
}

/** What a look at one dough may suppose. */
export interface Supposing {
  /** Steps that no plan has a time for yet stand here, instead of being left out. */
  unplanned?: number;
  /** Changes of doughs, by id, beside those that are decided. */
  changes?: ReadonlyMap<number, readonly DoughChange[]>;
  /** Product versions by output, instead of those that it was made from. */
  versions?: ReadonlyMap<number, number>;
}

/** One dough in the plan, or null. */
export async function doughById(db: Db, id: number, supposing: Supposing = {}): Promise<DoughRecord | null> {
  const rows = await rowsOf<OutputRow>(
    db,
    `${OUTPUTS} WHERE d.removed_at IS NULL AND d.id = ? ORDER BY o.id`,
    [id],
  );
  return (await assemble(db, rows, supposing))[0] ?? null;
}

/** A dough of one product that is in no plan: nothing of it is planned, nothing recorded. Its ids are the caller's. */
export async function blankDough(
  db: Db,
  {
    id,
    name,
    versionId,
    pieces,
    at,
  }: { id: number; name: string; versionId: number; pieces: number; at: number },
): Promise<DoughRecord | null> {
  const row: OutputRow = {
    ...{ id, doughId: id, name, versionId, pieces, way: 'fresh' },
    ...{ dueAt: new Date(at), madeAt: new Date(at) },
  };
  return (await assemble(db, [row], { unplanned: at }))[0] ?? null;
}

async function assemble(
  db: Db,
  found: OutputRow[],
  { unplanned, changes = new Map(), versions }: Supposing = {},
): Promise<DoughRecord[]> {
  const rows = found.map((row) => ({ ...row, versionId: versions?.get(row.id) ?? row.versionId }));
  const ids = [...new Set(rows.map((row) => row.doughId))];
  if (ids.length === 0) return [];
  const [products, takes, planned, events, decided] = await Promise.all([
    productVersions(db, [...new Set(rows.map((row) => row.versionId))]),
    sizes(db),
    plannedSteps(db, ids),
    floorEvents(db, ids),
    changesOf(db, ids, changes),
  ]);
  const brought = await broughtIn(db, events);
  const sized = ids.map((id) => {
    const own = rows.filter((row) => row.doughId === id);
    const times = planned.get(id) ?? (new Map() as StepTimes);
    const more = (outputId: number) => extraLoads(changes.get(id) ?? [], outputId);
    const school = schoolOf(decided.get(id) ?? []);
    const outputs = own.map((row) => plannedOutput(row, products, times, { more: more(row.id), school }));
    return { id, first: own[0], times, outputs, expanded: expandedOnce(outputs, takes) };
  });
  const mixed = await reallyMixed(db, events, new Map(sized.map(({ id, expanded }) => [id, expanded])));
  const doughs = sized.map(({ id, first, times, outputs, expanded: asPlanned }): DoughRecord => {
    const happened = events.get(id) ?? [];
    const changed = withChanges(asPlanned, decided.get(id) ?? []);
    const state = foldDough(changed, happened);
    const expanded = onHouse(changed, takes, times, state);
    const { steps, links, kg, bowls } = expanded;
    return {
      ...{ id, name: first?.name ?? '', madeAt: first?.madeAt.getTime() ?? 0, kg, bowls, links },
      lamination: blockWork(outputs, expanded, takes.cutting.blockKg, mixed.get(id)),
      ...(outputs[0]?.product.rises ? { rises: outputs[0].product.rises } : {}),
      yeastGrams: yeastGrams(outputs, expanded),
      outputs: outputs.map(({ id: outputId, product, pieces, dueAt, way }) => ({
        ...{ id: outputId, pieces, dueAt, ...(way === 'fresh' ? {} : { way }) },
        ...(keepsDough(way) ? { doughKg: doughOfOutput(outputs, { product, pieces }, kg) } : {}),
        product: product.name,
        piece: product.piece,
        freshFor: product.freshFor,
        ...(product.lateness === undefined ? {} : { lateness: product.lateness }),
        ...(product.undeclared.length > 0 ? { undeclared: product.undeclared } : {}),
        ...(product.rises ? { rises: product.rises } : {}),
        allergens: inLabelOrder([...product.allergens, ...(brought.get(id) ?? [])]),
      })),
      steps: steps.flatMap((step) => {
        const known = timed(step, times);
        if (known.length > 0 || unplanned === undefined) return known;
        return [{ ...step, plannedStart: unplanned, plannedEnd: unplanned }];
      }),
      events: happened,
      ...(state.finished && happened.length > 0
        ? { finished: Math.max(...happened.map(({ at }) => at)) }
        : {}),
    };
  });
  const firstDue = (dough: DoughRecord) => Math.min(...dough.outputs.map((output) => output.dueAt));
  return doughs.sort((a, b) => firstDue(a) - firstDue(b) || a.id - b.id);
}

/** Expanded doughs that are remembered, with what they are made of: all that a board has, and as many supposed. */
const expansions = remembered<{ expanded: ExpandedDough; outputs: readonly OutputOnItsWay[] }>(200);

/** An output on its way, and by which school its pieces are proofed; null: by the product's. */
type OutputOnItsWay = DoughOutput & { way: OutputWay; school: ProofSchool | null };

interface OutputVersion {
  id: number;
  versionId: number;
  pieces: number;
  way: OutputWay;
  school: ProofSchool | null;
  loads?: number;
}

/** Product versions never change, so a dough's steps and sizes follow from what is in the key. */
const expansionKey = (outputs: readonly OutputVersion[], takes: Sizes): string =>
  JSON.stringify([
    outputs.map((one) => [one.id, one.versionId, one.pieces, one.way, one.loads ?? 0, one.school]),
    takes,
  ]);

/** A dough's steps and sizes. */
function expandedOnce(outputs: readonly OutputOnItsWay[], takes: Sizes): ExpandedDough {
  const key = expansionKey(
    outputs.map((output) => ({ ...output, versionId: output.product.versionId })),
    takes,
  );
  return expansions.recall(key, () => ({ expanded: expandDough(outputs, takes), outputs })).expanded;
}

/** A dough as far as it is needed to say whether something may be recorded of it. */
export type DoughToCheck = Pick<
  DoughRecord,
  'id' | 'name' | 'madeAt' | 'kg' | 'steps' | 'links' | 'events' | 'rises'
> & {
  outputs: Pick<OutputRecord, 'id' | 'pieces' | 'rises'>[];
  blocks: number;
};

/**
 * One dough in the plan to check something that is to be recorded of it, or null. Reads the log and the plan, and works out
 * nothing that is known from an earlier look: not what it contains, nor what is learnt of it.
 */
export async function doughToCheck(db: Db, id: number): Promise<DoughToCheck | null> {
  const rows = await rowsOf<OutputRow>(
    db,
    `${OUTPUTS} WHERE d.removed_at IS NULL AND d.id = ? ORDER BY o.id`,
    [id],
  );
  const [first] = rows;
  if (!first) return null;
  const [takes, planned, events, decided] = await Promise.all([
    sizes(db),
    plannedSteps(db, [id]),
    floorEvents(db, [id]),
    changesOf(db, [id]),
  ]);
  const times = planned.get(id) ?? (new Map() as StepTimes);
  const school = schoolOf(decided.get(id) ?? []);
  const outputs = rows.map(({ id: outputId, versionId, pieces, way }) => {
    const loads = loadsAmong([...times.keys()], outputId);
    return { ...{ id: outputId, versionId, pieces, way, school }, ...(loads > 0 ? { loads } : {}) };
  });
  const known = expansions.peek(expansionKey(outputs, takes));
  if (!known) {
    const whole = await doughById(db, id);
    return whole && { ...whole, blocks: whole.lamination?.blocks ?? 1 };
  }
  const { steps, links, kg, cut } = onHouse(withChanges(known.expanded, decided.get(id) ?? []), takes, times);
  const rises = known.outputs[0]?.product.rises;
  return {
    ...{ id, name: first.name, madeAt: first.madeAt.getTime(), kg, links, events: events.get(id) ?? [] },
    ...(rises ? { rises } : {}),
    outputs: known.outputs.map(({ id: outputId, pieces, product }) => ({
      ...{ id: outputId, pieces },
      ...(product.rises ? { rises: product.rises } : {}),
    })),
    blocks: known.outputs[0]?.product.scheme ? (cut?.blocks ?? blocksFor(kg, takes.cutting.blockKg)) : 1,
    steps: steps.flatMap((step) => timed(step, times)),
  };
}

/** How a dough is laminated, by what was really mixed where that is known; null for one that is not. */
function blockWork(
  outputs: readonly DoughOutput[],
  { kg, cut }: Pick<ExpandedDough, 'kg' | 'cut'>,
  blockKg: number,
  really?: MixedWeights,
): BlockWork | null {
  const rolled = outputs.filter((output) => !output.product.keptAsDough);
  const product = (rolled[0] ?? outputs[0])?.product;
  if (!product?.scheme) return null;
  const { scheme, mixed: share = 1 } = product;
  const mixed = really ?? { dough: kg * 1000 * share, rollIn: kg * 1000 * (1 - share) };
  const blocks = cut?.blocks ?? blocksFor(kg, blockKg);
  const whole = mixed.dough + mixed.rollIn;
  return {
    ...{ scheme, blocks, mm: product.piece.cut?.mm ?? 4, wide: cut?.wide ?? null, scrap: scrapOf(outputs) },
    fat: product.rolledFat ?? 'butter-82',
    ...(rolled.length < outputs.length ? { kept: keptShare(outputs, kg) } : {}),
    weights: blockWeights(whole / blocks, mixed.dough / whole, scheme.scheme),
  };
}

/** An output as it stands in the plan: a dough keeps its loads, whatever becomes of the oven. */
function plannedOutput(
  { id, doughId, versionId, pieces, dueAt, way }: OutputRow,
  products: ReadonlyMap<number, ProductVersion>,
  times: StepTimes,
  { more, school }: { more: number; school: ProofSchool | null },
) {
  const product = products.get(versionId);
  if (!product) throw new Error(`Dough ${doughId} names product version ${versionId}, which is not there.`);
  const proofed = productOn(way, proofedBy(school, product));
  const output = { id, product: proofed, pieces, way, school, dueAt: dueAt.getTime() };
  const settled = loadsAmong([...times.keys()], id);
  return settled > 0 ? { ...output, loads: settled + more } : output;
}

/** Changes of doughs that are decided, and those that are supposed. */
export async function changesOf(
  db: Db,
  ids: readonly number[],
  supposed: ReadonlyMap<number, readonly DoughChange[]> = new Map(),
): Promise<Map<number, DoughChange[]>> {
  const rows = await rowsOf<DoughChange & { doughId: number }>(
    db,
    'SELECT dough_id AS doughId, kind, target FROM dough_change WHERE dough_id IN (?)',
    [ids],
  );
  const known = new Map<number, DoughChange[]>();
  for (const { doughId, ...change } of rows) known.set(doughId, [...(known.get(doughId) ?? []), change]);
  for (const [id, more] of supposed) known.set(id, [...(known.get(id) ?? []), ...more]);
  return known;
}

/** What a bakery's doughs are sized by, and the machines and places that they are made on. */
export type HouseSizes = Sizes & { equipment: Equipment };

/** What the largest oven and mixer take at once, what the house counts of trays and tins, and how it rolls and cuts. */
export async function sizes(db: Db): Promise<HouseSizes> {
  const [all, settings] = await Promise.all([equipment(db), houseSettings(db)]);
  const { table, laying, benchLength } = rollingBy(settings, all.machines);
  const of = (kind: MachineKind) => machinesOf(kind, all.machines);
  const mixers = of('mixer').map(({ kgAtOnce }) => kgAtOnce ?? Infinity);
  return {
    ovenTrays: Math.max(1, ...of('oven').map(({ capacity }) => capacity)),
    bowlKg: mixers.length > 0 ? Math.max(...mixers) : Infinity,
    carriers: (['rack', 'tray', 'tin'] as const).filter((kind) => of(kind).length > 0),
    cutting: { table, laying, benchLength, blockKg: settings.blockKg },
    equipment: all,
  };
}

/** Rises of a dough's common part, under null, and of each output. */
export function risesOf(outputs: readonly DoughOutput[]): Map<number | null, Pick<ProductSpec, 'rises'>> {
  const of = new Map<number | null, Pick<ProductSpec, 'rises'>>(
    outputs.map(({ id, product }) => [id, product]),
  );
  return of.set(null, { rises: outputs[0]?.product.rises });
}

/** The yeast that a dough's formula asks for, as instant, in grams. */
function yeastGrams(outputs: readonly { product: ProductVersion }[], { kg }: { kg: number }): number {
  return (outputs[0]?.product.yeastShare ?? 0) * kg * 1000;
}

interface PlannedTime {
  plannedStart: number;
  plannedEnd: number;
  pinned?: boolean;
}
type StepTimes = Map<string, PlannedTime & { machines?: ChosenMachines }>;

/** A dough's steps on the machines that they are on as recorded, or else were planned on. */
function onHouse(
  dough: ExpandedDough,
  { equipment: has }: HouseSizes,
  times: StepTimes,
  state?: DoughState,
): ExpandedDough {
  return onMachines(dough, has, (key) => {
    const oven = state?.steps.get(key)?.oven;
    return oven ? [oven] : (times.get(key)?.machines ?? []);
  });
}

/** A step with its time in the plan; none where the plan does not have it. */
function timed<Step extends { key: string }>(step: Step, times: StepTimes): (Step & PlannedTime)[] {
  const time = times.get(step.key);
  if (!time) return [];
  const { plannedStart, plannedEnd, pinned } = time;
  return [{ ...step, plannedStart, plannedEnd, ...(pinned ? { pinned } : {}) }];
}

async function plannedSteps(db: Db, ids: readonly number[]): Promise<Map<number, StepTimes>> {
  const byDough = new Map<number, StepTimes>(ids.map((id) => [id, new Map()]));
  for (const { doughId, key, start, end, pinned, machines } of await stepsInPlan(db, ids))
    byDough.get(doughId)?.set(key, { plannedStart: start, plannedEnd: end, pinned, machines });
  return byDough;
}
