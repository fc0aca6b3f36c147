'use client';

import { useState } from 'react';
import { SHAPE_WORDS } from '@/core/cutting/piece';
import { Button } from '../kit/button';
import { useSizes } from '../lamination/geometry-strip';
import { ScrapSheet } from '../scrap/scrap-sheet';
import type { WorkProps } from './work-props';

/** Sheet and cut: what comes from it, the cut plan, and what is left over. */
export function SheetWork({ item, outputs, scale, tell }: WorkProps) {
  const [telling, setTelling] = useState(false);
  const { cm } = useSizes();
  const { dough } = item;
  const cuts = outputs.filter(({ piece }) => piece.cut);
  return (
    <div className="grid w-full gap-2 text-xl">
      {cuts.map(({ id, product, pieces, piece }) => (
        <p key={id}>
          <span className="font-semibold">{product}</span>: {pieces}{' '}
          {piece.cut && SHAPE_WORDS[piece.cut.size.shape].label}, {piece.cut && cm(piece.cut.size.base)}
          {piece.cut && piece.cut.size.height > 0 && ` × ${cm(piece.cut.size.height)}`}, {piece.cut?.mm} mm
        </p>
      ))}
      <div className="grid grid-cols-2 gap-3">
        {cuts.length > 0 && (
          <a
            href={`/dough/${dough.id}/cut`}
            className="grid min-h-14 place-items-center rounded border border-edge bg-ground font-semibold"
          >
            Cut plan
          </a>
        )}
        <Button floor onClick={() => setTelling(true)}>
          Trimmings
        </Button>
      </div>
      <ScrapSheet
        open={telling}
        onOpenChange={setTelling}
        scale={scale}
        onTell={(data) => tell({ kind: 'scrap', data })}
      />
    </div>
  );
}
