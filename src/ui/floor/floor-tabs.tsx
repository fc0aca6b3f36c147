'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import clsx from 'clsx';
import { TriangleAlert } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { useContext } from 'react';
import { mayDo, maySee, type Page } from '@/core/shopfloor/rights';
import { guided } from '../first-steps/guided';
import { Who } from '../live/who';

const tabsWords = (say: Say): readonly { href: Page; name: string }[] => [
  { href: '/bench', name: say('floor.bench') },
  { href: '/proof', name: say('floor.proofWatch') },
  { href: '/oven', name: say('floor.oven') },
  { href: '/handover', name: say('floor.handover') },
  { href: '/batches', name: say('floor.batches') },
];

/** The five screens of the floor, one knuckle away from each other, and how to report that something is wrong. */
export function FloorTabs({ onTrouble }: { onTrouble?: () => void }) {
  const say = useWords();
  const path = usePathname();
  const who = useContext(Who);
  return (
    <nav
      aria-label={say('floor.floor')}
      {...guided('floor-tabs')}
      className="grid grid-cols-2 gap-px bg-hairline sm:grid-cols-6 print:hidden"
    >
      {tabsWords(say)
        .filter(({ href }) => !who || maySee(who, href))
        .map(({ href, name }) => {
          const here =
            path.startsWith(href) ||
            (href === '/batches' &&
              ['/batch/', '/trends', '/practice'].some((start) => path.startsWith(start)));
          return (
            <a
              key={href}
              href={href}
              aria-current={here ? 'page' : undefined}
              className={clsx(
                'grid min-h-14 place-items-center text-xl',
                here ? 'bg-flour font-bold underline decoration-4 underline-offset-8' : 'bg-ground',
              )}
            >
              {name}
            </a>
          );
        })}
      {onTrouble && (!who || mayDo(who, 'report-trouble')) && (
        <button
          {...guided('floor-trouble')}
          className="flex min-h-14 items-center justify-center gap-2 bg-ground text-xl text-warn"
          onClick={onTrouble}
        >
          <TriangleAlert aria-hidden size={20} />
          {say('floor.trouble')}
        </button>
      )}
    </nav>
  );
}
