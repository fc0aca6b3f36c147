import type { DoughRecord } from '@/core/record/dough';
import type { EventData, FloorEvent } from '@/core/record/events';
import { isHandsOn } from '@/core/record/state';
import { inOrder } from '@/core/process/order';
import { did, MIN, smallDough } from './floor';
import { SMALL_PRODUCT } from './small-dough';

/** Something recorded on a step, named by its id in the route. */
interface Recorded {
  step: string;
  kind: FloorEvent['kind'];
  celsius?: number;
  data?: EventData;
}

/** A small dough, made and baked as it was meant; `stretch`: how many times as long a wait was. Output 5. */
export function baked(recorded: readonly Recorded[] = [], stretch: Record<string, number> = {}): DoughRecord {
  const { steps, links, kg, bowls } = smallDough();
  const keyOf = (id: string) => steps.find(({ key, step }) => step.id === id || key === id)?.key ?? id;
  let minute = 0;
  const timed = inOrder(steps, links).map((step) => {
    const from = minute;
    minute += step.target * (stretch[step.step.id] ?? 1);
    return { ...step, plannedStart: from * MIN, plannedEnd: minute * MIN };
  });
  const events = timed.flatMap((step) => {
    const [start, end] = [step.plannedStart / MIN, step.plannedEnd / MIN];
    const finish = did('finish', step.key, end);
    if (isHandsOn(step)) return [did('start', step.key, start), finish];
    return step.step.ends === 'tap' ? [finish] : [];
  });
  const more = recorded.map(({ step, kind, ...what }, i) => did(kind, keyOf(step), minute + i, what));
  return {
    ...{ id: 1, name: 'Crescent 1', madeAt: 0, kg, bowls, lamination: null, links, steps: timed },
    outputs: [
      {
        id: 5,
        product: 'Crescent',
        pieces: 40,
        dueAt: minute * MIN,
        freshFor: 120,
        piece: SMALL_PRODUCT.piece,
        allergens: ['gluten', 'milk'],
      },
    ],
    events: [...events, ...more],
  };
}
