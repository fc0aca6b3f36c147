import { coded, type Coded, type Words } from '../codes/coded';
import { MACHINE_WORDS } from '../bakery/machine-words';
import { machinesOf, type Machine } from '../bakery/machines';
import type { Person } from '../bakery/people';
import { dressingParts } from '../shaping/dressing';
import type { PieceSpec, Rise, RouteStep } from './route';
import { skillFor } from './skills';
import type { ProductDraft } from './product-draft';
import type { Gap, Thread } from './threads';

/** What is wrong with a product, and where: `name`, `piece`, `rises`, or a step as `dough.mix`. */
export interface ProductFault {
  at: string;
  message: Coded;
  /** What the step is called that it is about. */
  step?: Words;
  /** Only this bakery cannot do it as it is now: it can be kept all the same. */
  isLack?: true;
}

/** What a bakery has to make a product with. */
export interface MakingBakery {
  machines: readonly Pick<Machine, 'id' | 'kind' | 'label'>[];
  people: readonly Pick<Person, 'skills' | 'role'>[];
  /** Somebody has weekly shifts. */
  isStaffed: boolean;
}

/** Limits of what a step can be: minutes, °C, people. */
const MOST = { wait: 7 * 24 * 60, work: 12 * 60, people: 10, oven: 320, core: 110, gap: 24 * 60 };
const COLDEST = -40;
const within = (value: number, least: number, most: number) => value >= least && value <= most;

/**
 * All that is wrong with a product as it stands, in the order of its page; what this bakery lacks for it comes as such. Empty
 * for a product that can be planned.
 */
export function productFaults(draft: ProductDraft, bakery: MakingBakery): ProductFault[] {
  return [
    ...headFaults(draft),
    ...pieceFaults(draft.piece),
    ...riseFaults(draft),
    ...routeFaults(draft),
    ...(bakery.isStaffed
      ? []
      : [{ ...fault('output', coded('product.nobodyOnShift')), isLack: true as const }]),
    ...(['dough', 'output'] as const).flatMap((part) =>
      draft[part].flatMap(({ steps }) =>
        steps.flatMap(({ step, gap }) =>
          [...stepFaults(step, draft, bakery), ...gapFaults(gap)].map((found) => ({
            ...found,
            ...{ at: `${part}.${step.id}`, step: step.label },
          })),
        ),
      ),
    ),
  ];
}

const fault = (at: string, message: Coded): ProductFault => ({ at, message });

function headFaults({ name, doughName, formulaId, freshFor, lateness = 1 }: ProductDraft): ProductFault[] {
  return [
    ...(within(name.trim().length, 2, 80) ? [] : [fault('name', coded('product.nameOf2To80'))]),
    ...(within(doughName.trim().length, 2, 60)
      ? []
      : [fault('doughName', coded('product.doughNameOf2To60'))]),
    ...(formulaId === null ? [fault('formulaId', coded('product.chooseAFormula'))] : []),
    ...(within(lateness, 0.1, 10) ? [] : [fault('name', coded('product.latenessFrom'))]),
    ...(within(freshFor, 15, 14 * 24 * 60) ? [] : [fault('freshFor', coded('product.freshFrom15Min'))]),
  ];
}

function pieceFaults({
  grams,
  perTray,
  scrap,
  cut,
  tolerance = 0,
  tins = 0,
  fillings = [],
  ...dressing
}: PieceSpec): ProductFault[] {
  const wrong: [boolean, Coded][] = [
    [!within(grams, 1, 20_000), coded('product.aPieceWeighs')],
    [!within(perTray, 1, 500) || !Number.isInteger(perTray), coded('product.piecesOnATray')],
    [!within(scrap, 0, 0.6), coded('product.scrapUpTo60')],
    [!within(tolerance, 0, grams), coded('product.toleranceBelowThePiece')],
    [!within(tins, 0, 20), coded('product.upTo20Tins')],
    [cut !== undefined && !within(cut.mm, 0.5, 60), coded('product.aSheetIsCutAt', sheet)],
    [
      cut !== undefined &&
        ![
          cut.size.base,
          ...(cut.size.shape === 'square' || cut.size.shape === 'sector' ? [] : [cut.size.height]),
        ].every((cm) => within(cm, 0.5, 150)),
      coded('product.aPieceIsCutFrom', { from: { cm: 0.5 }, to: { cm: 150 } }),
    ],
    [cut?.size.shape === 'sector' && !within(cut.size.sectors ?? 0, 2, 64), coded('product.sectors2To64')],
    [fillings.some(({ grams }) => !(grams > 0 && grams <= 20_000)), coded('product.aFillingHas')],
    [
      dressingParts({ fillings, ...dressing }).some(
        ({ name, grams = 0 }) => name.trim() === '' || !within(grams, 0, 20_000),
      ),
      coded('product.aPartHasAName'),
    ],
  ];
  return wrong.flatMap(([is, message]) => (is ? [fault('piece', message)] : []));
}
const sheet = { from: { mm: 0.5 }, to: { mm: 60 } };

