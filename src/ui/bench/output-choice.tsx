'use client';

import type { BoardOutput } from '@/core/floor/board';
import { Button } from '../kit/button';

/** Which of a dough's outputs is on the scale; nothing where there is only one. */
export function OutputChoice({
  outputs,
  chosen,
  onChoose,
}: {
  outputs: readonly BoardOutput[];
  chosen: number;
  onChoose: (nth: number) => void;
}) {
  if (outputs.length < 2) return null;
  return (
    <div role="group" aria-label="Output" className="flex flex-wrap gap-2">
      {outputs.map(({ id, product }, i) => (
        <Button key={id} floor aria-pressed={i === chosen} onClick={() => onChoose(i)}>
          {product}
        </Button>
      ))}
    </div>
  );
}

/** Grams that a piece may be off where a product says nothing: a fiftieth of it. */
const USUAL_TOLERANCE = 0.02;

/** What a piece of an output should weigh, and how far it may be off, g. */
export function pieceTarget({ piece }: BoardOutput): { target: number; tolerance: number } {
  return { target: piece.grams, tolerance: piece.tolerance ?? piece.grams * USUAL_TOLERANCE };
}

/** Weighings do not name their output: they belong to the target that they are nearest to. */
export function nearestOutput(outputs: readonly BoardOutput[], each: number): BoardOutput | undefined {
  return [...outputs].sort((a, b) => Math.abs(a.piece.grams - each) - Math.abs(b.piece.grams - each))[0];
}
