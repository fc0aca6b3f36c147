'use client';

import type { Fold } from '@/core/lamination/stack';
import { useWords } from '../kit/words';
import type { EventBody } from '@/core/record/events';
import { useMemo, useState } from 'react';
import type { BlockWork } from '@/core/process/block-work';
import type { RollingHouse } from '@/core/bakery/rolling';
import { blockName, foldsOf } from '@/core/record/turns';
import { foldAdvice, outcomeMessage } from '@/core/lamination/advice';
import { foldDrawing } from '@/core/lamination/drawing';
import { planBlockIfAny } from '@/core/lamination/geometry';
import { FOLD_WORDS, HOW_TO } from '@/core/lamination/words';
import { showMass } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { GapRow } from '../lamination/gap-row';
import { useSizes } from '../lamination/use-sizes';
import { otherWays, turnDone, turnsAtOneGo, waitingBlocks } from './turn-acts';
import type { TurnProps, WorkProps } from './work-props';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';

/** The card of this block's turn: what it has had, how it is rolled and folded, and what was given if not that. */
export function TurnWork({ item, rolling, tell, running, block: inHand, onBlock }: TurnProps) {
  const say = useWords();
  const { dough, step } = item;
  const [telling, setTelling] = useState(false);
  const { cm, slab } = useSizes();
  const work = dough.lamination;
  const fold = step.step.given?.fold ?? 'letter';
  const block = inHand ?? work?.blocks ?? 1;
  const folds = useMemo(() => foldsOf(dough.steps, dough.state, block), [dough, block]);
  const turn = useMemo(() => planned(work, rolling, folds), [work, rolling, folds]);

  const advice =
    work &&
    foldAdvice(work.scheme.scheme, work.weights, {
      mm: work.mm,
      limits: rolling.limits[work.scheme.scheme.kind],
      given: folds.given.map((one) => one.fold),
      toCome: folds.toCome.map((one) => one.fold),
    });

  return (
    <div className="grid w-full gap-2">
      {work && work.blocks > 1 && <BlockList {...{ work, dough, step, running, onBlock }} block={inHand} />}
      {advice?.words && (
        <p className="border-l-4 border-warn pl-3 text-lg text-warn">{say.coded(advice.words)}</p>
      )}
      <div className="grid items-start gap-x-5 gap-y-2 sm:grid-cols-[14rem_1fr]">
        {turn ? (
          <Picture drawing={foldDrawing(fold, turn.sheet, cm)} id="fold" className="w-full" />
        ) : (
          <p className="text-xl font-semibold">{say.coded(FOLD_WORDS[fold])}</p>
        )}
        <div className="grid gap-0.5 text-lg">
          {turn && <p className="text-2xl font-bold">{slab(turn.sheet)}</p>}
          {work && <Addition work={work} nth={step.step.turn ?? 1} />}
          <p>
            <span className="font-semibold">{say.coded(FOLD_WORDS[fold])}</span>, {say.coded(HOW_TO[fold])}
          </p>
          {turn && <p>{say('bench.fromOpenSideAheadA', { slab: slab(turn.before) })}</p>}
          {turn && <GapRow passes={turn.passes} floor />}
          {turn && turn.cutInto > 1 && (
            <p className="text-warn">{say('bench.longerThanTheTableCut', { cutInto: turn.cutInto })}</p>
          )}
          <p className="text-quiet">
            {say('bench.had', {
              part:
                folds.given.length > 0
                  ? folds.given.map((one) => say.coded(FOLD_WORDS[one.fold])).join(', ')
                  : say('bench.noFold'),
              part2:
                advice && !advice.words
                  ? say('bench.comesTo', {
                      outcomeWords: say.coded(outcomeMessage(advice.outcome, work.scheme.scheme)),
                    })
                  : '',
            })}
          </p>
        </div>
      </div>
      {running && (
        <Button floor className="justify-self-start" onClick={() => setTelling(true)}>
          {say('bench.givenOtherwise')}
        </Button>
      )}
      <FoldedDifferently
        telling={telling}
        onTelling={setTelling}
        step={step}
        fold={fold}
        dough={dough}
        block={inHand}
        onTell={tell}
      />
    </div>
  );
}

