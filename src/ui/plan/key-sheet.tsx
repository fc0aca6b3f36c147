'use client';

import { Sheet } from '../kit/sheet';

const KEYS: [string, string][] = [
  ['↑ ↓', 'Pick the thread above or below'],
  ['← →', 'Half a day earlier or later'],
  ['h', 'Here and now'],
  ['a', 'Add a dough'],
  ['t', 'Take the picked dough out'],
  ['Enter', 'Open the picked dough'],
  ['?', 'This sheet'],
  ['Esc', 'Close a sheet'],
];

/** The keys of the plan. */
export function KeySheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Keys of the plan">
      <dl className="grid grid-cols-[6rem_1fr] gap-y-2 text-lg">
        {KEYS.map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="font-bold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
