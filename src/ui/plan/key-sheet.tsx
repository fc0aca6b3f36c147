'use client';

import { Sheet } from '../kit/sheet';

const KEYS: [string, string][] = [
  ['↑ ↓', 'Pick the thread above or below'],
  ['← →', 'Earlier or later'],
  ['+ −', 'Closer, to one hour, or wider, to a fortnight'],
  ['h', 'Here and now'],
  ['g', 'Rows by dough, by station, by person'],
  ['f', 'Take the plan along as a file'],
  ['a', 'Add a dough'],
  ['t', 'Take the picked dough out'],
  ['m', 'Take its next step, or the one looked at, in the hand: ← → move it, Enter keeps, Esc drops'],
  ['w', 'Take the whole thread in the hand'],
  ['b', 'Look for a better plan'],
  ['u', 'Undo the last planning act'],
  ['r', 'Do it again'],
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
