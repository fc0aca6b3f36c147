'use client';

import { useWords } from '../kit/words';
import type { EventBody } from '@/core/record/events';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { ScrapStock } from '@/core/record/scrap';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { actualMix, lineId } from '@/core/formula/actual';
import { analyse } from '@/core/formula/analysis';
import { ingredientBook } from '@/core/formula/ingredient';
import type { MixSheet } from '@/core/process/mix-sheet';
import { Button } from '../kit/button';
import { Refusal } from '../kit/refusal';
import { type BowlLine, WeighLine } from './weigh-line';
import { useMinute } from '../live/clock';
import { send } from '../live/command';
import { useFloor } from '../live/floor';
import { ActualPanel } from './actual-panel';
import { LineSheet } from './line-sheet';
import { ScrapOffers } from './scrap-offers';
import { WaterPanel } from './water-panel';
import { SheetHead } from './sheet-head';
import type { IngredientBook } from '@/core/formula/ingredient';
import type { DoughRecord } from '@/core/record/dough';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';
import type { MixChange } from '@/core/formula/actual';

interface Props {
  board: Board;
  person: Person;
  sheet: MixSheet;
  lastWeight: { id: string; grams: number } | null;
  /** Trimmings of other doughs, and what the house lets into a dough. */
  scrap: { stock: ScrapStock[]; share: number; mostHours: number };
}

/** The mixing sheet of a dough: weigh, tick off, water, temperature, and what was done differently. */
export function DoughSheet({ board, person, sheet, lastWeight, scrap }: Props) {
  const say = useWords();
  const now = useMinute();

  const { doughs, record, trouble, calm } = useFloor(board, person.id, now);
  const [bowl, setBowl] = useState(1);
  const [open, setOpen] = useState<{ stage: number; line: number } | null>(null);
  const book = useMemo(() => ingredientBook(sheet.ingredients), [sheet.ingredients]);
  const dough = doughs[0];
  const facts = board.doughs[0];
  const mixStep = dough?.steps.find(({ step }) => step.kind === 'mix');
  if (!dough || !facts || !mixStep) return null;

  const changes = [...dough.state.steps.values()].flatMap((step) => step.changes);

  const tell = (part: EventBody) => record({ doughId: dough.id, stepKey: mixStep.key, ...part });
  const weighedOf = (line: string) =>
    changes.findLast((change) => change.kind === 'weighed' && change.line === line && change.bowl === bowl);
  const nameOf = ({ s, l, ingredient }: BowlLine) => {
    const swap = changes.findLast((change) => change.kind === 'swapped' && change.line === lineId(s, l));
    return book.get(swap?.kind === 'swapped' ? swap.ingredient : ingredient)?.name ?? ingredient;
  };
  const weigh = ({ s, l }: BowlLine, grams: number) =>
    void tell({ kind: 'mix', data: { kind: 'weighed', line: lineId(s, l), bowl, grams } });
  const lines = sheet.bowl.scaled.stages.flatMap((stage, s) =>
    stage.lines.map((line, l) => ({ ...line, kind: stage.kind, s, l })),
  );
  const done = lines.filter(({ s, l }) => weighedOf(lineId(s, l)) !== undefined).length;

  const picked = open && lines.find(({ s, l }) => s === open.stage && l === open.line);

  return (
    <main className="grid flex-1 content-start gap-px bg-hairline lg:grid-cols-[1.15fr_1fr] print:block print:bg-white">
      <section aria-label={say('sheet.toWeigh')} className="bg-flour p-5 print:p-0">
        <SheetHead dough={dough} sheet={sheet} mixStep={mixStep} board={board} />
        <Refusal message={trouble} onRead={calm} />
        {sheet.bowls > 1 && <BowlChoice sheet={sheet} bowl={bowl} onBowl={setBowl} />}
        <ol>
          {lines.map((line, i) => (
            <WeighLine
              key={lineId(line.s, line.l)}
              line={line}
              isFirst={lines[i - 1]?.s !== line.s}
              weighed={weighedOf(lineId(line.s, line.l))}
              name={nameOf(line)}
              bowl={bowl}
              onOpen={() => setOpen({ stage: line.s, line: line.l })}
              onWeigh={(grams) => weigh(line, grams)}
            />
          ))}
        </ol>
        <p className="mt-2 text-lg text-quiet">
          {say('sheet.ofWeighedRoundingChangedThe', {
            done,
            count: lines.length,
            doughBy: say.number(Math.abs(sheet.bowl.doughBy), 1),
          })}
        </p>
        <p className="mt-2 max-w-md border-l-4 border-edge pl-3 text-lg">
          {say('sheet.stopAndLockTheMixer')}
        </p>
      </section>
      <MixSide
        sheet={sheet}
        book={book}
        onTell={tell}
        scrap={scrap}
        facts={facts}
        dough={dough}
        mixStep={mixStep}
        changes={changes}
      />
      {picked && (
        <LineSheet
          key={`${picked.s}.${picked.l}.${bowl}`}
          line={picked}
          book={book}
          lastWeight={lastWeight?.grams ?? null}
          onClose={() => setOpen(null)}
          onWeighed={(grams) => weigh(picked, grams)}
          onSwap={(ingredient) =>
            void tell({
              kind: 'mix',
              data: { kind: 'swapped', line: lineId(picked.s, picked.l), ingredient },
            })
          }
        />
      )}
    </main>
  );
}

