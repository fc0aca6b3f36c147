'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import clsx from 'clsx';
import { LogOut, Moon, Sun } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { type ReactNode, Suspense, useEffect, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { ReaderUnits } from '@/core/units/reader';
import { looksOn, maySee, type Page } from '@/core/shopfloor/rights';
import { guided } from '../first-steps/guided';
import { Awake } from '../live/awake';
import { ClockProvider, type RunningClock } from '../live/clock';
import { backToSignIn, signOut } from '../live/command';
import { Live } from '../live/live';
import { keepHouseUnits } from '../live/units';
import type { Somebody } from '../sign-in/names';
import { Finder } from './finder';
import { HouseClock } from './house-clock';
import { LineState } from './line-state';
import { Who } from '../live/who';
import { PersonSwitch } from './person-switch';
import { RefusedList } from './refused-list';
import { Unconfirmed } from './unconfirmed';
import { useTheme } from './theme';

const views = (say: Say) =>
  [
    { href: '/plan', name: say('shell.plan'), paths: ['/plan'] },
    { href: '/orders', name: say('shell.orders'), paths: ['/orders'] },
    {
      href: '/bench',
      name: say('shell.bench'),
      paths: ['/bench', '/proof', '/oven', '/handover', '/batch', '/trends', '/practice'],
    },
    { href: '/formulas', name: say('shell.formulas'), paths: ['/formulas'] },
    { href: '/products', name: say('shell.products'), paths: ['/products'] },
    { href: '/lamination', name: say('shell.lamination'), paths: ['/lamination', '/cutting', '/fillings'] },
    { href: '/rooms', name: say('shell.rooms'), paths: ['/rooms'] },
    { href: '/workbench', name: say('shell.workbench'), paths: ['/workbench'] },
    { href: '/house', name: say('shell.house'), paths: ['/house', '/setup'] },
  ] as const;

const isHere = (path: string, paths: readonly string[]) => paths.some((one) => path.startsWith(one));

/** The views that somebody may see. */
function Views({ person, isOpen }: { person: Person; isOpen: boolean }) {
  const say = useWords();
  const path = usePathname();
  return (
    <nav
      aria-label={say('shell.views')}
      className={clsx(
        // Where the head is one row it stays one, whatever is said of the line: nothing under a finger moves.
        'flex flex-wrap gap-0.5 lg:min-w-0 lg:flex-nowrap lg:overflow-x-auto xl:gap-1',
        isOpen ? 'max-sm:order-last' : 'max-sm:hidden',
      )}
    >
      {views(say)
        .filter(({ href }) => maySee(person, href))
        .map(({ href, name, paths }) => (
          <a
            key={href}
            href={href}
            {...(href === '/orders' ? guided('nav-orders') : {})}
            aria-current={isHere(path, paths) ? 'page' : undefined}
            className={clsx(
              'grid min-h-11 place-items-center rounded px-1.5 text-[16px] max-[1100px]:px-1 max-[1100px]:text-[15px] min-[1400px]:px-2 min-[1400px]:text-[17px] 2xl:px-3 2xl:text-lg',
              isHere(path, paths) ? 'bg-ink font-semibold text-ground' : 'text-ink',
            )}
          >
            {name}
          </a>
        ))}
    </nav>
  );
}

const WALL: Page = '/wall';

/** The head of a page: where one can go, whether the line is up, what time it is, who is signed in. */
function ShellHead({
  house,
  person,
  people,
  idleMinutes,
  night,
  onTheme,
}: {
  house: { name: string; zone: string };
  person: Person;
  people: readonly Somebody[];
  idleMinutes: number;
  night: boolean;
  onTheme: () => void;
}) {
  const say = useWords();
  // On a phone the views are behind a button: the work comes first.
  const [isOpen, setOpen] = useState(false);
  const leave = async () => {
    await signOut();
    backToSignIn();
  };
  return (
    <header className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-hairline px-3 py-1.5 lg:flex-nowrap print:hidden">
      <p className="text-xl font-bold max-[1100px]:sr-only">
        {say.rich('shell.hefeteig', {
          span: (words) => <span className="hidden text-sm font-normal text-quiet 2xl:inline">{words}</span>,
          name: house.name,
        })}
      </p>
      <Views person={person} isOpen={isOpen} />
      <button
        className="min-h-11 rounded border border-edge px-3 sm:hidden"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {say('shell.menu')}
      </button>
      <div className="ml-auto flex items-center gap-1.5 xl:gap-3">
        <LineState />
        <HouseClock zone={house.zone} />
        <PersonSwitch {...{ person, people, idleMinutes }} zone={house.zone} />
      </div>
      {/* On a phone they are behind the same button as the views: one row is enough for what is always wanted. */}
      <div className={clsx('flex items-center', isOpen ? 'max-sm:order-last' : 'max-sm:hidden')}>
        {!looksOn(person.role) && <Finder />}
        <button
          className="grid size-11 place-items-center rounded"
          onClick={onTheme}
          aria-label={night ? say('shell.dayTheme') : say('shell.nightTheme')}
        >
          {night ? <Sun aria-hidden size={20} /> : <Moon aria-hidden size={20} />}
        </button>
        <button
          className="grid size-11 place-items-center rounded"
          onClick={leave}
          aria-label={say('shell.signOut')}
        >
          <LogOut aria-hidden size={20} />
        </button>
      </div>
    </header>
  );
}

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
  house: { name: string; zone: string; units?: ReaderUnits };
  person: Person;
  sessionId: number;
  /** How far the house was when this page was made. */
  cursor: number;
  people: readonly Somebody[];
  idleMinutes: number;
  clock: RunningClock;
  children: ReactNode;
}) {
  const { units } = house;
  const say = useWords();
  useEffect(() => {
    if (units) keepHouseUnits(units);
  }, [units]);
  const { night, toggle } = useTheme();
  // A screen on the wall has room for what is read from afar, and nothing to tap.
  const isOnWall = usePathname() === WALL;
  return (
    <Who value={person}>
      <ClockProvider made={clock}>
        {/* One page is one session's: what one has begun to write is never kept under the name of the next. */}
        <Live key={sessionId} personId={person.id} cursor={cursor}>
          {/* The service worker keeps the page for this person alone. */}
          <div className="flex min-h-dvh flex-col" data-person={person.id}>
            {!isOnWall && <ShellHead {...{ house, person, people, idleMinutes, night }} onTheme={toggle} />}
            <Unconfirmed {...{ person, sessionId }} zone={house.zone} />
            <RefusedList people={people} zone={house.zone} />
            <Suspense fallback={<p className="p-10 text-lg text-quiet">{say('common.layingOutTheWork')}</p>}>
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
