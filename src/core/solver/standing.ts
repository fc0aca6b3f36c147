import { endEvent, startEvent } from './network';
import type { Times } from './problem';
import type { State } from './state';

/** The time of each block in a plan; what is fixed stays where the state has it, what has no time gets -1. */
export function standingIn({ network, times: fixed }: State, times: Times): Int32Array {
  const { model, blockOf, offsetOf } = network;
  const standing = fixed.slice();
  for (const { id, index } of model.tasks) {
    const [start, end] = times[id] ?? [];
    if (start === undefined || end === undefined) continue;
    for (const [event, at] of [
      [endEvent(index), end],
      [startEvent(index), start],
    ] as const) {
      const block = blockOf[event] as number;
      if ((fixed[block] as number) < 0) standing[block] = at - (offsetOf[event] as number);
    }
  }
  return standing;
}
