'use client';

import { useWords } from '../kit/words';
import { pieceArea } from '@/core/cutting/piece';
import type { OutputRecord } from '@/core/record/dough';
import { fillingPerPiece } from '@/core/shaping/filling';
import { Button } from '../kit/button';

/** Which of a dough's outputs is on the scale; nothing where there is only one. */
export function OutputChoice({
  outputs,
  chosen,
  onChoose,
}: {
  outputs: readonly OutputRecord[];
  chosen: number;
  onChoose: (nth: number) => void;
}) {
  const say = useWords();
  if (outputs.length < 2) return null;
  return (
    <div role="group" aria-label={say('bench.output')} className="flex flex-wrap gap-2">
      {outputs.map(({ id, product }, i) => (
        <Button key={id} floor aria-pressed={i === chosen} onClick={() => onChoose(i)}>
          {say.named(product)}
        </Button>
      ))}
    </div>
  );
}

/** Grams that a piece may be off where a product says nothing: a fiftieth of it. */
const USUAL_TOLERANCE = 0.02;

/** What a piece of an output should weigh, and how far it may be off, g. */
export function pieceTarget({ piece }: OutputRecord): { target: number; tolerance: number } {
  return { target: piece.grams, tolerance: piece.tolerance ?? piece.grams * USUAL_TOLERANCE };
}

/** Grams of filling in a piece when it is weighed: slices of a log are weighed once it was spread and rolled up. */
export function fillingWhenWeighed({ piece: { cut, fillings = [] } }: OutputRecord): number {
  if (cut?.size.shape !== 'slice') return 0;
  const area = pieceArea(cut.size);
  return fillings
    .filter(({ moment }) => moment === 'spread')
    .reduce((sum, filling) => sum + fillingPerPiece(filling, area), 0);
}

/** Weighings do not name their output: they belong to the target that they are nearest to. */
export function nearestOutput(outputs: readonly OutputRecord[], each: number): OutputRecord | undefined {
  const off = (output: OutputRecord) => Math.abs(output.piece.grams + fillingWhenWeighed(output) - each);
  return [...outputs].sort((a, b) => off(a) - off(b))[0];
}
