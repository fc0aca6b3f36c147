import { SKIN } from '../double/drying';
import { relaxedIn, SPRINGS } from '../double/relaxed';
import { countOf } from '../double/senses';
import type { StepForecast } from '../forecast/forecast';
import type { PieceCount } from '../record/events';
import { type Instant, MINUTE } from '../time/local';
import { bakeIn } from './bake-truth';
import { BENDS, riseOf, truthAt, USUAL } from './looks';
import type { NightDough } from './night-record';
import type { Scene } from './scene';

/** What spoilt some of a load. */
export type Spoilt = 'under' | 'over' | 'butterRan' | 'torn' | 'butterBroke' | 'skin' | 'pale' | 'dark';

/** What came of one load in a practice night. */
export interface LoadOutcome {
  doughId: number;
  outputId: number;
  /** Of its bake. */
  key: string;
  pieces: number;
  /** Null where it should have been out of the oven by the end of the night, and was not. */
  counted: Omit<PieceCount, 'kind'> | null;
  /** It is baked after the night: counted as it would come out if nothing went wrong from then on. */
  later: boolean;
  /** How far it had risen when its proof was ended: 1 at its best; null where it rose in none. */
  risen: number | null;
  spoilt: Spoilt[];
  /** When it came out of the oven. */
  out: Instant | null;
  /** Minutes that it came too late for what it was due for; 0 in time. */
  late: number;
  /** What the same pieces give where nothing goes wrong: some are always dropped. */
  possible: Omit<PieceCount, 'kind'>;
}

/** Butter runs out of a dough that is warmer than this in its proof, °C. */
const RUNS = 28.5;
/** Share of the pieces that are seconds for it; too little or too much rise counts by how far it is off. */
const SECONDS: Readonly<Record<Exclude<Spoilt, 'under' | 'over'>, number>> = {
  butterRan: 0.25,
  torn: 0.15,
  butterBroke: 0.2,
  skin: 0.3,
  pale: 0.35,
  dark: 0.3,
};
/** Heat of a bake, against its programme's, below which it is pale, and above which it is dark. */
const BAKED = { pale: 0.88, dark: 1.2 };
/** A load needs so long on its rack before it can be sold, minutes. */
const COOLS = 20;

const WORKED: readonly string[] = ['turn', 'sheet'];

/** What came of every load of a dough, as far as the night has gone. */
export function outcomes(scene: Scene, dough: NightDough, now: Instant): LoadOutcome[] {
  const block = spoiltBlock(scene, dough);
  return dough.forecast.steps.flatMap((bake): LoadOutcome[] => {
    if (bake.step.kind !== 'bake' || !bake.load || bake.outputId === null) return [];
    const proof = dough.forecast.steps.findLast(
      ({ step, outputId, load }) =>
        step.kind === 'proof' && outputId === bake.outputId && load?.nth === bake.load?.nth,
    );
    const risen = proof?.status === 'done' ? truthAt(scene, dough, proof.key, proof.end).risen : null;
    const limits = (proof && riseOf(dough.record, proof)) ?? USUAL;
    const own = {
      doughId: dough.record.id,
      outputId: bake.outputId,
      key: bake.key,
      pieces: bake.load.pieces,
    };
    const about = `practice, dough ${own.doughId}, ${bake.key}`;
    const { good, second, waste } = countOf(own.pieces, { ...limits, risen: null }, about, scene.seed);
    const isOut = bake.status === 'done';
    const later = !isOut && bake.plannedEnd > scene.closesAt;
    const spoilt = isOut ? [...block, ...spoiltLoad(scene, dough, { proof, bake, risen, limits })] : block;
    const due = dough.record.outputs.find(({ id }) => id === bake.outputId)?.dueAt ?? now;
    const out = isOut ? bake.end : null;
    return [
      {
        ...{ ...own, risen, spoilt, out, later, possible: { good, second, waste } },
        counted:
          isOut || later
            ? spoiltOf(countOf(own.pieces, { ...limits, risen }, about, scene.seed), spoilt)
            : null,
        late: isOut ? Math.max(0, Math.round((bake.end - due) / MINUTE + COOLS)) : 0,
      },
    ];
  });
}

function spoiltOf({ good, second, waste }: PieceCount, spoilt: readonly Spoilt[]): LoadOutcome['counted'] {
  const share = spoilt.reduce((sum, one) => sum + (one === 'under' || one === 'over' ? 0 : SECONDS[one]), 0);
  const moved = Math.round(good * Math.min(0.9, share));
  return { good: good - moved, second: second + moved, waste };
}

/** What was done to the block before it was cut: rolled before it had relaxed, butter locked in too hard. */
function spoiltBlock(scene: Scene, dough: NightDough): Spoilt[] {
  const { opensAt } = scene;
  const { steps, links } = dough.forecast;
  // What happened before the night is nobody's fault who works it.
  const own = steps.filter(
    ({ status, start }) => status !== 'open' && status !== 'skipped' && start >= opensAt,
  );
  const torn = own.some(({ key, step, start }) => {
    const rest = WORKED.includes(step.kind)
      ? steps.find(
          (one) => one.step.kind === 'rest' && links.some(({ from, to }) => from === one.key && to === key),
        )
      : undefined;
    return (
      rest !== undefined && relaxedIn(scene.hidden[dough.record.id] ?? {}, rest, start) < SPRINGS * TOLERATED
    );
  });
  const broke = own.some(({ key, step, start }) => {
    const temper =
      step.kind === 'lock-in' && links.find(({ from, to }) => to === key && kindOf(steps, from) === 'temper');
    return Boolean(temper && truthAt(scene, dough, temper.from, start).core < BENDS.from);
  });
  return [...(torn ? ['torn' as const] : []), ...(broke ? ['butterBroke' as const] : [])];
}

/** A dough that springs a little still rolls. */
const TOLERATED = 0.9;

const kindOf = (steps: readonly StepForecast[], key: string) =>
  steps.find((one) => one.key === key)?.step.kind;

function spoiltLoad(
  scene: Scene,
  dough: NightDough,
  {
    proof,
    bake,
    risen,
    limits,
  }: {
    proof: StepForecast | undefined;
    bake: StepForecast;
    risen: number | null;
    limits: { early: number; late: number };
  },
): Spoilt[] {
  const { heat } = bakeIn(scene, bake, bake.end);
  const isLaminated = dough.record.lamination !== null;
  const proofed = proof ? truthAt(scene, dough, proof.key, proof.end) : null;
  const found: (Spoilt | false)[] = [
    risen !== null && risen < limits.early && 'under',
    risen !== null && risen > limits.late && 'over',
    isLaminated && proofed !== null && proofed.celsius > RUNS && 'butterRan',
    proofed !== null && proofed.dried > SKIN && 'skin',
    heat < BAKED.pale && 'pale',
    heat > BAKED.dark && 'dark',
  ];
  return found.filter((one) => one !== false);
}
