'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { tally, weighed } from '@/core/cutting/tally';
import { showMass } from '@/core/units/reader';
import { useUnits } from '../live/units';
import { nearestOutput, OutputChoice, pieceTarget } from './output-choice';
import { WeighIn } from './weigh-in';
import type { WorkProps } from './work-props';

/** Divide, weigh, round: each output's target and tolerance, and a tally of what was on the scale. */
export function DivideWork({ item, outputs, scale, tell, running }: WorkProps) {
  const say = useWords();
  const { state } = item;
  const [units] = useUnits();
  const [of, setOf] = useState(0);
  const output = outputs[Math.min(of, outputs.length - 1)];
  if (!output) return null;
  const { piece } = output;
  const target = pieceTarget(output);
  const weighings = state.records.flatMap(({ data }) =>
    data.kind === 'pieces' && nearestOutput(outputs, data.grams / data.count) === output ? [data] : [],
  );
  const sum = tally(
    { ...target, pieces: output.pieces, dough: (output.pieces * piece.grams) / (1 - piece.scrap) },
    weighings,
  );
  const last = weighings.at(-1);
  const verdict = last && weighed(target, last);
  return (
    <div className="grid w-full gap-2">
      <OutputChoice outputs={outputs} chosen={of} onChoose={setOf} />
      <p className="text-2xl">
        {say.rich('bench.eachMoreOrLessOf', {
          span: (words) => <span className="font-bold">{words}</span>,
          mass: showMass(target.target, units),
          mass2: showMass(target.tolerance, units),
          count: sum.count,
          pieces: output.pieces,
        })}
      </p>
      <p role="status" className="text-lg">
        {say.rich('bench.wordsPartPart2Last', {
          words: say.coded(sum.words),
          part: sum.mean !== null ? say('bench.average', { mass: showMass(sum.mean, units) }) : '',
          part2: sum.off > 0 ? say('bench.outsideTheTolerance', { off: sum.off }) : '',
          last: () =>
            last &&
            verdict &&
            verdict.verdict !== 'within' && (
              <span className="font-bold text-warn">
                {say('bench.theLastToo', {
                  mass: showMass(Math.abs(verdict.by), units),
                  verdict: verdict.verdict,
                })}
              </span>
            ),
        })}
      </p>
      {running && (
        <WeighIn grams={piece.grams} scale={scale} onWeigh={(data) => tell({ kind: 'weigh', data })} />
      )}
      <p className="text-lg text-quiet">{say('bench.thenRoundAndRest10')}</p>
    </div>
  );
}
