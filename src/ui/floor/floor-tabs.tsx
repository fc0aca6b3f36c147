'use client';

import clsx from 'clsx';
import { usePathname } from 'next/navigation';
import { useContext } from 'react';
import { maySee, type Page } from '@/core/shopfloor/rights';
import { Who } from '../live/who';

const TABS: readonly { href: Page; name: string }[] = [
  { href: '/bench', name: 'Bench' },
  { href: '/proof', name: 'Proof watch' },
  { href: '/oven', name: 'Oven' },
  { href: '/handover', name: 'Handover' },
  { href: '/batches', name: 'Batches' },
];

/** The five screens of the floor, one knuckle away from each other. */
export function FloorTabs() {
  const path = usePathname();
  const who = useContext(Who);
  return (
    <nav aria-label="Floor" className="grid grid-cols-2 gap-px bg-hairline sm:grid-cols-5 print:hidden">
      {TABS.filter(({ href }) => !who || maySee(who, href)).map(({ href, name }) => {
        const here = path.startsWith(href) || (href === '/batches' && path.startsWith('/batch/'));
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
    </nav>
  );
}