function riseFaults({ rises }: ProductDraft): ProductFault[] {
  return Object.values(rises).flatMap((rise: Rise) =>
    within(rise.celsius, -2, 45) &&
    within(rise.minutes, 5, 3 * 24 * 60) &&
    within(rise.early, 0.1, 1) &&
    within(rise.late, 1, 3)
      ? []
      : [fault('rises', coded('product.aRiseIsReady', { from: { celsius: -2 }, to: { celsius: 45 } }))],
  );
}

function routeFaults({ dough, output, schemeId }: ProductDraft): ProductFault[] {
  const main = dough[0]?.steps ?? [];
  const kinds = new Set(dough.flatMap(({ steps }) => steps.map(({ step }) => step.kind)));
  return [
    ...(kinds.has('mix') ? [] : [fault('dough', coded('product.noMix'))]),
    ...(main.length > 0 && (output[0]?.steps.length ?? 0) > 0
      ? []
      : [fault('output', coded('product.noPieces'))]),
    ...(schemeId !== null && !kinds.has('laminate') ? [fault('dough', coded('product.noLaminate'))] : []),
    ...(schemeId === null && kinds.has('laminate') ? [fault('schemeId', coded('product.noScheme'))] : []),
    ...(['dough', 'output'] as const).flatMap((part) => waitsNobodyEnds({ dough, output }, part)),
    ...repeated([...dough, ...output]).map((id) => fault('dough', coded('product.twoStepsOfOneId', { id }))),
    ...([dough, output] as const).flatMap((threads, nth) =>
      lostThreads(threads).map((message) => fault(nth === 0 ? 'dough' : 'output', message)),
    ),
  ];
}

/** Branches that join no step, or go round in a circle without ever coming to the main thread. */
function lostThreads(threads: readonly Thread[]): Coded[] {
  const threadOf = (id: string) => threads.find(({ steps }) => steps.some(({ step }) => step.id === id));
  return threads.slice(1).flatMap((thread) => {
    let at: Thread | undefined = thread;
    for (let hops = 0; at?.joins && hops <= threads.length; hops++) at = threadOf(at.joins.step);
    if (at === threads[0]) return [];
    return [coded('product.branchIsLost', { step: thread.steps[0]?.step.label ?? '' })];
  });
}

function repeated(threads: readonly Thread[]): string[] {
  const ids = threads.flatMap(({ steps }) => steps.map(({ step }) => step.id));
  return [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))];
}

const gapFaults = ({ min, max }: Gap): Omit<ProductFault, 'at'>[] =>
  within(min, 0, MOST.gap) && (max === undefined || within(max, min, MOST.wait))
    ? []
    : [{ message: coded('product.theGapBefore') }];

