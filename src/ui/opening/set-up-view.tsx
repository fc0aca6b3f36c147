'use client';

import { Check } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import type { SetUp } from '@/core/process/set-up';
import { MACHINE_WORDS } from '@/core/bakery/machine-words';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { send } from '../live/command';

interface Beginning {
  /** What is taken, and what this reader calls it. */
  name: string;
  called: string;
  /** What way of working it shows. */
  about: string;
  scheme: string | null;
  /** The house's own product of that name; null where it has none. */
  productId: number | null;
}

interface Props {
  state: SetUp;
  shelf: readonly Beginning[];
}

/** What is still missing for the first plan, step by step; each can be left and returned to. */
export function SetUpView({ state, shelf }: Props) {
  const say = useWords();
  const { machines, people, onShifts, products, doughs, lacking } = state;
  return (
    <main className="mx-auto grid w-full max-w-6xl gap-x-10 gap-y-6 p-5 lg:grid-cols-2">
      <header className="lg:col-span-2">
        <h1 className="text-3xl font-bold">{say('setup.setUp')}</h1>
        <p className="text-lg text-quiet">{say('setup.intro')}</p>
      </header>
      <ol className="grid content-start gap-5">
        <Stage
          name={say('setup.machines')}
          has={say('setup.machineCount', { count: machines })}
          isDone={machines > 0 && lacking.length === 0}
          link={{ href: '/house', name: say('setup.toMachines') }}
        >
          {machines === 0 && <p>{say('setup.machinesFirst')}</p>}
          {lacking.map(({ kind, products: of }) => (
            <p key={kind} className="text-warn">
              {say('setup.lacking', {
                kind: say.inLine(say.coded(MACHINE_WORDS[kind])),
                products: of.join(', '),
              })}
            </p>
          ))}
        </Stage>
        <Stage
          name={say('setup.people')}
          has={say('setup.peopleCount', { people, onShifts })}
          isDone={onShifts > 0}
          link={{ href: '/house', name: say('setup.toMachines') }}
        >
          {onShifts === 0 && <p>{say('setup.shiftsFirst')}</p>}
        </Stage>
        <Stage
          name={say('setup.products')}
          has={say('setup.productCount', { count: products })}
          isDone={products > 0}
          link={{ href: '/products', name: say('setup.toProducts') }}
        >
          {products === 0 && <p>{say('setup.productsFirst')}</p>}
        </Stage>
        <Stage
          name={say('setup.values')}
          has={say('setup.valuesFirst')}
          isDone
          link={{ href: '/house/values', name: say('setup.toValues') }}
        />
        <Stage
          name={say('setup.firstDough')}
          has={say('setup.doughCount', { count: doughs })}
          isDone={doughs > 0}
          link={products > 0 ? { href: '/plan', name: say('setup.toPlan') } : null}
        />
      </ol>
      <Shelf shelf={shelf} />
    </main>
  );
}

interface StageProps {
  name: string;
  has: string;
  isDone: boolean;
  link: { href: string; name: string } | null;
  children?: ReactNode;
}

/** One part of the set-up: what the bakery has of it, what it lacks, and where to go. */
function Stage({ name, has, isDone, link, children }: StageProps) {
  const say = useWords();
  return (
    <li className="grid grid-cols-[2.5rem_1fr_auto] items-start gap-x-2 border-b border-hairline pb-4">
      <span
        role="img"
        aria-label={isDone ? say('setup.done') : say('setup.toDo')}
        className="mt-1 grid size-7 place-items-center rounded-full border-2 border-ink"
      >
        {isDone && <Check aria-hidden size={18} />}
      </span>
      <div className="text-[17px]">
        <h2 className="text-xl font-bold">{name}</h2>
        <p className="text-quiet">{has}</p>
        {children}
      </div>
      {link && (
        <a
          href={link.href}
          className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4 text-[17px]"
        >
          {link.name}
        </a>
      )}
    </li>
  );
}

/** Products to begin with, each taken over with one tap. */
function Shelf({ shelf }: { shelf: readonly Beginning[] }) {
  const say = useWords();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (name: string) => {
    const answer = await send('take-beginning', { name });
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) router.refresh();
  };
  return (
    <section aria-label={say('setup.shelf')}>
      <h2 className="border-b border-edge pb-1 text-xl font-bold">{say('setup.shelf')}</h2>
      {trouble && (
        <p role="alert" className="py-2 text-warn">
          {trouble}
        </p>
      )}
      <ul>
        {shelf.map(({ name, called, about, scheme, productId }) => (
          <li key={name} className="flex items-center gap-3 border-b border-hairline py-1.5">
            <div className="mr-auto">
              <p className="text-[17px] font-semibold">{called}</p>
              <p className="text-[15px] text-quiet">
                {say('setup.shelfOf', {
                  about,
                  scheme: scheme === null ? say('setup.notLaminated') : say.named(scheme),
                })}
              </p>
            </div>
            {productId !== null ? (
              <a
                href={`/products/${productId}`}
                className="grid min-h-9 place-items-center px-3 underline underline-offset-4"
              >
                {say('setup.taken')}
              </a>
            ) : (
              <Button className="flex-none" onClick={() => void take(name)}>
                {say('setup.take')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
