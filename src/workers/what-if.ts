import { WhatIf } from '@/core/planning/what-if';
import type { WhatIfAnswer, WhatIfAsk } from '@/core/planning/what-if-message';

let whatIf: WhatIf | null = null;

/** Supposes beside the page, so that dragging never waits. */
self.onmessage = ({ data }: MessageEvent<WhatIfAsk>) => {
  if (data.ask === 'plan') whatIf = new WhatIf(data.problem, data.present, data.hands);
  else if (data.ask === 'move') {
    const supposed = whatIf?.move(data.task, data.start, data.whole) ?? null;
    self.postMessage({ nth: data.nth, supposed } satisfies WhatIfAnswer);
  } else self.postMessage({ nth: data.nth, reach: whatIf?.reach(data.task) ?? null } satisfies WhatIfAnswer);
};
