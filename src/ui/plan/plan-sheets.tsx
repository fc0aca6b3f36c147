'use client';

import type { Person } from '@/core/bakery/people';
import type { Plannable } from './use-adding';
import type { DoughRecord } from '@/core/record/dough';
import type { Proposal } from '@/core/schedule/proposal';
import type { Board } from '@/core/wire/board';
import { AddDough } from './add-dough';
import { KeySheet } from './key-sheet';
import { MendSheet } from './mend-sheet';
import { PlanFiles } from './plan-files';
import { WaysSheet } from './ways-sheet';

/** A sheet that lies over the plan. */
export type PlanSheet = 'add' | 'keys' | 'files' | 'ways';

interface Props {
  board: Board;
  basis: number;
  mayRepair: boolean;
  products: Plannable[];
  person: Person;
  now: number;
  open: PlanSheet | null;
  onOpen: (sheet: PlanSheet | null) => void;
  /** The dough that ways out are looked for. */
  facts: DoughRecord | undefined;
  /** The proposal that is looked at. */
  looked: Proposal | null;
  onLooked: () => void;
  onAdded: (doughId: number) => void;
  /** The plan may be another now. */
  onChanged: () => void;
}

/** What can lie over the plan: a dough to add, the keys, files, a proposal, ways out. */
export function PlanSheets({
  board,
  basis,
  mayRepair,
  products,
  person,
  now,
  open,
  onOpen,
  facts,
  ...props
}: Props) {
  const { looked, onLooked, onAdded, onChanged } = props;
  const { zone } = board.house;
  const is = (sheet: PlanSheet) => ({
    open: open === sheet,
    onOpenChange: (to: boolean) => onOpen(to ? sheet : null),
  });
  return (
    <>
      <AddDough {...is('add')} onAdded={onAdded} {...{ products, zone, now }} />
      <KeySheet {...is('keys')} />
      <PlanFiles {...is('files')} person={person} people={board.people} />
      <MendSheet
        proposal={looked}
        zone={zone}
        machines={board.machines}
        mayAccept={person.role === 'planner' || (mayRepair && looked?.kind === 'mend')}
        onClose={() => {
          onLooked();
          onChanged();
        }}
      />
      {facts && (
        <WaysSheet
          open={open === 'ways'}
          dough={facts}
          pinned={board.doughs.some(({ steps }) => steps.some((step) => step.pinned))}
          {...{ basis, zone, machines: board.machines }}
          onClose={() => {
            onOpen(null);
            onChanged();
          }}
        />
      )}
    </>
  );
}
