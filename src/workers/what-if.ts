import { withoutPin } from '@/core/solver/suppose';
import { WhatIf } from '@/core/solver/what-if';
import type { WhatIfAnswer, WhatIfAsk } from '@/core/wire/what-if-message';

type Plan = Extract<WhatIfAsk, { ask: 'plan' }>;

/** The plan that is supposed of, as it is and with the one step free that was fixed and is asked about. */
let plan: Plan | null = null;
let asItIs: WhatIf | null = null;
let freed: { task: string; whatIf: WhatIf } | null = null;

const whatIfOf = ({ present, hands, stay }: Plan, problem: Plan['problem']) =>
  new WhatIf(problem, present, hands, stay);

function whatIfFor(task: string): WhatIf | null {
  if (!plan) return null;
  const free = withoutPin(plan.problem, task);
  if (free === plan.problem) return (asItIs ??= whatIfOf(plan, free));
  if (freed?.task !== task) freed = { task, whatIf: whatIfOf(plan, free) };
  return freed.whatIf;
}

/** Supposes beside the page, so that dragging never waits. */
self.onmessage = ({ data }: MessageEvent<WhatIfAsk>) => {
  if (data.ask === 'plan') {
    [plan, asItIs, freed] = [data, null, null];
    return;
  }
  const { nth, task } = data;
  const whatIf = whatIfFor(task);
  const answer: WhatIfAnswer =
    data.ask === 'move'
      ? { nth, supposed: whatIf?.move(task, data.start, data.whole) ?? null }
      : { nth, reach: whatIf?.reach(task) ?? null };
  self.postMessage(answer);
};
