import type { DoughForecast } from '@/core/forecast/forecast';
import type { DoughRecord } from '@/core/record/dough';
import type { Person } from '@/core/bakery/people';
import type { Machine } from '@/core/bakery/machines';
import type { RollingHouse } from '@/core/bakery/rolling';
import type { WholePlan } from '@/core/schedule/whole-plan';
import type { Duty } from '@/core/schedule/rota';
import type { PlanSample } from '@/core/solver/sampling';
import type { MovingHand } from './use-moving';

/** What the panel of a dough shows, and what may be done there. */
export interface DoughPanelProps {
  dough: DoughForecast;
  facts: DoughRecord;
  now: number;
  zone: string;
  people: Person[];
  whole: WholePlan;
  /** Who is to carry the steps out. */
  duties: readonly Duty[];
  /** How sure the plan is; null until it was played through. */
  sampled: PlanSample | null;
  machines: readonly Machine[];
  rolling: RollingHouse;
  /** The step that is looked at. */
  step: string | null;
  onStep: (key: string | null) => void;
  hand: MovingHand;
  mayPlan: boolean;
  onTakeOut: (() => void) | null;
  /** Asks for ways out where a promise is not kept. */
  onWays: (() => void) | null;
}
