'use client';

import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { advise, type FormulaRanges } from '@/core/formula/advice';
import { analyse, hasLeaven } from '@/core/formula/analysis';
import { type Draft, readDraft, type ReadDraft, unreadNames } from '@/core/formula/draft';
import type { Ingredient, IngredientBook } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { FollowSheet } from './follow-sheet';
import { FormulaFoot } from './formula-foot';
import { FormulaHead } from './formula-head';
import { ReadIn } from './read-in';
import { addStage } from './rows';
import { ScalePanel } from './scale-panel';
import { cellId } from './cells';
import { StageTable } from './stage-table';
import { Totals } from './totals';
import { type EditedVersion, useDraft } from './use-draft';
import { useKeeping } from './use-keeping';

interface Props {
  /** What is edited; null for a new formula. */
  version: EditedVersion | null;
  ingredients: Ingredient[];
  formulas: NamedFormula[];
  ranges: FormulaRanges;
  bowlGrams: number;
  mayChange: boolean;
}

/** A formula as a baker writes it, with what it comes to beside it. What was typed and not saved is there on return. */
export function FormulaEditor({ version, ingredients, formulas, ranges, bowlGrams, mayChange }: Props) {
  const say = useWords();
  const [units, setUnits] = useUnits();
  const book = useMemo(
    // A formula is no ingredient of itself.
    () =>
      bookWithFormulas(
        ingredients,
        formulas.filter(({ id }) => id !== version?.formulaId),
      ),
    [ingredients, formulas, version],
  );
  const inHand = useDraft(version, book, mayChange);
  const { draft } = inHand;
  const kitchen = inHand.kitchen ?? units.kitchen;
  const read = useMemo(
    () => readDraft(draft, { book, kitchen, language: say.language }),
    [draft, book, kitchen, say],
  );
  const [reading, setReading] = useState(false);
  const form = useRef<HTMLDivElement>(null);
  const moveTo = (cell: string) => {
    const input = form.current?.querySelector<HTMLInputElement>(`#${cell}`);
    input?.focus();
    input?.select();
  };
  const keeping = useKeeping(version, inHand, kitchen, moveTo);
  const { trouble, kept, busy, keep, forget } = keeping;
  const change = (next: Draft) => {
    flushSync(() => {
      inHand.setDraft(next);
      forget();
    });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const isKeep = (event.ctrlKey || event.metaKey) && (event.key === 's' || event.key === 'Enter');
    if (!isKeep || !mayChange) return;
    event.preventDefault();
    keep();
  };
  return (
    <div
      ref={form}
      className="grid flex-1 content-start gap-px bg-hairline lg:grid-cols-[1fr_22rem]"
      onKeyDown={onKeyDown}
    >
      <section aria-label={say('formulas.formula')} className="min-w-0 overflow-x-auto bg-flour p-5">
        <h1 className="sr-only">{version ? version.name : say('formulas.newFormula')}</h1>
        {inHand.restored && <Restored onDiscard={inHand.discard} />}
        <FormulaHead
          {...{ inHand, read, kitchen, mayChange }}
          isNew={version === null}
          nameTrouble={trouble?.field === 'name' ? trouble.message : null}
          onChange={change}
          onKitchen={(chosen) => {
            inHand.setKitchen(chosen);
            setUnits({ kitchen: chosen });
          }}
          onMove={moveTo}
        />
        <Stages {...{ draft, read, book, units, mayChange }} onChange={change} onMove={moveTo} />
        {trouble && trouble.field !== 'name' && (
          <p role="alert" className="mb-3 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble.message}
          </p>
        )}
        {kept && <p role="status">{kept}</p>}
        {mayChange && (
          <FormulaFoot
            next={version ? version.version + 1 : 1}
            note={inHand.note}
            onNote={inHand.setNote}
            busy={busy}
            onStage={(kind) => {
              change(addStage(draft, draft.stages.length - 1, kind));
              moveTo(cellId(draft.stages.length, 0, 'name'));
            }}
            onReadIn={() => setReading(true)}
            onKeep={keep}
          />
        )}
        <p className="mt-3 text-[15px] text-quiet">
          {say.rich('formulas.enter54ForBakerS', { b: (words) => <b>{words}</b> })}
        </p>
      </section>
      <ComesTo {...{ draft, read, book, ranges, bowlGrams }} />
      {keeping.asked.length > 0 && (
        <FollowSheet products={keeping.asked} onKeep={keeping.keepFor} onClose={keeping.cancel} />
      )}
      <ReadIn
        open={reading}
        onOpenChange={setReading}
        {...{ book, kitchen }}
        onTake={(taken) => {
          change(taken.draft);
          if (taken.name && !version) inHand.setName(taken.name);
        }}
      />
    </div>
  );
}

/** Says that what was typed and not kept is there again. */
function Restored({ onDiscard }: { onDiscard: () => void }) {
  const say = useWords();
  return (
    <p role="status" className="mb-3 flex items-center gap-4 border-l-4 border-butter pl-3 text-lg">
      {say('formulas.yourUnsavedChangesAreHere')}
      <Button onClick={onDiscard}>{say('formulas.discardThem')}</Button>
    </p>
  );
}

/** The lines by stage, and what is wrong with them as a whole. */
function Stages({ draft, read, book, ...props }: Omit<Parameters<typeof StageTable>[0], 'stage'>) {
  const say = useWords();
  const general = read.faults.filter(({ row, field }) => row === null && field === 'amount');
  return (
    <>
      <datalist id="ingredient-names">
        {book.all.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      <div className="min-w-[44rem]">
        {draft.stages.map((_, stage) => (
          <StageTable key={stage} {...{ draft, read, stage, book }} {...props} />
        ))}
      </div>
      {general.map(({ message }) => (
        <p key={say.coded(message)} role="alert" className="mb-3 text-warn">
          {say.coded(message)}
        </p>
      ))}
    </>
  );
}

interface Weighed extends Pick<Props, 'ranges' | 'bowlGrams'> {
  draft: Draft;
  read: ReadDraft;
  book: IngredientBook;
}

/** What the formula comes to, what is unusual of it, and what it weighs for so much. */
function ComesTo({ draft, read, book, ranges, bowlGrams }: Weighed) {
  const say = useWords();
  const analysis = useMemo(() => analyse(read.formula, book), [read, book]);
  // Of lines that are not read nothing is known: neither what they contain, nor that something is low.
  const unread = unreadNames(draft, read);
  const osmotolerant = read.formula.stages.some(({ lines }) =>
    lines.some(({ ingredient }) => ingredient === 'osmotolerant-yeast'),
  );
  const levain = hasLeaven(read.formula, book);
  const advice = unread.length > 0 ? [] : advise(analysis, ranges, { osmotolerant, levain });
  return (
    <aside aria-label={say('formulas.whatItComesTo')} className="bg-ground p-5">
      <Totals analysis={analysis} advice={advice} unread={unread} />
      <ScalePanel formula={read.formula} book={book} bowlGrams={bowlGrams} />
    </aside>
  );
}
