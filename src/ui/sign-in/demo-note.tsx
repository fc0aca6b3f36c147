'use client';

import { useWords } from '../kit/words';
import type { Somebody } from './names';

/** PINs of a demo's people, by their number. */
export type DemoPins = Readonly<Record<number, string>>;

/** Says that this bakery is made up, and what a visitor can try first. */
export function DemoNote({ people, pins }: { people: readonly Somebody[]; pins: DemoPins }) {
  const say = useWords();
  const first = (role: Somebody['role']) => {
    const named = people.filter((one) => one.role === role && pins[one.id] !== undefined);
    const found = named.find(({ here }) => here) ?? named[0];
    return found && { name: found.name, pin: pins[found.id] ?? '' };
  };
  const [planner, baker] = [first('planner'), first('baker')];
  return (
    <section aria-label={say('signIn.demo')} className="self-center border-l-4 border-butter pl-4">
      <h2 className="text-2xl font-semibold">{say('signIn.demo')}</h2>
      <p className="mt-1 text-lg text-quiet">{say('signIn.demoIsMadeUp')}</p>
      <ol className="mt-3 grid list-decimal gap-2 pl-6 text-lg">
        {planner && <li>{say('signIn.demoPlan', planner)}</li>}
        {baker && <li>{say('signIn.demoBench', baker)}</li>}
        <li>{say('signIn.demoClock')}</li>
      </ol>
    </section>
  );
}
