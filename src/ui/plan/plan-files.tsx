'use client';

import { Sheet } from '../kit/sheet';

const FILES = [
  { as: 'calendar', name: 'Calendar', what: 'Hands-on work, for any calendar program (.ics)' },
  { as: 'csv', name: 'Table', what: 'Every step with its times and what it holds (.csv)' },
  {
    as: 'problem',
    name: 'Plan problem',
    what: 'What is still open, with its rules (hefeteig-plan-problem/1)',
  },
];

/** The plan to take along as a file. */
export function PlanFiles({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Take the plan along">
      <ul className="grid gap-3">
        {FILES.map(({ as, name, what }) => (
          <li key={as}>
            <a
              href={`/api/plan?as=${as}`}
              download
              className="block rounded border border-edge bg-flour px-4 py-3 text-lg"
            >
              <span className="font-semibold">{name}</span>
              <span className="block text-[15px] text-quiet">{what}</span>
            </a>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