interface BlockListProps {
  work: BlockWork;
  dough: DoughForecast;
  step: StepForecast;
  block: number | null;
  running: boolean;
  onBlock: (block: number) => void;
}

/** How many folds each block has had, and which is in hand; whichever waits for this turn can be taken. */
function BlockList({ work, dough, step, block, running, onBlock }: BlockListProps) {
  const say = useWords();
  const left = waitingBlocks(dough, step);
  return (
    <ol aria-label={say('bench.blocks')} className="flex flex-wrap gap-2 text-lg">
      {Array.from({ length: work.blocks }, (_, i) => i + 1).map((nth) => {
        const had = foldsOf(dough.steps, dough.state, nth).given.length;
        const words = say('bench.blockFoldFoldsInHand', {
          blockName: blockName(nth),
          had,
          hasNth: nth === block && running,
          isDone: !left.includes(nth),
        });
        return (
          <li key={nth}>
            {left.includes(nth) ? (
              <Button floor aria-pressed={nth === block} onClick={() => onBlock(nth)}>
                {words}
              </Button>
            ) : (
              <p className="grid min-h-14 place-items-center px-4 text-quiet">{words}</p>
            )}
          </li>
        );
      })}
    </ol>
  );
}

interface FoldedDifferentlyProps {
  telling: boolean;
  onTelling: (value: boolean) => void;
  step: StepForecast;
  fold: Fold;
  dough: DoughForecast;
  block: number | null;
  onTell: (act: EventBody) => void;
}

/** How the turn was folded, where not as planned. */
function FoldedDifferently({ telling, onTelling, step, fold, dough, block, onTell }: FoldedDifferentlyProps) {
  const say = useWords();
  const one = block ?? undefined;
  const next = dough.steps.find(({ step: other }) => other.turn === (step.step.turn ?? 0) + 1);
  const tellOf = (act: EventBody) => {
    onTell(act);
    onTelling(false);
  };
  return (
    <Sheet
      open={telling}
      onOpenChange={onTelling}
      title={
        block === null
          ? say('common.whatWasGiven')
          : say('bench.whatBlockWasGiven', { name: blockName(block) })
      }
    >
      <div className="grid gap-3">
        {next?.step.given && (
          <Button floor onClick={() => tellOf(turnsAtOneGo(dough, step, next, one))}>
            {say.rich('bench.turnsAndAtOneGo', { turn: () => step.step.turn, turn2: () => next.step.turn })}
          </Button>
        )}
        {otherWays(say, fold).map(({ label, folds: given }) => (
          <Button
            key={label}
            floor
            onClick={() => tellOf(turnDone(dough, step, { block: one, folds: given }))}
          >
            {label}
          </Button>
        ))}
      </div>
    </Sheet>
  );
}

/** The next turn of a block by the folds that it has had; null where it cannot be rolled. */
function planned(
  work: WorkProps['item']['dough']['lamination'],
  { table, laying }: RollingHouse,
  { given, toCome }: ReturnType<typeof foldsOf>,
) {
  const all = [...given, ...toCome];
  const plan =
    work && planBlockIfAny(work.scheme.scheme, work.weights, work.mm, { table, laying, folds: all });
  return plan?.turns[given.length] ?? null;
}

/** Butter that goes onto the open sheet before this turn, of one block. */
function Addition({ work, nth }: { work: BlockWork; nth: number }) {
  const say = useWords();
  const { units } = useSizes();
  const { beginning } = work.scheme.scheme;
  if (!('additions' in beginning) || nth > beginning.additions) return null;
  return (
    <p className="font-semibold">
      {say('bench.ofButterStrewnOnFrozen', {
        mass: showMass(work.weights.fat / beginning.additions, units),
        isWay: beginning.way === 'grated',
      })}
    </p>
  );
}
