'use client';

import { Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { RATES } from '@/core/time/clock';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { DEMO_BREAKS, type DemoBreak, type DemoWishes } from '@/core/wire/demo-wishes';
import { Button } from '../kit/button';
import { DayTimeFields, localText } from '../kit/day-time';
import { useWords } from '../kit/words';
import { ask } from '../live/ask';
import { useClock } from '../live/clock';
import { send } from '../live/command';
import { go } from '../live/go';

const BREAK_WORDS = {
  oven: 'shell.demoBreakOven',
  person: 'shell.demoBreakPerson',
  door: 'shell.demoBreakDoor',
} as const satisfies Record<DemoBreak, string>;

/** What a visitor can do to the demo: set its clock, let its bakers work or not, and break something. */
export default function DemoPanel({ zone }: { zone: string }) {
  const say = useWords();
  const [trouble, setTrouble] = useState<string | null>(null);
  const act = async (command: string, input: Record<string, unknown>): Promise<boolean> => {
    const answer = await send(command, input);
    setTrouble(answer.ok ? null : answer.message);
    return answer.ok;
  };
  return (
    <div className="grid gap-4">
      <p className="text-[15px] text-quiet">{say('shell.theDemoRunsOnIts')}</p>
      <ClockControls zone={zone} onChange={(input) => void act('set-clock', input)} />
      <CrewSwitch act={act} />
      <Breaks act={act} />
      {trouble && (
        <p role="alert" className="text-warn">
          {trouble}
        </p>
      )}
    </div>
  );
}

type Act = (command: string, input: Record<string, unknown>) => Promise<boolean>;

function ClockControls({
  zone,
  onChange,
}: {
  zone: string;
  onChange: (input: Record<string, unknown>) => void;
}) {
  const say = useWords();
  const { now, rate, paused } = useClock();
  const [wanted, setWanted] = useState(() => {
    const shown = formatLocal(now, zone);
    return { day: shown.slice(0, 10), time: shown.slice(11) };
  });
  const [first] = useState(() => addLocalDays(now, -2, zone));
  return (
    <>
      <div className="flex gap-2">
        <Button onClick={() => onChange({ paused: !paused })} className="flex items-center gap-2">
          {say.rich('shell.goOnPause', {
            value: () => (paused ? <Play aria-hidden size={16} /> : <Pause aria-hidden size={16} />),
            isPaused: paused,
          })}
        </Button>
        {RATES.map((factor) => (
          <Button
            key={factor}
            aria-pressed={rate === factor}
            onClick={() => onChange({ rate: factor, paused: false })}
          >
            {factor}×
          </Button>
        ))}
      </div>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          onChange({ shows: localText(wanted) });
        }}
      >
        <div className="flex-1">
          <DayTimeFields
            label={say('shell.setTo')}
            value={wanted}
            onChange={setWanted}
            from={first}
            days={9}
            zone={zone}
          />
        </div>
        <Button type="submit">{say('shell.set')}</Button>
      </form>
    </>
  );
}

/** Whether the demo's bakers work by themselves; as the house has it, once that is known. */
function CrewSwitch({ act }: { act: Act }) {
  const say = useWords();
  const [crew, setCrew] = useState<boolean | null>(null);
  useEffect(() => {
    void ask('/api/board', { method: 'GET' }).then((answer) => {
      const wishes = (answer as { result?: { demo?: DemoWishes | null } } | undefined)?.result?.demo;
      setCrew(wishes?.crew ?? null);
    });
  }, []);
  if (crew === null) return null;
  const change = async (wanted: boolean) => {
    setCrew(wanted);
    if (!(await act('set-demo', { crew: wanted }))) setCrew(!wanted);
  };
  return (
    <div className="border-t border-hairline pt-3">
      <label className="flex min-h-11 items-center gap-2 text-lg">
        <input
          type="checkbox"
          className="size-5 flex-none"
          checked={crew}
          onChange={({ target }) => void change(target.checked)}
        />
        {say('shell.demoBakersWork')}
      </label>
      <p className="mt-1 text-[15px] text-quiet">{say('shell.demoTakeAPlace')}</p>
    </div>
  );
}

function Breaks({ act }: { act: Act }) {
  const say = useWords();
  const [done, setDone] = useState(false);
  return (
    <section aria-label={say('shell.demoBreak')} className="border-t border-hairline pt-3">
      <h3 className="mb-2 text-lg font-semibold">{say('shell.demoBreak')}</h3>
      <div className="flex flex-wrap gap-2">
        {DEMO_BREAKS.map((breaks) => (
          <Button key={breaks} onClick={() => void act('set-demo', { breaks }).then(setDone)}>
            {say(BREAK_WORDS[breaks])}
          </Button>
        ))}
        <Button onClick={() => go('/orders?rush')}>{say('shell.demoRushOrder')}</Button>
      </div>
      {done && (
        <p role="status" className="mt-2">
          {say('shell.demoBroken')}
        </p>
      )}
    </section>
  );
}
