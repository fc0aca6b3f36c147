import { dialOn, type Machine } from '@/core/bakery/machines';
import type { OutputRecord } from '@/core/record/dough';
import { isHandsOn } from '@/core/record/state';
import { turnMessage, type TurnCount } from '@/core/record/turns';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { clockTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { machineName } from '../floor/words';
import { useWords } from '../kit/words';
import { useCelsius } from '../live/units';
import { Declared } from './declared';
import { DressingLines } from './dressing-lines';

interface Props {
  item: AgendaItem;
  turns: TurnCount | null;
  zone: string;
  machines: readonly Machine[];
  outputs: readonly OutputRecord[];
}

/** What to know of the step: how many, how hot, how long, what to look for and mind, what was measured and noted. */
export function NowFacts({ item: { dough, step, state }, turns, zone, machines, outputs }: Props) {
  const say = useWords();
  const celsius = useCelsius();
  const last = state.temperatures.at(-1);
  const { speeds } = step.step;
  const isFresh = outputs.some(({ id, way }) => id === step.outputId && way === undefined);
  const frozen = isFresh ? (dough.state.frozen.get(step.outputId ?? 0) ?? 0) : 0;
  const facts = [
    step.load ? say('bench.piecesOnTrays', { pieces: step.load.pieces, trays: step.load.trays }) : '',
    frozen > 0 && step.step.kind !== 'shape' ? say('bench.lessFrozen', { frozen }) : '',
    ...step.uses
      .filter((use) => use.setting !== undefined)
      .map((use) =>
        say('bench.machineAt', {
          machine: machineName(say, use.resource, machines),
          celsius: celsius(dialOn(use.resource, use.setting ?? 0, machines)),
        }),
      ),
    speeds ? say('bench.atSpeeds', { slow: duration(speeds.slow), fast: duration(speeds.fast) }) : '',
    isHandsOn(step)
      ? say('bench.about', { duration: duration(step.target) })
      : say('bench.inAll', { duration: duration(step.target) }),
  ].filter(Boolean);

  return (
    <div className="my-3 flex flex-wrap items-start gap-x-8 gap-y-3">
      <div className="grid gap-1 text-xl">
        <p>{facts.join(', ')}</p>
        {turns && step.step.turn && turns.of !== turns.planned && (
          <p className="font-semibold">{say.coded(turnMessage(turns))}</p>
        )}
        {step.step.gives !== undefined && (
          <p>{say('bench.doughTo', { celsius: celsius(step.step.gives) })}</p>
        )}
        {step.step.check && <p>{say('bench.lookFor', { check: say.coded(step.step.check) })}</p>}
        <DressingLines {...{ dough, step, outputs }} />
        <Declared {...{ step, outputs }} />
        {step.step.stock === 'in' && (
          <a href={`/dough/${dough.id}/labels`} className="justify-self-start text-lg underline">
            {say('bench.printLabels')}
          </a>
        )}
        {step.step.optional && <p className="text-lg text-quiet">{say('bench.canBeLeftOut')}</p>}
        {step.step.method && <p className="max-w-xl text-lg whitespace-pre-line">{step.step.method}</p>}
        {step.step.caution && (
          <p className="max-w-md border-l-4 border-edge pl-3 text-lg">{say.coded(step.step.caution)}</p>
        )}
        {last && (
          <p>{say('bench.measuredAt', { celsius: celsius(last.celsius), time: clockTime(last.at, zone) })}</p>
        )}
        {state.notes.map(({ text, at }) => (
          <p key={at} className="text-lg text-quiet">
            “{text}”
          </p>
        ))}
      </div>
    </div>
  );
}
