'use client';

import { useContext, useState } from 'react';
import { mayDo } from '@/core/shopfloor/rights';
import { clockTime } from '@/core/time/local';
import { type Trouble, troubleValues } from '@/core/wire/trouble';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { send } from '../live/command';
import { Who } from '../live/who';

/** What is out now, since when and until when the plan reckons with it; whoever is there says when it is back. */
export function TroubleBand({
  troubles,
  nameOf,
  zone,
}: {
  troubles: readonly Trouble[];
  nameOf: (trouble: Trouble) => string;
  zone: string;
}) {
  const say = useWords();
  const who = useContext(Who);
  const now = useMinute();
  const [over, setOver] = useState<readonly number[]>([]);
  const [refused, setRefused] = useState<string | null>(null);
  const open = troubles.filter(({ id, until }) => until > now && !over.includes(id));
  if (open.length === 0) return null;
  const end = async (id: number) => {
    const answer = await send('end-trouble', { id });
    if (answer.ok) setOver([...over, id]);
    else setRefused(answer.message);
  };
  return (
    <section
      aria-label={say('floor.outNow')}
      className="grid gap-1 border-b border-l-4 border-hairline border-l-warn bg-flour px-5 py-2 print:hidden"
    >
      {open.map((trouble) => {
        const { id, machineId, since, until, note } = trouble;
        return (
          <p key={id} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 text-xl">
            <span>
              {say.rich('floor.isOut', {
                b: (words) => <b className="text-warn">{words}</b>,
                trouble: say('floor.troubleIs', { name: nameOf(trouble), ...troubleValues(trouble) }),
                since: clockTime(since, zone),
                until: say.dayTime(until, zone),
                note: note === '' ? '' : `: ${note}`,
              })}
            </span>
            {(!who || mayDo(who, 'end-trouble')) && (
              <Button floor onClick={() => void end(id)}>
                {say('floor.isBack', { isMachine: machineId !== null })}
              </Button>
            )}
          </p>
        );
      })}
      {refused && (
        <p role="alert" className="text-warn">
          {refused}
        </p>
      )}
    </section>
  );
}
