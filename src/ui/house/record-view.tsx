'use client';

import { useWords } from '../kit/words';
import { useState, type ReactNode } from 'react';
import { differences, type HouseChange, type HouseRecord } from '@/core/bakery/house-record';
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
  const say = useWords();
  const { change, held, calm } = useChange();
  return (
    <div className="grid content-start gap-x-8 gap-y-6 lg:col-span-2 lg:grid-cols-2">
      <HeldNote held={held} onCalm={calm} />
      {mayPlan && (
        <Part title={say('house.devices')} act={<NewDevice />}>
          {record.devices.map(({ id, name, enrolledAt, by }) => (
            <Line key={id} act={say('house.remove')} onAct={() => void change('remove-tablet', { id })}>
              <b>{name}</b>{' '}
              <span className="text-quiet">
                {say('house.since', {
                  time: say.dayTime(enrolledAt, zone),
                  dayMonth: say.dayMonth(enrolledAt, zone),
                  part: by ? say('house.letInBy', { by }) : '',
                })}
              </span>
            </Line>
          ))}
        </Part>
      )}
      <Part title={say('house.calendarAddresses')}>
        {record.addresses.length === 0 && (
          <li className="py-2 text-lg text-quiet">{say('house.noCalendarAddresses')}</li>
        )}
        {record.addresses.map(({ id, of, by, madeAt }) => (
          <Line key={id} act={say('house.withdraw')} onAct={() => void change('withdraw-address', { id })}>
            <b>{of === null ? say('common.theWholePlan') : say('house.sWork', { of })}</b>{' '}
            <span className="text-quiet">
              {say('house.madeBy', {
                by,
                time: say.dayTime(madeAt, zone),
                dayMonth: say.dayMonth(madeAt, zone),
              })}
            </span>
          </Line>
        ))}
      </Part>
      {record.backup && <Backup backup={record.backup} zone={zone} />}
      {mayPlan && (
        <section aria-label={say('house.changes')} className="lg:col-span-2">
          <h2 className="border-b border-edge pb-1 text-2xl font-bold">{say('house.changes')}</h2>
          {record.changes.length === 0 && (
            <p className="py-2 text-lg text-quiet">{say('house.noChangesYet')}</p>
          )}
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

/** When the last good backup was, or that there is none. */
function Backup({
  backup: { last, isLate },
  zone,
}: {
  backup: NonNullable<HouseRecord['backup']>;
  zone: string;
}) {
  const say = useWords();
  const made = last && {
    time: say.dayTime(last.madeAt, zone),
    dayMonth: say.dayMonth(last.madeAt, zone),
    megabytes: say.number(last.bytes / 1e6, 1),
  };
  return (
    <Part title={say('house.backup')}>
      <li className={isLate ? 'py-2 text-lg text-warn' : 'py-2 text-lg'}>
        {made ? say('house.lastBackup', made) : say('house.noBackupYet')}
        {isLate && <span className="block">{say('house.haveItMadeEveryNight')}</span>}
      </li>
    </Part>
  );
}

function Changed({ change: { at, by, subject, was, becomes }, zone }: { change: HouseChange; zone: string }) {
  const say = useWords();
  return (
    <tr className="border-b border-hairline align-top">
      <td className="py-1.5 pr-3 whitespace-nowrap text-quiet">
        {say.dayTime(at, zone)} {say.dayMonth(at, zone)}
      </td>
      <td className="pr-3 whitespace-nowrap">{by}</td>
      <td className="pr-3 font-semibold">{say.coded(subject)}</td>
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
  const say = useWords();
  const [told, setTold] = useState<{ code: string } | { trouble: string } | null>(null);
  const make = async () => {
    const answer = await send('make-tablet-code', {});
    setTold(answer.ok ? (answer.result as { code: string }) : { trouble: answer.message });
  };
  if (told && 'code' in told)
    return (
      <p role="status" className="text-lg">
        {say.rich('house.typeOnTheNewDevice', {
          b: (words) => <b className="font-label text-2xl tracking-widest">{words}</b>,
          code: told.code,
        })}
      </p>
    );
  return (
    <span className="flex items-baseline gap-3">
      {told && <span className="text-warn">{told.trouble}</span>}
      <Button onClick={() => void make()}>{say('house.letADeviceIn')}</Button>
    </span>
  );
}
