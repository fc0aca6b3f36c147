'use client';

import { useState, type ReactNode } from 'react';
import type { ProductDraft } from '@/core/process/product-draft';
import type { ProductFault } from '@/core/process/product-faults';
import { parseMinutes, showMinutes } from '@/core/units/duration';
import type { Words } from '@/core/codes/coded';
import type { Say } from '@/words/say';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { without } from '../kit/without';
import { useWords } from '../kit/words';
import { dressingFacts, pieceFacts, riseFacts } from './facts';
import type { OpenPart } from './open-part';
import { Faults } from './thread-list';

export interface Named {
  id: number;
  name: string;
}

interface Props {
  draft: ProductDraft;
  setDraft: (draft: ProductDraft) => void;
  formulas: readonly Named[];
  schemes: readonly Named[];
  faults: readonly ProductFault[];
  mayChange: boolean;
  setOpen: (open: OpenPart) => void;
}

/** What a product is called and made of, and what its piece is like. */
export function ProductHead({ draft, setDraft, formulas, schemes, faults, mayChange, setOpen }: Props) {
  const say = useWords();
  const change = (part: Partial<ProductDraft>) => setDraft({ ...draft, ...part });
  const troubleAt = (at: string) => {
    const found = faults.find((fault) => fault.at === at);
    return found ? say.coded(found.message) : null;
  };
  const chosen = (id: string) => (id === '' ? null : Number(id));
  return (
    <>
      <h1 className="text-3xl font-bold">{draft.name || say('product.newProduct')}</h1>
      <fieldset disabled={!mayChange} className="grid gap-3 sm:grid-cols-3">
        <Field
          label={say('product.name')}
          value={draft.name}
          trouble={draft.name === '' ? null : troubleAt('name')}
          onType={(name) => change({ name })}
        />
        <Field
          label={say('product.doughName')}
          value={draft.doughName}
          hint={say('product.doughNameHint', { name: draft.doughName || draft.name || '…' })}
          trouble={draft.doughName === '' ? null : troubleAt('doughName')}
          onType={(doughName) => change({ doughName })}
        />
        <FreshFor
          minutes={draft.freshFor}
          trouble={troubleAt('freshFor')}
          onChange={(freshFor) => change({ freshFor })}
        />
        <FormulaChoice {...{ draft, formulas, setDraft }} />
        <Choice
          label={say('product.scheme')}
          value={String(draft.schemeId ?? '')}
          trouble={troubleAt('schemeId')}
          options={[
            { id: '', name: say('product.notLaminated') },
            ...schemes.map(({ id, name }) => ({ id: String(id), name: say.named(name) })),
          ]}
          onChoose={(id) => change({ schemeId: chosen(id) })}
        />
        <Choice
          label={say('product.ifLate')}
          value={String(draft.lateness ?? 1)}
          options={latenessOptions(say, draft.lateness ?? 1)}
          onChoose={(weight) =>
            setDraft({
              ...without(draft, 'lateness'),
              ...(weight === '1' ? {} : { lateness: Number(weight) }),
            })
          }
        />
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-3">
        <Card
          name={say('product.piece')}
          facts={pieceFacts(draft.piece)}
          onEdit={mayChange ? () => setOpen({ sheet: 'piece' }) : null}
        >
          <Faults faults={faults.filter(({ at }) => at === 'piece')} />
        </Card>
        <Card
          name={say('product.fillingAndTop')}
          facts={dressingFacts(draft.piece)}
          onEdit={mayChange ? () => setOpen({ sheet: 'dressing' }) : null}
        />
        <Card
          name={say('product.rises')}
          facts={riseFacts(draft.rises)}
          onEdit={mayChange ? () => setOpen({ sheet: 'rises' }) : null}
        >
          <Faults faults={faults.filter(({ at }) => at === 'rises')} />
        </Card>
      </div>
    </>
  );
}

/** What being late costs against what is usual, in steps; one that a file brought stays among them. */
function latenessOptions(say: Say, own: number): { id: string; name: string }[] {
  const usual = [
    { id: '0.25', name: say('product.lateMattersLittle') },
    { id: '1', name: say('product.lateAsUsual') },
    { id: '4', name: say('product.lateMattersMuch') },
  ];
  const isThere = usual.some(({ id }) => id === String(own));
  return isThere ? usual : [...usual, { id: String(own), name: say('product.lateTimes', { own }) }];
}

type FormulaProps = Pick<Props, 'draft' | 'formulas' | 'setDraft'>;

/** Its formula in the newest version, or in the older one that it stays with. */
function FormulaChoice({ draft, formulas, setDraft }: FormulaProps) {
  const say = useWords();
  const { formulaId, olderFormula } = draft;
  const name = formulas.find(({ id }) => id === formulaId)?.name ?? '';
  return (
    <Choice
      label={say('product.formula')}
      value={olderFormula ? OLDER : String(formulaId ?? '')}
      options={[
        ...(formulaId === null ? [{ id: '', name: say('product.choose') }] : []),
        ...(olderFormula
          ? [{ id: OLDER, name: say('product.olderFormula', { name, version: olderFormula.version }) }]
          : []),
        ...formulas.map(({ id, name }) => ({ id: String(id), name: say.named(name) })),
      ]}
      onChoose={(id) => {
        if (id !== OLDER) setDraft({ ...without(draft, 'olderFormula'), formulaId: Number(id) });
      }}
    />
  );
}
const OLDER = 'older';

interface FreshProps {
  minutes: number;
  trouble: string | null;
  onChange: (minutes: number) => void;
}

/** How long it counts as fresh. */
function FreshFor({ minutes, trouble, onChange }: FreshProps) {
  const say = useWords();
  const [typed, setTyped] = useState<{ text: string; minutes: number } | null>(null);
  const text = typed?.minutes === minutes ? typed.text : showMinutes(minutes);
  return (
    <Field
      label={say('product.freshFor')}
      value={text}
      trouble={parseMinutes(text) === null ? say('kit.enterATime') : trouble}
      onType={(now) => {
        // What cannot be read is no length of time: none that stood here before is kept in its place.
        const read = parseMinutes(now) ?? 0;
        setTyped({ text: now, minutes: read });
        onChange(read);
      }}
    />
  );
}

interface CardProps {
  name: string;
  facts: readonly Words[];
  onEdit: (() => void) | null;
  children?: ReactNode;
}

/** A part of the product in a few lines, and the way to change it. */
function Card({ name, facts, onEdit, children }: CardProps) {
  const say = useWords();
  return (
    <section aria-label={name} className="min-w-0 border-t border-edge pt-1">
      <div className="flex flex-wrap items-baseline justify-between gap-x-2">
        <h2 className="font-bold">{name}</h2>
        {onEdit && (
          <Button aria-label={say('product.editStep', { step: name })} onClick={onEdit}>
            {say('product.edit')}
          </Button>
        )}
      </div>
      {facts.map((fact, i) => (
        <p key={i} className="text-[15px]">
          {say.coded(fact)}
        </p>
      ))}
      {children}
    </section>
  );
}
