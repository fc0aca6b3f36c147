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
import { GapRow, useSizes } from '../lamination/geometry-strip';
import { blockInHand, otherWays, turnDone, turnsAtOneGo } from './turn-acts';
import type { WorkProps } from './work-props';
import type { DoughForecast, StepForecast } from '../../core/forecast/forecast';
import type { StepState } from '../../core/record/step-state';

/** The card of this block's turn: what it has had, how it is rolled and folded, and what was given if not that. */
export function TurnWork({ item, rolling, tell, running }: WorkProps) {
  const say = useWords();
  const { dough, step, state } = item;
  const [telling, setTelling] = useState(false);
  const { cm, slab } = useSizes();
  const work = dough.lamination;
  const fold = step.step.given?.fold ?? 'letter';
  const block = blockInHand(dough, state) ?? work?.blocks ?? 1;
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
      {work && work.blocks > 1 && <BlockList work={work} dough={dough} block={block} running={running} />}
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
        state={state}
        onTell={tell}
      />
    </div>
  );
}

interface BlockListProps {
  work: BlockWork;
  dough: DoughForecast;
  block: number;
  running: boolean;
}

/** Which block is in hand, and how many folds each has had. */
function BlockList({ work, dough, block, running }: BlockListProps) {
  const say = useWords();
  return (
    <ol aria-label={say('bench.blocks')} className="flex flex-wrap gap-2 text-lg">
      {Array.from({ length: work.blocks }, (_, i) => i + 1).map((nth) => {
        const had = foldsOf(dough.steps, dough.state, nth).given.length;
        return (
          <li
            key={nth}
            aria-current={nth === block ? 'step' : undefined}
            className={
              nth === block
                ? 'rounded bg-butter-wash px-3 py-1 font-bold'
                : 'rounded border border-hairline px-3 py-1'
            }
          >
            {say('bench.blockFoldFoldsInHand', {
              blockName: blockName(nth),
              had,
              hasNth: nth === block && running,
            })}
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
  state: StepState;
  onTell: (act: EventBody) => void;
}

/** How the turn was folded, where not as planned. */
function FoldedDifferently({ telling, onTelling, step, fold, dough, state, onTell }: FoldedDifferentlyProps) {
  const say = useWords();
  const next = dough.steps.find(({ step: other }) => other.turn === (step.step.turn ?? 0) + 1);
  const tellOf = (act: EventBody) => {
    onTell(act);
    onTelling(false);
  };
  return (
    <Sheet open={telling} onOpenChange={onTelling} title={say('common.whatWasGiven')}>
      <div className="grid gap-3">
        {next?.step.given && (
          <Button floor onClick={() => tellOf(turnsAtOneGo(step, next))}>
            {say.rich('bench.turnsAndAtOneGo', { turn: () => step.step.turn, turn2: () => next.step.turn })}
          </Button>
        )}
        {otherWays(say, fold).map(({ label, folds: given }) => (
          <Button key={label} floor onClick={() => tellOf(turnDone(dough, step, state, given))}>
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
