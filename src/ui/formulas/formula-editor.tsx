'use client';

import { useWords } from '../kit/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { advise, type FormulaRanges } from '@/core/formula/advice';
import { analyse, hasLeaven } from '@/core/formula/analysis';
import { draftOf, readDraft, unreadNames, type Draft } from '@/core/formula/draft';
import { STAGE_KINDS, type Formula, type StageKind } from '@/core/formula/formula';
import type { Ingredient } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import { KITCHENS, type Kitchen } from '@/core/units/measures';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { send } from '../live/command';
import { go } from '../live/go';
import { useUnits } from '../live/units';
import { ReadIn } from './read-in';
import { addStage, newDraft } from './rows';
import { ScalePanel } from './scale-panel';
import { cellId, StageTable } from './stage-table';
import { Totals } from './totals';
import { keepUnsaved, readUnsaved } from './unsaved';

interface Props {
  /** What is edited; null for a new formula. */
  version: { id: number; formulaId: number; name: string; version: number; formula: Formula } | null;
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
  const saved = useMemo(
    () => (version ? draftOf(version.formula, book) : newDraft(say)),
    [version, book, say],
  );
  const [draft, setDraft] = useState<Draft>(saved);
  const [name, setName] = useState(version?.name ?? '');
  const [note, setNote] = useState('');
  const [restored, setRestored] = useState(false);
  const [client, setClient] = useState(() => crypto.randomUUID());
  const [trouble, setTrouble] = useState<{ message: string; field: string | null } | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const [reading, setReading] = useState(false);
  const [busy, setBusy] = useState(false);
  const form = useRef<HTMLDivElement>(null);

  // A formula is read in the cups that it was typed in, whoever reads it.
  const [own, setOwn] = useState<Kitchen | null>(version?.formula.kitchen ?? null);
  const kitchen = own ?? units.kitchen;
  const read = useMemo(() => readDraft(draft, { book, kitchen }), [draft, book, kitchen]);
  const analysis = useMemo(() => analyse(read.formula, book), [read, book]);
  const levain = hasLeaven(read.formula, book);
  // Of lines that are not read nothing is known: neither what they contain, nor that something is low.
  const unread = unreadNames(draft, read);
  const osmotolerant = read.formula.stages.some(({ lines }) =>
    lines.some(({ ingredient }) => ingredient === 'osmotolerant-yeast'),
  );
  const advice = unread.length > 0 ? [] : advise(analysis, ranges, { osmotolerant, levain });
  const general = read.faults.filter(({ row, field }) => row === null && field === 'amount');
  const faultOf = (field: 'flour' | 'doughCelsius') =>
    say.coded(read.faults.find((one) => one.field === field)?.message ?? '') || null;

  const change = (next: Draft) => {
    flushSync(() => {
      setDraft(next);
      setKept(null);
    });
  };
  const formulaId = version?.formulaId ?? null;
  const changed = draft !== saved || name !== (version?.name ?? '') || note !== '';
  useEffect(() => {
    if (changed) keepUnsaved(formulaId, { name, note, draft, kitchen: own });
  }, [changed, formulaId, name, note, draft, own]);
  useEffect(() => {
    const unsaved = mayChange ? readUnsaved(formulaId) : null;
    if (!unsaved) return;
    // Once the page has come to life: the house's computer, which made it, has nothing unsaved.
    // At once, and not when there is time: rows that come later would move a button from under the finger.
    queueMicrotask(() =>
      flushSync(() => {
        setDraft(unsaved.draft);
        setName(unsaved.name);
        setNote(unsaved.note);
        setOwn(unsaved.kitchen);
        setRestored(true);
      }),
    );
  }, [mayChange, formulaId]);
  const discard = () => {
    keepUnsaved(formulaId, null);
    setDraft(saved);
    setName(version?.name ?? '');
    setNote('');
    setOwn(version?.formula.kitchen ?? null);
    setRestored(false);
  };
  const moveTo = (cell: string) => {
    const input = form.current?.querySelector<HTMLInputElement>(`#${cell}`);
    input?.focus();
    input?.select();
  };
  const keep = async () => {
    setBusy(true);
    const answer = await send('save-formula', {
      ...{ clientId: client, from: version?.id ?? null, name, note, draft, kitchen },
    });
    setBusy(false);
    if (!answer.ok) {
      setTrouble({ message: answer.message, field: answer.field });
      const at = /^draft\.(\d+)\.(\d+)\.(name|amount)$/.exec(answer.field ?? '');
      if (at) moveTo(cellId(Number(at[1]), Number(at[2]), at[3] as 'name' | 'amount'));
      return;
    }
    setTrouble(null);
    keepUnsaved(formulaId, null);
    setClient(crypto.randomUUID());
    const made = answer.result as { formulaId: number; version: number };
    setKept(say('formulas.versionIsKept', { version: made.version }));
    go(`/formulas/${made.formulaId}`);
  };
  const next = version ? version.version + 1 : 1;

