import type { Recording } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

interface Props {
  items: readonly AgendaItem[];
  running: boolean;
  record: (recording: Recording) => Promise<unknown>;
}

/** Starts or ends alike work of several doughs in one go. */
export function InOneGo({ items, running, record }: Props) {
  const say = useWords();
  return (
    <Button
      floor
      className="mt-1 w-full py-2 text-left"
      onClick={() => {
        for (const { dough: other, step: one } of items)
          void record({ doughId: other.id, stepKey: one.key, kind: running ? 'finish' : 'start' });
      }}
    >
      <span className="block font-semibold">
        {say('bench.doneWithAllStartIn', { isRunning: running, count: items.length })}
      </span>
      <span className="block text-base text-quiet">
        {items.map((one) => `${say.inLine(say.coded(one.step.label))}, ${one.dough.name}`).join('; ')}
      </span>
    </Button>
  );
}
