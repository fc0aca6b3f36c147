'use client';

import { useState } from 'react';
import { tally, weighed } from '@/core/cutting/tally';
import { parseNumber } from '@/core/units/number';
import { showMass } from '@/core/units/reader';
import { typedGrams } from '@/core/units/typed-grams';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useUnits } from '../live/units';
import type { WorkProps } from './work-props';

/** House tolerance where a product has none: a fiftieth of the piece. */
const USUAL_TOLERANCE = 0.02;

/** Divide, weigh, round: each output's target and tolerance, and a tally of what was on the scale. */
export function DivideWork({ item, outputs, scale, tell, running }: WorkProps) {
  const { state } = item;
  const [units] = useUnits();
  const [of, setOf] = useState(0);
  const [count, setCount] = useState('1');
  const [grams, setGrams] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const output = outputs[Math.min(of, outputs.length - 1)];
  if (!output) return null;
  const { piece } = output;
  const target = { target: piece.grams, tolerance: piece.tolerance ?? piece.grams * USUAL_TOLERANCE };
  // Weighings do not name their output: a piece belongs to the target that it is nearest to.
  const nearest = (each: number) =>
    outputs.reduce((a, b) => (Math.abs(b.piece.grams - each) < Math.abs(a.piece.grams - each) ? b : a));
  const weighings = state.records.flatMap(({ data }) =>
    data.kind === 'pieces' && nearest(data.grams / data.count) === output ? [data] : [],
  );
  const sum = tally(
    { ...target, pieces: output.pieces, dough: (output.pieces * piece.grams) / (1 - piece.scrap) },
    weighings,
  );
  const last = weighings.at(-1);
  const put = (weight: number | null) => {
    const pieces = parseNumber(count);
    if (pieces === null || !Number.isInteger(pieces) || pieces < 1)
      return setTrouble('How many pieces lie on the scale?');
    if (weight === null || weight <= 0) return setTrouble('Type a weight, such as 602 g or 21 1/4 oz.');
    setTrouble(null);
    setGrams('');
    tell({ kind: 'weigh', data: { kind: 'pieces', count: pieces, grams: Math.round(weight * 10) / 10 } });
  };
  const verdict = last && weighed(target, last);
  return (
    <div className="grid w-full gap-2">
      {outputs.length > 1 && (
        <div role="group" aria-label="Output" className="flex flex-wrap gap-2">
          {outputs.map(({ id, product }, i) => (
            <Button
              key={id}
              floor
              aria-pressed={i === of}
              className={i === of ? 'bg-butter-wash font-bold' : ''}
              onClick={() => setOf(i)}
            >
              {product}
            </Button>
          ))}
        </div>
      )}
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
        <form
          className="grid grid-cols-[6rem_1fr_auto] items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            put(typedGrams(grams, units));
          }}
        >
          <Field label="pieces" size="floor" inputMode="numeric" value={count} onType={setCount} />
          <Field
            label="weigh together"
            size="floor"
            value={grams}
            placeholder={`${piece.grams} g`}
            onType={setGrams}
          />
          <Button type="submit" floor>
            Weigh in
          </Button>
        </form>
      )}
      {running && scale !== null && (
        <Button floor className="justify-self-start" onClick={() => put(scale)}>
          {showMass(scale, units)} from the scale
        </Button>
      )}
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
      <p className="text-lg text-quiet">then round, and rest 10 to 20 min on the bench, covered</p>
    </div>
  );
}