  return (
    <div
      ref={form}
      className="grid flex-1 content-start gap-px bg-hairline lg:grid-cols-[1fr_22rem]"
      onKeyDown={(event) => {
        if ((event.ctrlKey || event.metaKey) && (event.key === 's' || event.key === 'Enter') && mayChange) {
          event.preventDefault();
          void keep();
        }
      }}
    >
      <section aria-label={say('formulas.formula')} className="min-w-0 overflow-x-auto bg-flour p-5">
        <h1 className="sr-only">{version ? version.name : say('formulas.newFormula')}</h1>
        {restored && (
          <p role="status" className="mb-3 flex items-center gap-4 border-l-4 border-butter pl-3 text-lg">
            {say('formulas.yourUnsavedChangesAreHere')}
            <Button onClick={discard}>{say('formulas.discardThem')}</Button>
          </p>
        )}
        <div className="mb-4 grid min-w-[44rem] grid-cols-[2fr_1fr_1fr_1.6fr] gap-3">
          <Field
            label={say('formulas.name')}
            autoFocus={version === null}
            value={name}
            readOnly={!mayChange}
            onType={setName}
            onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && moveTo(cellId(0, 0, 'name'))}
            trouble={trouble?.field === 'name' ? trouble.message : null}
            className="font-semibold"
          />
          <MeasureField
            kind="grams"
            label={
              read.hasFlour || draft.flour === ''
                ? say('formulas.showForFlourOf')
                : say('formulas.showForAWeightOf')
            }
            text={draft.flour}
            onText={(flour) => change({ ...draft, flour })}
            trouble={faultOf('flour')}
          />
          <MeasureField
            kind="celsius"
            label={say('formulas.doughTemperature')}
            text={draft.doughCelsius}
            readOnly={!mayChange}
            onText={(doughCelsius) => change({ ...draft, doughCelsius })}
            trouble={faultOf('doughCelsius')}
            hint={read.formula.doughCelsius === null ? say('formulas.n24COr75F') : null}
          />
          <Choice
            label={say('common.cupsAndSpoons')}
            value={kitchen}
            options={KITCHENS.map(({ id, name }) => ({ id, name: say.coded(name) }))}
            onChoose={(id) => {
              setOwn(id as Kitchen);
              setUnits({ kitchen: id as Kitchen });
            }}
          />
        </div>
        <datalist id="ingredient-names">
          {book.all.map(({ id, name: of }) => (
            <option key={id} value={of} />
          ))}
        </datalist>
        <div className="min-w-[44rem]">
          {draft.stages.map((_, stage) => (
            <StageTable
              key={stage}
              {...{ draft, read, stage, book, units, mayChange }}
              onChange={change}
              onMove={moveTo}
            />
          ))}
        </div>
        {general.map(({ message }) => (
          <p key={say.coded(message)} role="alert" className="mb-3 text-warn">
            {say.coded(message)}
          </p>
        ))}
        {trouble && trouble.field !== 'name' && (
          <p role="alert" className="mb-3 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble.message}
          </p>
        )}
        {kept && <p role="status">{kept}</p>}
        {mayChange && (
          <div className="flex flex-wrap items-end gap-3">
            <Choice
              label={say('formulas.addAStage')}
              value=""
              options={[{ id: '', name: 'choose' }, ...STAGE_KINDS.map((kind) => ({ id: kind, name: kind }))]}
              onChoose={(kind) => {
                if (kind === '') return;
                change(addStage(draft, draft.stages.length - 1, kind as StageKind));
                moveTo(cellId(draft.stages.length, 0, 'name'));
              }}
            />
            <Button className="min-h-10" onClick={() => setReading(true)}>
              {say('formulas.readIn')}
            </Button>
            <div className="ml-auto w-64">
              <Field
                label={say('formulas.whatIsDifferent')}
                value={note}
                onType={setNote}
                placeholder={version ? say('formulas.moreMilk') : ''}
              />
            </div>
            <Button look="act" className="min-h-10" disabled={busy} onClick={() => void keep()}>
              {say.rich('formulas.keepVersionCtrlS', {
                next,
                kbd: (words) => <kbd className="ml-1 font-sans text-[13px]">{words}</kbd>,
              })}
            </Button>
          </div>
        )}
        <p className="mt-3 text-[15px] text-quiet">
          {say.rich('formulas.enter54ForBakerS', { b: (words) => <b>{words}</b> })}
        </p>
      </section>
      <aside aria-label={say('formulas.whatItComesTo')} className="bg-ground p-5">
        <Totals analysis={analysis} advice={advice} unread={unread} />
        <ScalePanel formula={read.formula} book={book} bowlGrams={bowlGrams} />
      </aside>
      <ReadIn
        open={reading}
        onOpenChange={setReading}
        book={book}
        kitchen={kitchen}
        onTake={(taken) => {
          change(taken.draft);
          if (taken.name && !version) setName(taken.name);
        }}
      />
    </div>
  );
}
