'use client';

import { useState, type ReactNode } from 'react';
import { differences, type HouseChange, type HouseRecord } from '@/core/bakery/house-record';
import { dayMonth, dayTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { send } from '../live/command';
import { HeldNote } from './held-note';
import { useChange } from './use-change';

/** What a planner watches over: devices, calendar addresses, and who changed what. */
export function RecordView({
  record,
  zone,
  mayPlan,
}: {
  record: HouseRecord;
  zone: string;
  mayPlan: boolean;
}) {
  const { change, held, calm } = useChange();
  return (
    <div className="grid content-start gap-x-8 gap-y-6 lg:col-span-2 lg:grid-cols-2">
      <HeldNote held={held} onCalm={calm} />
      {mayPlan && (
        <Part title="Devices" act={<NewDevice />}>
          {record.devices.map(({ id, name, enrolledAt, by }) => (
            <Line key={id} act="Remove" onAct={() => void change('remove-tablet', { id })}>
              <b>{name}</b>{' '}
              <span className="text-quiet">
                since {dayTime(enrolledAt, zone)} {dayMonth(enrolledAt, zone)}
                {by && `, let in by ${by}`}
              </span>
            </Line>
          ))}
        </Part>
      )}
      <Part title="Calendar addresses">
        {record.addresses.length === 0 && <li className="py-2 text-lg text-quiet">No calendar addresses</li>}
        {record.addresses.map(({ id, of, by, madeAt }) => (
          <Line key={id} act="Withdraw" onAct={() => void change('withdraw-address', { id })}>
            <b>{of === null ? 'The whole plan' : `${of}’s work`}</b>{' '}
            <span className="text-quiet">
              made by {by}, {dayTime(madeAt, zone)} {dayMonth(madeAt, zone)}
            </span>
          </Line>
        ))}
      </Part>
      {mayPlan && (
        <section aria-label="Changes" className="lg:col-span-2">
          <h2 className="border-b border-edge pb-1 text-2xl font-bold">Changes</h2>
          {record.changes.length === 0 && <p className="py-2 text-lg text-quiet">No changes yet</p>}
          <table className="w-full text-left text-[17px]">
            <tbody>
              {record.changes.map((one) => (
                <Changed key={one.id} change={one} zone={zone} />
              ))}
            </tbody>
          </table>
        </section>
      )}
    </div>
  );
}

function Changed({ change: { at, by, subject, was, becomes }, zone }: { change: HouseChange; zone: string }) {
  return (
    <tr className="border-b border-hairline align-top">
      <td className="py-1.5 pr-3 whitespace-nowrap text-quiet">
        {dayTime(at, zone)} {dayMonth(at, zone)}
      </td>
      <td className="pr-3 whitespace-nowrap">{by}</td>
      <td className="pr-3 font-semibold">{subject}</td>
      <td className="w-1/2">
        {differences(was, becomes).map(({ name, was: before, becomes: after }) => (
          <span key={name} className="mr-3 inline-block">
            {name && <span className="text-quiet">{name} </span>}
            {before} → {after}
          </span>
        ))}
      </td>
    </tr>
  );
}

function Part({ title, act, children }: { title: string; act?: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <div className="flex items-baseline justify-between border-b border-edge pb-1">
        <h2 className="text-2xl font-bold">{title}</h2>
        {act}
      </div>
      <ul>{children}</ul>
    </section>
  );
}

function Line({ act, onAct, children }: { act: string; onAct: () => void; children: ReactNode }) {
  return (
    <li className="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[17px]">
      <span>{children}</span>
      <Button look="quiet" className="ml-auto" onClick={onAct}>
        {act}
      </Button>
    </li>
  );
}

/** Makes a code for one more device, and shows it until the page is left. */
function NewDevice() {
  const [told, setTold] = useState<{ code: string } | { trouble: string } | null>(null);
  const make = async () => {
    const answer = await send('make-tablet-code', {});
    setTold(answer.ok ? (answer.result as { code: string }) : { trouble: answer.message });
  };
  if (told && 'code' in told)
    return (
      <p role="status" className="text-lg">
        Type <b className="font-label text-2xl tracking-widest">{told.code}</b> on the new device within 15
        min.
      </p>
    );
  return (
    <span className="flex items-baseline gap-3">
      {told && <span className="text-warn">{told.trouble}</span>}
      <Button onClick={() => void make()}>Let a device in</Button>
    </span>
  );
}
