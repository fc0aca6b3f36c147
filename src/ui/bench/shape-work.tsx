'use client';

import { useWords } from '../kit/words';
import { SHAPE_WORDS } from '@/core/cutting/piece';
import { SHAPES } from '@/core/shaping/shapes';
import { Picture } from '../drawing/picture';
import { useSizes } from '../lamination/use-sizes';
import type { WorkProps } from './work-props';

/** How this piece is made up: the hands' work in pictures, and what goes wrong. */
export function ShapeWork({ item, outputs }: WorkProps) {
  const say = useWords();
  const { cm } = useSizes();
  const output = outputs.find(({ id }) => id === item.step.outputId) ?? outputs[0];
  if (!output) return null;
  const { shape: kind, cut } = output.piece;
  const shape = kind && SHAPES[kind];
  const size = cut?.size;
  return (
    <div className="grid w-full gap-2">
      {size && (
        <p className="text-lg">
          {say('bench.keepCutPiecesColdUntil', {
            label: say.coded(SHAPE_WORDS[size.shape].label),
            base: say.coded(SHAPE_WORDS[size.shape].base),
            cm: cm(size.base),
            part:
              size.height > 0
                ? `, ${say.coded(SHAPE_WORDS[size.shape].height ?? '')} ${cm(size.height)}`
                : '',
          })}
        </p>
      )}
      {shape && (
        <>
          <ol className="grid grid-cols-2 gap-3 lg:grid-cols-4">
            {shape.steps.map(({ drawing, words }, i) => (
              <li key={say.coded(words)} className="grid content-start gap-1 text-[17px]">
                <Picture drawing={drawing} id={`shape-${i}`} className="w-full max-w-44" />
                {i + 1}. {say.coded(words)}
              </li>
            ))}
          </ol>
          <ul className="text-[17px] text-quiet">
            {shape.wrong.map(({ sign, because }) => (
              <li key={say.coded(sign)}>
                <span className="font-semibold">{say.coded(sign)}</span>: {say.coded(because)}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
