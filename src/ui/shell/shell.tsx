'use client';

import clsx from 'clsx';
import { LogOut, Moon, Sun } from 'lucide-react';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import type { Person } from '@/core/floor/board';
import { looksOn } from '@/core/floor/rights';
import { ClockProvider, type RunningClock } from '../live/clock';
import { signOut } from '../live/command';
import { go } from '../live/go';
import { Live } from '../live/live';
import type { Somebody } from '../sign-in/names';
import { HouseClock } from './house-clock';
import { LineState } from './line-state';
import { PersonSwitch } from './person-switch';
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
];

/** What is of no use to somebody who does not plan and does not judge. */
const hidden = (role: Person['role']): string[] =>
  role === 'viewer'
    ? ['/orders', '/formulas', '/lamination', '/rooms', '/workbench', '/house']
    : role === 'helper'
      ? ['/plan', '/orders', '/house']
      : [];

const isHere = (path: string, paths: readonly string[]) => paths.some((one) => path.startsWith(one));

/** The frame of every page behind the sign-in: where you are, what time it is, who you are. */
export function Shell({
  house,
  person,
  people,
  idleMinutes,
  clock,
  children,
}: {
  house: { name: string; zone: string };
  person: Person;
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
    <ClockProvider made={clock}>
      <Live personId={person.id}>
        <div className="flex min-h-dvh flex-col">
          <header className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-hairline px-3 py-1.5 print:hidden">
            <p className="text-xl font-bold max-[1100px]:sr-only">
              Hefeteig <span className="hidden text-sm font-normal text-quiet 2xl:inline">{house.name}</span>
            </p>
            <nav aria-label="Views" className="flex flex-wrap gap-0.5 xl:gap-1">
              {VIEWS.filter(({ href }) => !hidden(person.role).includes(href)).map(
                ({ href, name, paths }) => (
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
                ),
              )}
            </nav>
            <div className="ml-auto flex items-center gap-1.5 xl:gap-3">
              <LineState />
              <HouseClock zone={house.zone} />
              <PersonSwitch {...{ person, people, idleMinutes }} />
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
          <Unconfirmed person={person} />
          {looksOn(person.role) ? (
            <fieldset disabled className="contents">
              {children}
            </fieldset>
          ) : (
            children
          )}
        </div>
      </Live>
    </ClockProvider>
  );
}
