import clsx from 'clsx';
import type { Coded } from '@/core/codes/coded';
import { Thermometer } from 'lucide-react';
import { useState } from 'react';
import type { cutsShort } from '@/core/forecast/early';
import type { EventBody } from '@/core/record/events';
import { isHandsOn } from '@/core/record/state';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { duration } from '@/core/units/format';
import type { Say } from '@/words/say';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { turnDone, turnDoneLabel } from './turn-acts';

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  /** The wait that would be cut short by starting now; null where none is. */
  short: ReturnType<typeof cutsShort>;
  /** What else is asked before it is started: that the oven is full, or at another temperature. */
  doubt: (() => Promise<Coded | null>) | null;
  tell: (part: EventBody) => void;
  /** Opens what takes a temperature; left out where none is taken here. */
  onTemperature?: () => void;
  /** Of several blocks the one in hand. */
  block: number | null;
}

/** What the button does to the step as it is. */
function actOf(say: Say, { dough, step, state }: AgendaItem, block: number | null): string {
  const { turn } = step.step;
  if (!isHandsOn(step)) return say('bench.outOfTheOven');
  if (state.status === 'running')
    return turn ? turnDoneLabel(say, dough, step, block ?? undefined) : say('bench.done');
  const part = turn !== undefined ? say('bench.turn', { turn }) : say.inLine(say.coded(step.step.label));
  return say('bench.start', { part });
}

/** The one big button, which asks once before it cuts a wait short, and the thermometer. */
export function NowAct({ item, now, zone, short, doubt, tell, onTemperature, block }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const { dough, step, state } = item;
  const [asked, setAsked] = useState<{ key: string; doubt: Coded | null } | null>(null);
  const running = state.status === 'running';
  const asking = !running && asked?.key === step.key;
  const act = () =>
    tell(
      running && step.step.turn
        ? turnDone(dough, step, { block: block ?? undefined })
        : { kind: running ? 'finish' : 'start' },
    );
  // What speaks against it is asked once, and done all the same where somebody says so.
  const press = async () => {
    if (asking) return act();
    // What cannot be found out does not keep anybody from work.
    const found = doubt ? await doubt().catch(() => null) : null;
    if (short || found) setAsked({ key: step.key, doubt: found });
    else act();
  };
  return (
    <>
      <div className={clsx('my-3 grid gap-3', onTemperature && 'grid-cols-[2fr_1fr]')}>
        <Button look="act" floor className="min-h-22 text-3xl" onClick={() => void press()}>
          {asking ? say('bench.startAnyway') : actOf(say, item, block)}
        </Button>
        {onTemperature && (
          <Button floor className="flex flex-col items-center justify-center" onClick={onTemperature}>
            <span className="flex items-center gap-2 text-2xl font-bold">
              <Thermometer aria-hidden size={24} /> °{units.temperature}
            </span>
            <span className="text-base text-quiet">{say('bench.tellIt2')}</span>
          </Button>
        )}
      </div>
      {asking && (
        <div
          role="alert"
          className="mb-3 flex flex-wrap items-center justify-between gap-3 border-l-4 border-warn pl-3 text-xl"
        >
          {short && (
            <p>
              {say('bench.notReadyBeforeInStart', {
                label: say.coded(short.label),
                time: say.dayTime(short.until, zone),
                duration: duration((short.until - now) / 60_000),
              })}
            </p>
          )}
          {asked.doubt && <p>{say.coded(asked.doubt)}</p>}
          <Button floor onClick={() => setAsked(null)}>
            {say('bench.notYet')}
          </Button>
        </div>
      )}
    </>
  );
}
