'use client';

import clsx from 'clsx';
import { LogOut, Moon, Sun } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { Suspense, type ReactNode } from 'react';
import type { Person } from '@/core/bakery/people';
import { looksOn, maySee } from '@/core/shopfloor/rights';
import { Awake } from '../live/awake';
import { ClockProvider, type RunningClock } from '../live/clock';
import { signOut } from '../live/command';
import { go } from '../live/go';
import { Live } from '../live/live';
import type { Somebody } from '../sign-in/names';
import { HouseClock } from './house-clock';
import { LineState } from './line-state';
import { Who } from '../live/who';
import { PersonSwitch } from './person-switch';
import { RefusedList } from './refused-list';
import { Unconfirmed } from './unconfirmed';
import { useTheme } from './theme';

const VIEWS = [
  { href: '/plan', name: 'Plan', paths: ['/plan'] },
  { href: '/orders', name: 'Orders', paths: ['/orders'] },
  { href: '/bench', name: 'Bench', paths: ['/bench', '/proof', '/oven', '/handover', '/batch'] },
  { href: '/formulas', name: 'Formulas', paths: ['/formulas'] },
  { href: '/lamination', name: 'Lamination', paths: ['/lamination', '/cutting', '/fillings'] },
  { href: '/rooms', name: 'Rooms', paths: ['/rooms'] },
  { href: '/workbench', name: 'Workbench', paths: ['/workbench'] },
  { href: '/house', name: 'House', paths: ['/house'] },
] as const;

const isHere = (path: string, paths: readonly string[]) => paths.some((one) => path.startsWith(one));

/** The frame of every page behind the sign-in: where you are, what time it is, who you are. */
export function Shell({
  house,
  person,
  sessionId,
  cursor,
  people,
  idleMinutes,
  clock,
  children,
}: {
  house: { name: string; zone: string };
  person: Person;
  sessionId: number;
  /** How far the house was when this page was made. */
  cursor: number;
  people: readonly Somebody[];
  idleMinutes: number;
  clock: RunningClock;
  children: ReactNode;
}) {
  const path = usePathname();
  const { night, toggle } = useTheme();
  const leave = async () => {
    await signOut();
    go('/sign-in');
  };
  return (
    <Who value={person}>
      <ClockProvider made={clock}>
        <Live personId={person.id} cursor={cursor}>
          {/* The service worker keeps the page for this person alone. */}
          <div className="flex min-h-dvh flex-col" data-person={person.id}>
            <header className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-hairline px-3 py-1.5 print:hidden">
              <p className="text-xl font-bold max-[1100px]:sr-only">
                Hefeteig{' '}
                <span className="hidden text-sm font-normal text-quiet 2xl:inline">{house.name}</span>
              </p>
              <nav aria-label="Views" className="flex flex-wrap gap-0.5 xl:gap-1">
                {VIEWS.filter(({ href }) => maySee(person, href)).map(({ href, name, paths }) => (
                  <a
                    key={href}
                    href={href}
                    aria-current={isHere(path, paths) ? 'page' : undefined}
                    className={clsx(
                      'grid min-h-11 place-items-center rounded px-1.5 text-[16px] min-[1100px]:px-2 min-[1100px]:text-[17px] 2xl:px-3 2xl:text-lg',
                      isHere(path, paths) ? 'bg-ink font-semibold text-ground' : 'text-ink',
                    )}
                  >
                    {name}
                  </a>
                ))}
              </nav>
              <div className="ml-auto flex items-center gap-1.5 xl:gap-3">
                <LineState />
                <HouseClock zone={house.zone} />
                <PersonSwitch {...{ person, people, idleMinutes }} zone={house.zone} />
                <button
                  className="grid size-11 place-items-center rounded"
                  onClick={toggle}
                  aria-label={night ? 'Day theme' : 'Night theme'}
                >
                  {night ? <Sun aria-hidden size={20} /> : <Moon aria-hidden size={20} />}
                </button>
                <button
                  className="grid size-11 place-items-center rounded"
                  onClick={leave}
                  aria-label="Sign out"
                >
                  <LogOut aria-hidden size={20} />
                </button>
              </div>
            </header>
            <Unconfirmed {...{ person, sessionId }} zone={house.zone} />
            <RefusedList people={people} zone={house.zone} />
            <Suspense fallback={<p className="p-10 text-lg text-quiet">Laying out the work …</p>}>
              {looksOn(person.role) ? (
                <fieldset disabled className="contents">
                  {children}
                </fieldset>
              ) : (
                children
              )}
              <Awake />
            </Suspense>
          </div>
        </Live>
      </ClockProvider>
    </Who>
  );
}
