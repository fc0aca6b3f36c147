'use client';

import { useState } from 'react';
import { tally, weighed } from '@/core/cutting/tally';
import { showMass } from '@/core/units/reader';
import { useUnits } from '../live/units';
import { nearestOutput, OutputChoice, pieceTarget } from './output-choice';
import { WeighIn } from './weigh-in';
import type { WorkProps } from './work-props';

/** Divide, weigh, round: each output's target and tolerance, and a tally of what was on the scale. */
export function DivideWork({ item, outputs, scale, tell, running }: WorkProps) {
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
        each <span className="font-bold">{showMass(target.target, units)}</span>,{' '}
        {showMass(target.tolerance, units)} more or less;{' '}
        <span className="font-bold">
          {sum.count} of {output.pieces}
        </span>{' '}
        weighed
      </p>
      <p role="status" className="text-lg">
        {sum.words}
        {sum.mean !== null && ` Average ${showMass(sum.mean, units)}.`}
        {sum.off > 0 && ` ${sum.off} outside the tolerance.`}
        {last && verdict && verdict.verdict !== 'within' && (
          <span className="font-bold text-warn">
            {' '}
            The last {showMass(Math.abs(verdict.by), units)} too {verdict.verdict}.
          </span>
        )}
      </p>
      {running && (
        <WeighIn grams={piece.grams} scale={scale} onWeigh={(data) => tell({ kind: 'weigh', data })} />
      )}
      <p className="text-lg text-quiet">then round, and rest 10 to 20 min on the bench, covered</p>
    </div>
  );
}
