'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { BlockWork } from '@/core/process/block-work';
import type { RollingHouse } from '@/core/bakery/rolling';
import type { FoldRecord } from '@/core/record/events';
import { type BlockFolds, blockName, countTurns, foldsByScheme, turnMessage } from '@/core/record/turns';
import { foldAdvice, outcomeMessage } from '@/core/lamination/advice';
import { fractionOf, operationsOf, schemeName } from '@/core/lamination/scheme';
import { type Fold, pileOf } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';
import { showLength, showMass } from '@/core/units/reader';
import { otherWays } from '../bench/turn-acts';
import { Button } from '../kit/button';
import { FloorChoice } from '../kit/floor-choice';
import { Sheet } from '../kit/sheet';
import { SectionView } from '../lamination/section-view';
import { useUnits } from '../live/units';
import type { Scheme } from '@/core/lamination/scheme';
import type { FoldAdvice } from '@/core/lamination/advice';

interface Props {
  dough: DoughForecast;
  work: BlockWork;
  rolling: RollingHouse;
  onTell: (stepKey: string, turned: FoldRecord) => void;
}

/** The layers of a dough: its scheme, which folds each block has had, what they come to, and a word to set it right. */
export function LayersPanel({ dough, work, rolling, onTell }: Props) {
  const say = useWords();
  const [correcting, setCorrecting] = useState<{ key: string; fold: Fold } | null>(null);
  const { scheme, name } = work.scheme;

  const blocks = Array.from({ length: work.blocks }, (_, i) => ({
    block: i + 1,
    ...foldsByScheme(dough, scheme, i + 1),
  }));
  const adviceFor = ({ given, toCome }: BlockFolds) =>
    foldAdvice(scheme, work.weights, {
      mm: work.mm,
      limits: rolling.limits[scheme.kind],
      given: given.map(({ fold }) => fold),
      toCome: toCome.map(({ fold }) => fold),
    });
  const [advice = adviceFor({ given: [], toCome: [] }), ...others] = blocks.map(adviceFor);
  // Blocks that were folded otherwise than the first come out otherwise.
  const differing = others.flatMap((other, i) =>
    other.outcome.folds.join() === advice.outcome.folds.join() ? [] : [{ block: i + 2, advice: other }],
  );
  const pile = pileOf(operationsOf(scheme, advice.outcome.folds), fractionOf(scheme, work.weights));

  return (
    <section aria-labelledby="layers-heading" className="mt-6">
      <h2 id="layers-heading" className="text-2xl font-semibold">
        {say('dough.layers')}
      </h2>
      <div className="flex flex-wrap gap-8">
        <LayerWords
          name={name}
          scheme={scheme}
          work={work}
          blocks={blocks}
          advice={advice}
          differing={differing}
          onCorrecting={setCorrecting}
          dough={dough}
        />
        <SectionView pile={pile} mm={work.mm} finest={advice.outcome.layers.meanFat || 1} />
      </div>
      <CorrectTurn {...{ correcting, onTell }} blocks={work.blocks} onCorrecting={setCorrecting} />
    </section>
  );
}

interface LayerWordsProps {
  name: string;
  scheme: Scheme;
  work: BlockWork;
  blocks: ({ block: number } & BlockFolds)[];
  advice: FoldAdvice;
  /** Of the blocks that come out otherwise than the first. */
  differing: { block: number; advice: FoldAdvice }[];
  onCorrecting: (value: { key: string; fold: Fold } | null) => void;
  dough: DoughForecast;
}

