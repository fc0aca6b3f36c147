'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';

const files = (say: Say) => [
  { as: 'calendar', name: say('plan.calendar'), what: say('plan.handsOnWorkForAny') },
  { as: 'csv', name: say('plan.table'), what: say('plan.everyStepWithItsTimes') },
  {
    as: 'problem',
    name: say('plan.planProblem'),
    what: say('plan.whatIsStillOpenWith'),
  },
  { as: 'plan', name: say('plan.plan'), what: say('plan.theTimesThatStandFor') },
];

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  person: Person;
  people: readonly Person[];
}

/** The plan to take along as a file, or at a private address that a calendar program keeps up to date. */
export function PlanFiles({ open, onOpenChange, person, people }: Props) {
  const say = useWords();
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={say('plan.takeThePlanAlong')}>
      <ul className="grid gap-3">
        {files(say).map(({ as, name, what }) => (
          <li key={as}>
            <a
              href={`/api/plan?as=${as}`}
              download
              className="block rounded border border-edge bg-flour px-4 py-2 text-lg"
            >
              <span className="font-semibold">{name}</span>
              <span className="block text-[15px] text-quiet">{what}</span>
            </a>
          </li>
        ))}
      </ul>
      <PrivateAddress person={person} people={people} />
    </Sheet>
  );
}

function PrivateAddress({ person, people }: Pick<Props, 'person' | 'people'>) {
  const say = useWords();
  const mayAll = person.role === 'planner';
  const [of, setOf] = useState(mayAll ? '' : String(person.id));
  const [told, setTold] = useState<{ ok: boolean; text: string } | null>(null);
  const make = async () => {
    const answer = await send('make-address', { personId: of === '' ? null : Number(of) });
    const path = answer.ok ? (answer.result as { path: string }).path : '';
    setTold(
      answer.ok ? { ok: true, text: `${location.origin}${path}` } : { ok: false, text: answer.message },
    );
  };
  return (
    <section aria-label={say('plan.privateAddress')} className="mt-5 border-t border-edge pt-3">
      <h3 className="text-lg font-semibold">{say('plan.aCalendarThatStaysUp')}</h3>
      <p className="text-[15px] text-quiet">{say('plan.aPrivateAddressToSubscribe')}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <select
          aria-label={say('plan.whoseWork')}
          className="min-h-9 rounded border border-edge bg-ground px-2"
          value={of}
          onChange={(event) => setOf(event.target.value)}
        >
          {mayAll && <option value="">{say('common.theWholePlan')}</option>}
          {people
            .filter(({ id }) => mayAll || id === person.id)
            .map(({ id, name }) => (
              <option key={id} value={id}>
                {say('plan.sWork', { name })}
              </option>
            ))}
        </select>
        <Button onClick={() => void make()}>{say('plan.makeAnAddress')}</Button>
        {of !== '' && (
          <a
            className="grid min-h-9 place-items-center rounded border border-edge bg-flour px-3 text-[15px]"
            href={`/api/plan?as=calendar&person=${of}`}
            download
          >
            {say('plan.asAFile')}
          </a>
        )}
      </div>
      {told && (
        <p role={told.ok ? 'status' : 'alert'} className={told.ok ? 'mt-2 break-all' : 'mt-2 text-warn'}>
          {told.text}
        </p>
      )}
    </section>
  );
}
