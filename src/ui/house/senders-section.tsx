'use client';

import { useState } from 'react';
import type { HouseBook, Sender } from '@/core/bakery/house-book';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Refusal } from '../kit/refusal';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { HeldNote } from './held-note';
import { useChange } from './use-change';
import { useRouter } from 'next/navigation';

/** Probes and scales that may send what they measure: let in with a token that is told once, and shut out again. */
export function SendersSection({ book, zone }: { book: HouseBook; zone: string }) {
  const say = useWords();
  const { change, held, calm } = useChange();
  return (
    <section aria-label={say('house.senders')}>
      <h2 className="border-b border-edge pb-1 text-2xl font-bold">{say('house.senders')}</h2>
      <HeldNote held={held} onCalm={calm} />
      <ul>
        {book.senders.map(({ id, label, kind, madeAt }) => (
          <li key={id} className="flex items-center gap-3 border-b border-hairline py-1 text-[17px]">
            <span className="font-semibold">{label}</span>
            <span className="text-quiet">
              {say(kind === 'probes' ? 'house.sendsTemperatures' : 'house.sendsWeights')}
              {madeAt === null ? '' : `, ${say.dayMonth(madeAt, zone)}`}
            </span>
            <Button
              look="quiet"
              className="ml-auto"
              aria-label={say('house.withdrawSender', { label })}
              onClick={() => void change('withdraw-sender', { id })}
            >
              {say('house.remove')}
            </Button>
          </li>
        ))}
      </ul>
      <NewSender />
    </section>
  );
}

/** Lets a device in, and shows its token until the page is left. */
function NewSender() {
  const say = useWords();
  const router = useRouter();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<Sender['kind']>('probes');
  const [told, setTold] = useState<{ token: string; label: string } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const make = async () => {
    const answer = await send('make-sender', { kind, label });
    setTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setTold({ label, token: (answer.result as { token: string }).token });
    setLabel('');
    router.refresh();
  };
  return (
    <>
      <form
        noValidate
        className="mt-2 grid items-end gap-3 sm:grid-cols-[1fr_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <Field label={say('house.senderName')} value={label} onType={setLabel} />
        <Choice
          label={say('house.senderKind')}
          value={kind}
          options={[
            { id: 'probes', name: say('house.probes') },
            { id: 'scale', name: say('house.scale') },
          ]}
          onChoose={(id) => setKind(id as Sender['kind'])}
        />
        <Button type="submit" className="min-h-10">
          {say('house.letItSend')}
        </Button>
      </form>
      <Refusal message={trouble} onRead={() => setTrouble(null)} />
      {told && (
        <p role="status" className="mt-2">
          {say('house.tokenToldOnce', { label: told.label })}
          <code className="block rounded border border-edge bg-ground p-2 text-[15px] break-all">
            {told.token}
          </code>
        </p>
      )}
    </>
  );
}