/** The folds of each block, and the layers they give. */
function LayerWords(props: LayerWordsProps) {
  const { name, scheme, work, blocks, advice, differing, onCorrecting, dough } = props;
  const say = useWords();
  const [units] = useUnits();
  const turns = countTurns(dough.steps, dough.state, work.blocks);
  const done = dough.steps.filter(
    ({ key, step }) => step.turn !== undefined && dough.state.steps.get(key)?.status === 'done',
  );
  return (
    <div className="grid max-w-xl content-start gap-2 text-[17px]">
      <p>
        {say.rich('dough.eachDoughAndButter', {
          name,
          span: (words) => <span className="font-semibold">{words}</span>,
          schemeName: say.coded(schemeName(scheme)),
          blocks: work.blocks,
          value: work.blocks === 1 ? 'block' : say('dough.blocksOfEqualWeight'),
          mass: showMass(work.weights.dough, units),
          mass2: showMass(work.weights.fat, units),
        })}
      </p>
      {turns && <p className="text-xl font-semibold">{say.coded(turnMessage(turns))}</p>}
      {blocks.map(({ block, given, toCome }) => (
        <p key={block}>
          {say.rich('dough.had', {
            blocks: () => work.blocks > 1 && <span className="font-semibold">{blockName(block)}: </span>,
            given: given.map(({ fold }) => say.coded(FOLD_WORDS[fold])).join(', ') || say('dough.noFoldYet'),
            part:
              toCome.length > 0
                ? say('dough.toCome', {
                    toCome: toCome.map(({ fold }) => say.coded(FOLD_WORDS[fold])).join(', '),
                  })
                : '',
          })}
        </p>
      ))}
      <p>
        {say('dough.at', {
          length: showLength(work.mm, units),
          outcomeWords: say.coded(outcomeMessage(advice.outcome, scheme)),
        })}
      </p>
      {advice.words && <p className="border-l-4 border-warn pl-3 text-warn">{say.coded(advice.words)}</p>}
      {differing.map(({ block, advice: { outcome, words } }) => (
        <p key={block} className={words ? 'border-l-4 border-warn pl-3 text-warn' : undefined}>
          {say('dough.blockComesTo', {
            name: blockName(block),
            outcome: say.coded(outcomeMessage(outcome, scheme)),
            words: words ? say.coded(words) : '',
            isWarned: words !== null,
          })}
        </p>
      ))}
      {done.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {done.map(({ key, step }) => (
            <Button
              key={key}
              className="min-h-11"
              onClick={() => onCorrecting({ key, fold: step.given?.fold ?? 'letter' })}
            >
              {say('dough.wasGivenOtherwise', { label: say.coded(step.label) })}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}

interface CorrectTurnProps {
  blocks: number;
  correcting: { key: string; fold: Fold } | null;
  onCorrecting: (value: { key: string; fold: Fold } | null) => void;
  onTell: (stepKey: string, turned: FoldRecord) => void;
}

/** Corrects how a turn was folded, of one block or of all. */
function CorrectTurn({ correcting, onCorrecting, onTell, blocks }: CorrectTurnProps) {
  const say = useWords();
  const [block, setBlock] = useState(0);
  return (
    <Sheet
      open={correcting !== null}
      onOpenChange={() => onCorrecting(null)}
      title={say('common.whatWasGiven')}
    >
      <div className="grid gap-3">
        {blocks > 1 && (
          <FloorChoice
            label={say('dough.whichBlock')}
            value={String(block)}
            options={[
              { id: '0', name: say('dough.allBlocks') },
              ...Array.from({ length: blocks }, (_, i) => ({ id: String(i + 1), name: blockName(i + 1) })),
            ]}
            onChoose={(id) => setBlock(Number(id))}
          />
        )}
        {correcting &&
          [
            {
              label: say('dough.aAsPlanned', { FOLDWORDS: say.coded(FOLD_WORDS[correcting.fold]) }),
              folds: [correcting.fold],
            },
            ...otherWays(say, correcting.fold),
          ].map(({ label, folds: given }) => (
            <Button
              key={label}
              floor
              onClick={() => {
                onTell(correcting.key, {
                  kind: 'turned',
                  block: block || null,
                  folds: given,
                  covers: 0,
                  ends: true,
                });
                onCorrecting(null);
              }}
            >
              {label}
            </Button>
          ))}
      </div>
    </Sheet>
  );
}