function stepFaults(
  step: RouteStep,
  { rises }: ProductDraft,
  { machines, people }: MakingBakery,
): Omit<ProductFault, 'at'>[] {
  const { label, kind, work, wait, holds = [], around, settling, gives, core, program = [] } = step;
  const { strain = 1, speeds = { slow: 0, fast: 0 }, turnTrays = 0, lookAt = 0 } = step;
  const hot = [
    around,
    ...holds.flatMap(({ setting }) => setting ?? []),
    ...program.map(({ celsius }) => celsius),
  ];
  const skill = skillFor(step);
  const canDo = ({ role, skills }: MakingBakery['people'][number]) =>
    role !== 'viewer' && (skill === null || skills === undefined || skills.includes(skill));
  const wrong: [boolean, Coded][] = [
    [typeof label === 'string' && !within(label.trim().length, 1, 60), coded('product.aStepHasAName')],
    [kind !== 'laminate' && !work === !wait, coded('product.handsOrWaits')],
    [work !== undefined && !isWork(work), coded('product.handsOnFrom1Min')],
    [wait !== undefined && !isWindow(wait), coded('product.aWaitLasts')],
    [hot.some((celsius) => !within(celsius, COLDEST, MOST.oven)), coded('product.warmthUpTo', degrees)],
    [!within(settling, 1, 24 * 60), coded('product.settlingFrom1Min')],
    [
      gives !== undefined && !within(gives, 5, 40),
      coded('product.mixedTo', { from: { celsius: 5 }, to: { celsius: 40 } }),
    ],
    [
      core !== undefined && !(core[0] <= core[1] && within(core[0], 20, MOST.core) && core[1] <= MOST.core),
      coded('product.coreFromTo'),
    ],
    [program.some(({ minutes }) => !within(minutes, 0, 6 * 60)), coded('product.aPhaseLasts')],
    [!within(strain, 0.5, 5), coded('product.strainUpTo5')],
    [
      [speeds.slow, speeds.fast, turnTrays, lookAt].some((minutes) => !within(minutes, 0, 6 * 60)),
      coded('product.minutesUpTo6h'),
    ],
    [holds.some(({ amount }) => !(amount > 0 && amount <= 1000)), coded('product.holdsMoreThanNothing')],
    [
      wait !== undefined && step.rise?.decides === true && rises[step.rise.phase] === undefined,
      coded('product.nobodyKnowsWhenItHasRisen'),
    ],
  ];
  const lacks: [boolean, Coded][] = [
    ...holds.map(({ machine }): [boolean, Coded] => [
      machinesOf(machine, machines).length === 0,
      coded('product.noMachineOfTheKind', { kind: { inLine: MACHINE_WORDS[machine] } }),
    ]),
    [
      holds.some(({ only = [] }) => only.some((id) => !machines.some((machine) => machine.id === id))),
      coded('product.aMachineIsGone'),
    ],
    [work !== undefined && people.length > 0 && !people.some(canDo), coded('product.nobodyCanDo')],
  ];
  return [
    ...wrong.flatMap(([is, message]) => (is ? [{ message }] : [])),
    ...lacks.flatMap(([is, message]) => (is ? [{ message, isLack: true as const }] : [])),
  ];
}
const degrees = { from: { celsius: COLDEST }, to: { celsius: MOST.oven } };

const isWork = ({ fixed, perKg = 0, perPiece = 0, people }: NonNullable<RouteStep['work']>) =>
  [fixed, perKg, perPiece].every((minutes) => within(minutes, 0, MOST.work)) &&
  fixed + perKg + perPiece > 0 &&
  within(people, 1, MOST.people) &&
  Number.isInteger(people);

const isWindow = ({ shortest, best, longest, shortCost, longCost }: NonNullable<RouteStep['wait']>) =>
  longest > 0 &&
  0 <= shortest &&
  shortest <= best &&
  best <= longest &&
  longest <= MOST.wait &&
  [shortCost, longCost].every((cost) => within(cost, 0, 100));

/** Waits that nothing follows which somebody begins: only a bake is ended by itself. */
function waitsNobodyEnds(
  { dough, output }: Pick<ProductDraft, 'dough' | 'output'>,
  part: 'dough' | 'output',
): ProductFault[] {
  const main = (part === 'dough' ? dough : output)[0]?.steps ?? [];
  const beyond = part === 'dough' ? output[0]?.steps[0] : undefined;
  return main.flatMap(({ step }, at) => {
    const next = main[at + 1] ?? beyond;
    const isWait = (one: RouteStep) => one.wait !== undefined && one.work === undefined;
    const isEnded = !isWait(step) || step.ends === 'tap' || (next !== undefined && !isWait(next.step));
    return isEnded
      ? []
      : [{ ...fault(`${part}.${step.id}`, coded('product.nobodyEndsIt')), step: step.label }];
  });
}

/** A fault as it is said away from its step: with the step's name before it. */
export const faultByName = ({ step, message }: ProductFault): Coded =>
  step === undefined ? message : coded('product.atStep', { step, fault: message });