interface MixSideProps {
  sheet: MixSheet;
  book: IngredientBook;
  onTell: (part: EventBody) => Promise<void>;
  scrap: Props['scrap'];
  facts: DoughRecord;
  dough: DoughForecast;
  mixStep: StepForecast;
  changes: MixChange[];
}

/** Water and temperature, trimmings, and what was done differently. */
function MixSide({ sheet, book, onTell, scrap, facts, dough, mixStep, changes }: MixSideProps) {
  const say = useWords();
  const router = useRouter();
  const state = dough.state.steps.get(mixStep.key);
  const mix = actualMix(
    { planned: sheet.whole, doughCelsius: sheet.formula.formula.doughCelsius, bowls: sheet.bowls, changes },
    book,
  );
  return (
    <div className="bg-ground p-5 print:bg-white print:p-0">
      <WaterPanel
        sheet={sheet}
        book={book}
        conditions={state?.conditions ?? null}
        measured={state?.temperatures.at(-1)?.celsius ?? null}
        onTell={onTell}
      />
      <div className="print:hidden">
        <ScrapOffers
          {...scrap}
          doughGrams={facts.kg * 1000}
          records={state?.records ?? []}
          allergens={analyse(mix.formula, book).allergens.map(({ allergen }) => allergen)}
          onTake={(data) => onTell({ kind: 'scrap', data })}
        />
        <ActualPanel
          planned={analyse(sheet.formula.formula, book)}
          actual={analyse(mix.formula, book)}
          words={mix.words.map(say.coded)}
          book={book}
          onChange={(data) => onTell({ kind: 'mix', data })}
          onAdopt={async () => {
            const answer = await send('adopt-mix', { clientId: crypto.randomUUID(), doughId: dough.id });
            if (answer.ok) router.refresh();
            return answer.ok
              ? say('sheet.versionOfIsKept', {
                  version: (answer.result as { version: number }).version,
                  name: sheet.formula.name,
                })
              : answer.message;
          }}
        />
      </div>
    </div>
  );
}

interface BowlChoiceProps {
  sheet: MixSheet;
  bowl: number;
  onBowl: (value: number) => void;
}

/** Which bowl is being weighed. */
function BowlChoice({ sheet, bowl, onBowl }: BowlChoiceProps) {
  const say = useWords();
  return (
    <div role="group" aria-label={say('sheet.bowl')} className="mb-2 flex gap-2 print:hidden">
      {Array.from({ length: sheet.bowls }, (_, i) => i + 1).map((nth) => (
        <Button
          key={nth}
          floor
          look={nth === bowl ? 'act' : 'plain'}
          aria-pressed={nth === bowl}
          onClick={() => onBowl(nth)}
        >
          {say('sheet.bowlOf', { nth, bowls: sheet.bowls })}
        </Button>
      ))}
    </div>
  );
}
