'use client';

import { useMemo, useState } from 'react';
import type { ProductDraft } from '@/core/process/product-draft';
import {
  faultByName,
  type MakingBakery,
  type ProductFault,
  productFaults,
} from '@/core/process/product-faults';
import { addBranch, addStep, AT_ONCE, changeStep } from '@/core/process/threads';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { go } from '../live/go';
import { DressingSheet } from './dressing-sheet';
import { ProductHead, type Named } from './product-head';
import { BranchSheet, KindSheet } from './kind-sheet';
import { newBranch, newStep } from '@/core/process/named-step';
import type { OpenPart, RoutePart } from './open-part';
import { PieceSheet } from './piece-sheet';
import { ProofChoice } from './proof-choice';
import { RisesSheet } from './rises-sheet';
import { StepSheet } from './step-sheet';
import { ThreadList } from './thread-list';
import { TrialPanel } from './trial-panel';
import { useProductDraft } from './use-product-draft';

interface Props {
  /** The version that is edited; null for a new product. */
  kept: { productId: number; versionId: number; version: number } | null;
  saved: ProductDraft;
  /** The product that a new one is begun like. */
  like?: number | null;
  formulas: readonly Named[];
  schemes: readonly Named[];
  bakery: MakingBakery;
  mayChange: boolean;
  zone: string;
  now: number;
}

/** A product: its dough, its piece and its route, edited as what they are, with how it fits this bakery beside. */
export function ProductEditor({
  kept,
  saved,
  like = null,
  formulas,
  schemes,
  bakery,
  mayChange,
  zone,
  now,
}: Props) {
  const say = useWords();
  const name = kept ? String(kept.productId) : like === null ? 'new' : `like-${like}`;
  const edited = useProductDraft(saved, { name, from: kept?.versionId ?? null }, mayChange);
  const { draft, setDraft } = edited;
  const [open, setOpen] = useState<OpenPart>(null);
  const faults = useMemo(() => productFaults(draft, bakery), [draft, bakery]);
  const scheme = schemes.find(({ id }) => id === draft.schemeId)?.name ?? '';
  const list = (part: RoutePart, label: string) => (
    <ThreadList
      {...{ label, part, faults, scheme, mayChange, threads: draft[part] }}
      onChange={(threads) => setDraft({ ...draft, [part]: threads })}
      onEdit={(at) => setOpen({ sheet: 'step', part, at })}
      onAdd={(after) => setOpen({ sheet: 'add', part, after })}
      onBranch={(joins) => setOpen({ sheet: 'branch', part, joins })}
    />
  );
  return (
    <main className="mx-auto grid w-full max-w-7xl grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 p-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-5">
        <ProductHead {...{ draft, setDraft, formulas, schemes, faults, mayChange, setOpen }} />
        {list('dough', say('product.theDough'))}
        {mayChange && <ProofChoice draft={draft} onChange={(part) => setDraft({ ...draft, ...part })} />}
        {list('output', say('product.thePieces'))}
        {mayChange && <Keeping {...{ kept, edited, faults }} />}
        {kept && (
          <a
            href={`/api/products/${kept.productId}`}
            download
            className="justify-self-start underline underline-offset-4"
          >
            {say('product.exportJson')}
          </a>
        )}
      </div>
      <TrialPanel {...{ draft, faults, zone, now }} isStaffed={bakery.isStaffed} mayTry={mayChange} />
      <OpenSheet {...{ open, draft, formulas, setDraft, setOpen }} machines={bakery.machines} />
    </main>
  );
}

interface OpenProps {
  open: OpenPart;
  draft: ProductDraft;
  formulas: readonly Named[];
  machines: MakingBakery['machines'];
  setDraft: (draft: ProductDraft) => void;
  setOpen: (open: OpenPart) => void;
}

/** The sheet that is open, if one is. */
function OpenSheet({ open, draft, formulas, machines, setDraft, setOpen }: OpenProps) {
  const say = useWords();
  const onClose = () => setOpen(null);
  const keep = (part: Partial<ProductDraft>) => {
    setDraft({ ...draft, ...part });
    onClose();
  };
  if (!open) return null;
  const all = [...draft.dough, ...draft.output];
  switch (open.sheet) {
    case 'piece':
      return (
        <PieceSheet {...{ machines, onClose }} piece={draft.piece} onKeep={(piece) => keep({ piece })} />
      );
    case 'dressing':
      return (
        <DressingSheet {...{ formulas, onClose }} piece={draft.piece} onKeep={(piece) => keep({ piece })} />
      );
    case 'rises':
      return <RisesSheet rises={draft.rises} onKeep={(rises) => keep({ rises })} onClose={onClose} />;
    case 'step': {
      const { part, at } = open;
      const { id } = at.step;
      // The first step of the pieces follows the last of the dough.
      const isFork = part === 'output' && draft.output[0]?.steps[0]?.step.id === id;
      const isFirst = !isFork && draft[part].some(({ steps }) => steps[0]?.step.id === id);
      return (
        <StepSheet
          at={isFork ? { ...at, gap: draft.fork } : at}
          {...{ isFirst, machines, onClose }}
          onKeep={(step) =>
            keep({ [part]: changeStep(draft[part], step), ...(isFork ? { fork: step.gap } : {}) })
          }
        />
      );
    }
    case 'add': {
      const { part, after } = open;
      const add = (kind: Parameters<typeof newStep>[0]) => {
        const step = newStep(kind, all, say.coded);
        setDraft({ ...draft, [part]: addStep(draft[part], after, step) });
        setOpen({ sheet: 'step', part, at: { step, gap: AT_ONCE } });
      };
      return <KindSheet title={say('product.newStep')} onChoose={add} onClose={onClose} />;
    }
    case 'branch': {
      const { part, joins } = open;
      return (
        <BranchSheet
          title={say('product.addBranch')}
          onChoose={(kind) =>
            keep({ [part]: addBranch(draft[part], joins, newBranch(kind, all, say.coded)) })
          }
          onClose={onClose}
        />
      );
    }
  }
}

interface KeepingProps {
  kept: Props['kept'];
  edited: ReturnType<typeof useProductDraft>;
  faults: readonly ProductFault[];
}

/** Keeps the product as a version, or lets go of what was edited. */
function Keeping({ kept, edited, faults }: KeepingProps) {
  const say = useWords();
  const { draft, isChanged, restored, discard, forget } = edited;
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const keep = async () => {
    setBusy(true);
    const answer = await send('save-product', {
      ...{ productId: kept?.productId ?? null, from: kept?.versionId ?? null, draft },
    });
    setBusy(false);
    if (!answer.ok) return setTrouble(answer.message);
    forget();
    go('/products');
  };
  const [first] = faults.filter(({ isLack }) => !isLack);
  return (
    <div className="grid gap-2">
      {restored && (
        <p role="status">{say(restored === 'this' ? 'product.restored' : 'product.restoredOlder')}</p>
      )}
      {(trouble ?? first) && (
        <p role="alert" className="text-warn">
          {trouble ?? (first && say.coded(faultByName(first)))}
        </p>
      )}
      <div className="flex gap-2">
        <Button
          look="act"
          className="min-h-11"
          disabled={isBusy || first !== undefined || !(isChanged || kept === null)}
          onClick={() => void keep()}
        >
          {kept ? say('product.keepVersion', { version: kept.version + 1 }) : say('product.keep')}
        </Button>
        {isChanged && (
          <Button className="min-h-11" onClick={discard}>
            {say('product.discard')}
          </Button>
        )}
      </div>
    </div>
  );
}
