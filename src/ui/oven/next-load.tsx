import { cutsShort } from '@/core/forecast/early';
import type { EventBody, Recording } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { NowAct } from '../bench/now-act';
import { loadDoubt } from '../bench/load-doubt';
import { useWords } from '../kit/words';

interface Props {
  /** The step that puts it in. */
  item: AgendaItem;
  at: Parameters<typeof loadDoubt>[1];
  zone: string;
  record: (recording: Recording) => Promise<unknown>;
}

/** The load that goes in next, once nothing but hands is missing: the one thing to do at the oven. */
export function NextLoad({ item, at, zone, record }: Props) {
  const say = useWords();
  const { dough, step, state } = item;
  return (
    <article aria-label={say('oven.nextLoad')} className="border-b border-hairline py-3">
      <h2 className="text-3xl leading-tight font-bold">{dough.name}</h2>
      <p className="text-xl">
        {say('oven.loadOf', {
          label: say.inLine(say.coded(step.label)),
          trays: step.load?.trays ?? 0,
          pieces: step.load?.pieces ?? 0,
        })}
      </p>
      <NowAct
        {...{ item, zone, block: null }}
        now={at.now}
        short={state.status === 'running' ? null : cutsShort(dough, step, at.now)}
        doubt={state.status === 'running' ? null : () => Promise.resolve(loadDoubt(item, at))}
        tell={(part: EventBody) => void record({ doughId: dough.id, stepKey: step.key, ...part })}
      />
    </article>
  );
}
