'use client';

import { type OwnKind, OWN_KINDS } from '@/core/process/new-step';
import { BRANCH_KINDS, type BranchKind } from '@/core/process/route';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { BRANCH_NAMES, KIND_NAMES } from '@/core/process/step-words';

interface Props {
  title: string;
  onChoose: (kind: OwnKind) => void;
  onClose: () => void;
}

/** Which kind of step to add. */
export function KindSheet({ title, onChoose, onClose }: Props) {
  const say = useWords();
  return (
    <Sheet open onOpenChange={onClose} title={title}>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        {OWN_KINDS.map((kind) => (
          <Button key={kind} className="min-h-11" onClick={() => onChoose(kind)}>
            {say.coded(KIND_NAMES[kind])}
          </Button>
        ))}
      </div>
    </Sheet>
  );
}

export type OwnBranch = Exclude<BranchKind, 'butter'>;
const OWN_BRANCHES = BRANCH_KINDS.filter((kind): kind is OwnBranch => kind !== 'butter');

/** What to make beside the dough. */
export function BranchSheet({
  title,
  onChoose,
  onClose,
}: Omit<Props, 'onChoose'> & { onChoose: (kind: OwnBranch) => void }) {
  const say = useWords();
  return (
    <Sheet open onOpenChange={onClose} title={title}>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {OWN_BRANCHES.map((kind) => (
          <Button key={kind} className="min-h-11" onClick={() => onChoose(kind)}>
            {say.coded(BRANCH_NAMES[kind])}
          </Button>
        ))}
      </div>
    </Sheet>
  );
}
