'use client';

import { useWords } from '../kit/words';
import { pieceArea, SHAPE_WORDS } from '@/core/cutting/piece';
import { FILLING_MOMENTS, fillingPerPiece, overfull } from '@/core/shaping/filling';
import { SHAPES } from '@/core/shaping/shapes';
import { showMass } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { useSizes } from '../lamination/geometry-strip';
import type { WorkProps } from './work-props';

/** How this piece is made up: what goes in, the hands' work in pictures, and what goes wrong. */
export function ShapeWork({ item, outputs }: WorkProps) {
  const say = useWords();
  const { units, cm } = useSizes();
  const output = outputs.find(({ id }) => id === item.step.outputId) ?? outputs[0];
  if (!output) return null;
  const { shape: kind, filling, cut } = output.piece;
  const shape = kind && SHAPES[kind];
  const area = cut ? pieceArea(cut.size) : 0;
  const pieces = item.step.load?.pieces ?? output.pieces;
  const each = filling ? fillingPerPiece(filling, area) : 0;
  const size = cut?.size;
  const full = filling && overfull(filling, area);
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
      {filling && (
        <div className="text-lg">
          <p className="text-xl font-semibold">
            {say('bench.aPieceInAll', {
              name: filling.name,
              mass: showMass(each, units),
              mass2: showMass(each * pieces, units),
            })}
          </p>
          <p>
            {say('bench.bareAtTheEdgeSealed', {
              FILLINGMOMENTS: say.coded(FILLING_MOMENTS[filling.moment]),
              where: filling.where,
              cm: cm(filling.bareEdge),
            })}
          </p>
          <p className={full ? 'text-warn' : 'text-quiet'}>
            {full
              ? say.coded(full)
              : say('bench.noMoreThanItOpens', { mass: showMass(filling.limit, units) })}
          </p>
        </div>
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
