'use client';

import { useWords } from '../kit/words';
import type { EventBody } from '@/core/record/events';
import { Check, Printer } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { ScrapStock } from '@/core/record/scrap';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { actualMix, lineId } from '@/core/formula/actual';
import { analyse } from '@/core/formula/analysis';
import { ingredientBook } from '@/core/formula/ingredient';
import type { MixSheet } from '@/core/process/mix-sheet';
import { dayTime } from '@/core/time/local';
import { showCelsius, showMass } from '@/core/units/reader';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { send } from '../live/command';
import { useFloor } from '../live/floor';
import { useUnits } from '../live/units';
import { ActualPanel } from './actual-panel';
import { LineSheet } from './line-sheet';
import { ScrapOffers } from './scrap-offers';
import { WaterPanel } from './water-panel';

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
  const router = useRouter();
  const { zone } = board.house;
  const { doughs, record, trouble, calm } = useFloor(board, person.id, now);
  const [units] = useUnits();
  const [bowl, setBowl] = useState(1);
  const [open, setOpen] = useState<{ stage: number; line: number } | null>(null);
  const book = useMemo(() => ingredientBook(sheet.ingredients), [sheet.ingredients]);
  const dough = doughs[0];
  const facts = board.doughs[0];
  const mixStep = dough?.steps.find(({ step }) => step.kind === 'mix');
  if (!dough || !facts || !mixStep) return null;
  const state = dough.state.steps.get(mixStep.key);
  const changes = [...dough.state.steps.values()].flatMap((step) => step.changes);
  const mix = actualMix(sheet.whole, sheet.formula.formula.doughCelsius, changes, sheet.bowls, book);
  const tell = (part: EventBody) => record({ doughId: dough.id, stepKey: mixStep.key, ...part });
  const weighedOf = (line: string) =>
    changes.findLast((change) => change.kind === 'weighed' && change.line === line && change.bowl === bowl);
  const swapOf = (line: string) =>
    changes.findLast((change) => change.kind === 'swapped' && change.line === line);
  const lines = sheet.bowl.scaled.stages.flatMap((stage, s) =>
    stage.lines.map((line, l) => ({ ...line, kind: stage.kind, s, l })),
  );
  const done = lines.filter(({ s, l }) => weighedOf(lineId(s, l)) !== undefined).length;
  const target = sheet.formula.formula.doughCelsius;
  const picked = open && lines.find(({ s, l }) => s === open.stage && l === open.line);

  return (
    <main className="grid flex-1 content-start gap-px bg-hairline lg:grid-cols-[1.15fr_1fr] print:block print:bg-white">
      <section aria-label={say('sheet.toWeigh')} className="bg-flour p-5 print:p-0">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
          <div>
            <h1 className="text-4xl font-bold">{dough.name}</h1>
            <p className="text-lg">
              {say('sheet.versionABowl', {
                name: sheet.formula.name,
                version: sheet.formula.version,
                mass: showMass(sheet.bowl.scaled.doughGrams, units),
                hasBowls: sheet.bowls > 1,
                part: target !== null ? say('sheet.doughAt', { celsius: showCelsius(target, units) }) : '',
              })}
            </p>
            <p className="text-lg text-quiet">
              {say('sheet.mix', { time: dayTime(mixStep.plannedStart, zone) })}
            </p>
          </div>
          <div className="flex gap-2 print:hidden">
            <Button floor aria-label={say('sheet.printTheSheet')} onClick={() => window.print()}>
              <Printer aria-hidden size={22} />
            </Button>
            <a
              href="/bench"
              className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
            >
              {say('sheet.bench')}
            </a>
          </div>
        </div>
        {trouble && (
          <p
            role="alert"
            className="mb-3 flex items-center justify-between gap-3 border-l-4 border-warn pl-3 text-lg text-warn"
          >
            {trouble}
            <Button onClick={calm}>{say('sheet.understood')}</Button>
          </p>
        )}
        {sheet.bowls > 1 && (
          <div role="group" aria-label={say('sheet.bowl')} className="mb-2 flex gap-2 print:hidden">
            {Array.from({ length: sheet.bowls }, (_, i) => i + 1).map((nth) => (
              <Button
                key={nth}
                floor
                look={nth === bowl ? 'act' : 'plain'}
                aria-pressed={nth === bowl}
                onClick={() => setBowl(nth)}
              >
                {say('sheet.bowlOf', { nth, bowls: sheet.bowls })}
              </Button>
            ))}
          </div>
        )}
        <ol>
          {lines.map((line, i) => {
            const id = lineId(line.s, line.l);
            const weighed = weighedOf(id);
            const swapped = swapOf(id);
            const name =
              book.get(swapped?.kind === 'swapped' ? swapped.ingredient : line.ingredient)?.name ??
              line.ingredient;
            const first = i === 0 || lines[i - 1]?.s !== line.s;
            const grams = weighed?.kind === 'weighed' ? weighed.grams : line.grams;
            return (
              <li key={id}>
                {first && <p className="mt-3 text-lg text-quiet">{line.kind}</p>}
                <div className="flex items-stretch gap-3 border-b border-hairline">
                  <button
                    className="flex min-h-16 flex-1 items-center justify-between gap-3 text-left"
                    onClick={() => setOpen({ stage: line.s, line: line.l })}
                  >
                    <span className={weighed ? 'text-quiet' : ''}>
                      <span className="block text-2xl font-semibold">{name}</span>
                      {line.note && <span className="text-lg text-quiet">{line.note}</span>}
                    </span>
                    <span className={weighed ? 'text-3xl text-quiet' : 'text-3xl font-bold'}>
                      {say.rich('sheet.toTaste', {
                        isUncounted: line.uncounted,
                        mass: showMass(grams, units),
                        upTo: () =>
                          line.upTo !== undefined &&
                          !weighed && (
                            <span className="block text-right text-lg font-normal text-quiet">
                              {say('sheet.keepMoreReady', { mass: showMass(line.upTo - line.grams, units) })}
                            </span>
                          ),
                      })}
                    </span>
                  </button>
                  <button
                    aria-label={say('sheet.weighedBowl', { name, bowl })}
                    aria-pressed={weighed !== undefined}
                    className="my-1 grid w-16 shrink-0 place-items-center rounded border border-edge"
                    // What was weighed otherwise is not overwritten by a second tap: it is looked at.
                    onClick={() =>
                      weighed
                        ? setOpen({ stage: line.s, line: line.l })
                        : void tell({
                            kind: 'mix',
                            data: { kind: 'weighed', line: id, bowl, grams: line.grams },
                          })
                    }
                  >
                    {weighed && <Check aria-hidden size={30} />}
                  </button>
                </div>
              </li>
            );
          })}
        </ol>
        <p className="mt-2 text-lg text-quiet">
          {say('sheet.ofWeighedRoundingChangedThe', {
            done,
            count: lines.length,
            doughBy: Math.abs(sheet.bowl.doughBy).toFixed(1),
          })}
        </p>
        <p className="mt-2 max-w-md border-l-4 border-edge pl-3 text-lg">
          {say('sheet.stopAndLockTheMixer')}
        </p>
      </section>
      <div className="bg-ground p-5 print:hidden">
        <WaterPanel
          sheet={sheet}
          book={book}
          conditions={state?.conditions ?? null}
          measured={state?.temperatures.at(-1)?.celsius ?? null}
          onTell={tell}
        />
        <ScrapOffers
          {...scrap}
          doughGrams={facts.kg * 1000}
          records={state?.records ?? []}
          allergens={analyse(mix.formula, book).allergens.map(({ allergen }) => allergen)}
          onTake={(data) => tell({ kind: 'scrap', data })}
        />
        <ActualPanel
          planned={analyse(sheet.formula.formula, book)}
          actual={analyse(mix.formula, book)}
          words={mix.words.map(say.coded)}
          book={book}
          onChange={(data) => tell({ kind: 'mix', data })}
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
      {picked && (
        <LineSheet
          key={`${picked.s}.${picked.l}.${bowl}`}
          line={picked}
          book={book}
          lastWeight={lastWeight?.grams ?? null}
          onClose={() => setOpen(null)}
          onWeighed={(grams) =>
            void tell({
              kind: 'mix',
              data: { kind: 'weighed', line: lineId(picked.s, picked.l), bowl, grams },
            })
          }
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
