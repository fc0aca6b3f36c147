'use client';

import { useState } from 'react';
import { coded } from '@/core/codes/coded';
import type { ProductDraft } from '@/core/process/product-draft';
import { faultByName, type ProductFault } from '@/core/process/product-faults';
import { clockTime, addLocalDays, formatLocal } from '@/core/time/local';
import type { ProductTrial } from '@/core/wire/product-trial';
import { DayTimeFields, localText } from '../kit/day-time';
import { Field } from '../kit/field';
import { useWords } from '../kit/words';
import { Faults } from './thread-list';
import { TrialThread } from './trial-thread';
import { useTrial } from './use-trial';

interface Props {
  draft: ProductDraft;
  isStaffed: boolean;
  faults: readonly ProductFault[];
  mayTry: boolean;
  zone: string;
  now: number;
}

/** This product in this bakery: a batch of any size for any day, as it would be planned amid everything else. */
export function TrialPanel({ draft, isStaffed, faults, mayTry, zone, now }: Props) {
  const say = useWords();
  const [pieces, setPieces] = useState('60');
  const [due, setDue] = useState({
    day: formatLocal(addLocalDays(now, 3, zone), zone).slice(0, 10),
    time: '07:00',
  });
  const wrong = faults.filter(({ isLack }) => !isLack);
  const lacks = faults.filter(({ isLack }) => isLack);
  const count = Number(pieces);
  const isCount = Number.isInteger(count) && count > 0;
  const { outcome, isWorking } = useTrial(
    mayTry && isStaffed && wrong.length === 0 && isCount ? draft : null,
    {
      ...{ pieces: count, due: localText(due) },
    },
  );
  return (
    <aside aria-label={say('product.inThisBakery')} className="grid content-start gap-3 lg:sticky lg:top-3">
      <h2 className="border-b border-edge pb-1 text-xl font-bold">{say('product.inThisBakery')}</h2>
      {wrong.length > 0 && (
        <div>
          <h3 className="font-bold">{say('product.toMend')}</h3>
          <Faults faults={named(wrong)} />
        </div>
      )}
      {lacks.length > 0 && (
        <div>
          <h3 className="font-bold">{say('product.lacksHere')}</h3>
          <Faults faults={named(lacks)} />
        </div>
      )}
      {mayTry && (
        <div className="grid grid-cols-[5rem_1fr] gap-3">
          <Field
            label={say('product.pieces')}
            inputMode="numeric"
            value={pieces}
            trouble={isCount ? null : say('kit.enterANumber')}
            onType={setPieces}
          />
          <DayTimeFields
            label={say('product.readyOn')}
            value={due}
            onChange={setDue}
            from={now}
            days={14}
            zone={zone}
          />
        </div>
      )}
      <div role="status" aria-busy={isWorking}>
        {isWorking && <p className="text-quiet">{say('product.workingItOut')}</p>}
        {outcome && 'message' in outcome && <p className="text-warn">{outcome.message}</p>}
        {outcome && 'trial' in outcome && <Trial trial={outcome.trial} zone={zone} />}
      </div>
    </aside>
  );
}

function Trial({ trial, zone }: { trial: ProductTrial; zone: string }) {
  const say = useWords();
  const { steps, start, ready, late, kg, bowls, hands } = trial;
  const at = (time: number) => ({ dayTime: time, zone });
  return (
    <>
      <p className="text-lg font-bold">{say.coded(coded('product.startsAt', { time: at(start) }))}</p>
      <p className={late > 0 ? 'text-lg font-bold text-warn' : 'text-lg font-bold'}>
        {say.coded(
          late > 0
            ? coded('product.lateBy', { time: at(ready), minutes: { minutes: late } })
            : coded('product.readyBy', { time: at(ready) }),
        )}
      </p>
      <p className="mb-2 text-[15px]">
        {say.coded(
          coded('product.trialFacts', { kg: { kg }, bowls, minutes: { minutes: Math.round(hands) } }),
        )}
      </p>
      <TrialThread {...{ trial, zone }} />
      <ol className="text-[15px]">
        {steps.map((step, i) => {
          const isNewDay = i === 0 || dayOf(step.start, zone) !== dayOf(steps[i - 1]?.start ?? 0, zone);
          return (
            <li key={step.key} className="grid grid-cols-[6.5rem_1fr] gap-2 border-b border-hairline py-0.5">
              <span className="tabular-nums">
                {isNewDay ? say.dayTime(step.start, zone) : clockTime(step.start, zone)}
              </span>
              <span>
                <span className={step.people > 0 ? 'font-semibold' : ''}>{say.coded(step.label)}</span>{' '}
                <span className="text-quiet">{step.machines.map((one) => say.named(one)).join(', ')}</span>
              </span>
            </li>
          );
        })}
      </ol>
    </>
  );
}

/** Away from their steps, faults name them. */
const named = (faults: readonly ProductFault[]) =>
  faults.map((fault) => ({ ...fault, message: faultByName(fault) }));

const dayOf = (at: number, zone: string) => formatLocal(at, zone).slice(0, 10);
