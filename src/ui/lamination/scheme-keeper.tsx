'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { Scheme } from '@/core/lamination/scheme';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { send } from '../live/command';
import { go } from '../live/go';
import type { Words } from '@/core/codes/coded';

export interface SchemeProduct {
  id: number;
  name: string;
  schemeName: string;
}

export interface Behind {
  id: number;
  name: string;
  from: Words;
  to: Words;
  refused: Words | null;
}

interface Props {
  /** The scheme that is being changed; null for none. */
  from: { schemeId: number; versionId: number; name: string; products: readonly { name: string }[] } | null;
  /** As composed now; null where it cannot be worked. */
  scheme: Scheme | null;
  products: SchemeProduct[];
  behind: Behind[];
}

/** Keeps what was composed, gives it to products, and lets planned doughs follow. */
export function SchemeKeeper({ from, scheme, products, behind }: Props) {
  const say = useWords();
  const [name, setName] = useState(from?.name ?? '');
  const [trouble, setTrouble] = useState<string | null>(null);

  const [busy, setBusy] = useState(false);
  const act = async (command: string, input: unknown) => {
    setBusy(true);
    const answer = await send(command, input);
    setBusy(false);
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) go('/lamination');
  };
  const keep = (version: number | null) =>
    void act('save-scheme', { clientId: crypto.randomUUID(), from: version, name, scheme });
  const isNew = name.trim().toLowerCase() !== from?.name.toLowerCase();
  return (
    <section aria-labelledby="keep-heading" className="grid gap-2">
      <h2 id="keep-heading" className="text-xl font-semibold">
        {say('schemes.keep')}
      </h2>
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-72">
          <Field label={say('schemes.nameOfTheScheme')} value={name} onType={setName} />
        </div>
        {from && !isNew && (
          <Button
            look="act"
            className="min-h-10"
            disabled={!scheme || busy}
            onClick={() => keep(from.versionId)}
          >
            {say('schemes.keepAsANewVersion')}
          </Button>
        )}
        {isNew && (
          <Button look="act" className="min-h-10" disabled={!scheme || busy} onClick={() => keep(null)}>
            {say('schemes.keepAsANewScheme')}
          </Button>
        )}
        {from && (
          <Button
            className="min-h-10"
            disabled={busy}
            onClick={() => void act('remove-scheme', { schemeId: from.schemeId })}
          >
            {say('schemes.takeOut', { name: from.name })}
          </Button>
        )}
      </div>
      {from && from.products.length > 0 && (
        <p className="text-[15px] text-quiet">
          {say('schemes.laminatedByIt', {
            products: from.products.map((product) => say.inLine(product.name)).join(', '),
          })}
        </p>
      )}
      {from && <SchemeProducts from={from} products={products} busy={busy} act={act} />}
      {behind.length > 0 && <OlderDoughs behind={behind} busy={busy} act={act} />}
      {trouble && (
        <p role="alert" className="border-l-4 border-warn pl-3 text-warn">
          {trouble}
        </p>
      )}
    </section>
  );
}

interface SchemeProductsProps {
  from: { schemeId: number; versionId: number; name: string; products: readonly { name: string }[] };
  products: SchemeProduct[];
  busy: boolean;
  act: (command: string, input: unknown) => Promise<void>;
}

/** Chooses which products are laminated by the scheme. */
function SchemeProducts({ from, products, busy, act }: SchemeProductsProps) {
  const say = useWords();
  const [given, setGiven] = useState<number[]>([]);
  return (
    <details>
      <summary className="min-h-9 cursor-pointer text-[16px]">
        {say('schemes.giveToProducts', { name: from.name })}
      </summary>
      <fieldset className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        <legend className="sr-only">{say('schemes.products')}</legend>
        {products.map(({ id, name: product, schemeName }) => (
          <label key={id} className="flex min-h-9 items-center gap-2 text-[16px]">
            <input
              type="checkbox"
              className="size-5"
              checked={given.includes(id)}
              onChange={(event) =>
                setGiven(event.target.checked ? [...given, id] : given.filter((other) => other !== id))
              }
            />
            {say.named(product)} <span className="text-quiet">{say('schemes.now', { schemeName })}</span>
          </label>
        ))}
      </fieldset>
      <Button
        className="mt-1 min-h-10"
        disabled={given.length === 0 || busy}
        onClick={() => void act('choose-scheme', { productIds: given, schemeId: from.schemeId })}
      >
        {say('schemes.giveItToThisProduct', { count: given.length })}
      </Button>
    </details>
  );
}

interface OlderDoughsProps {
  behind: Behind[];
  busy: boolean;
  act: (command: string, input: unknown) => Promise<void>;
}

/** Doughs that were planned by an older version of their scheme. */
function OlderDoughs({ behind, busy, act }: OlderDoughsProps) {
  const say = useWords();
  return (
    <div>
      <h3 className="font-semibold">{say('schemes.plannedByAnOlderScheme')}</h3>
      <ul className="grid gap-1">
        {behind.map((dough) => (
          <li key={dough.id} className="flex flex-wrap items-center gap-3 text-[16px]">
            {dough.refused ? (
              say.coded(dough.refused)
            ) : (
              <>
                {say('schemes.now2', {
                  name: dough.name,
                  from: say.coded(dough.from),
                  to: say.coded(dough.to),
                })}
                <Button disabled={busy} onClick={() => void act('relaminate-dough', { doughId: dough.id })}>
                  {say('schemes.letFollow', { name: dough.name })}
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
