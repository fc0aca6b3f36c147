'use client';

import { useWords } from '../kit/words';
import { useMemo, useState } from 'react';
import { SHAPE_WORDS } from '@/core/cutting/piece';
import { thicknessAdvice } from '@/core/cutting/thickness';
import { sheetsOfDough } from '@/core/forecast/cut-sheets';
import { Button } from '../kit/button';
import { GapRow } from '../lamination/gap-row';
import { useSizes } from '../lamination/use-sizes';
import { ScrapSheet } from '../scrap/scrap-sheet';
import { thicknessWords } from '../cutting/weight-words';
import { fillingWhenWeighed, nearestOutput, OutputChoice, pieceTarget } from './output-choice';
import { WeighIn } from './weigh-in';
import type { WorkProps } from './work-props';

/** The last weighings count: after a change of the gap the earlier ones say nothing any more. */
const WEIGHED = 3;

/** Sheet and cut: what comes from it, the cut plan, and what is left over. */
export function SheetWork({ item, outputs, rolling, scale, tell, running }: WorkProps) {
  const say = useWords();
  const [telling, setTelling] = useState(false);
  const { cm, slab } = useSizes();
  const { dough } = item;
  const sheets = useMemo(() => sheetsOfDough(dough, rolling), [dough, rolling]);
  const cuts = outputs.filter(({ piece }) => piece.cut);
  return (
    <div className="grid w-full gap-2 text-xl">
      {sheets && (
        <>
          <p className="font-semibold">
            {say('bench.rollItToEachOf', {
              blocks: sheets.blocks,
              slab: slab(sheets.rolled),
              part: sheets.parts > 1 ? say('bench.cutItIn', { parts: sheets.parts }) : '',
            })}
          </p>
          <GapRow passes={sheets.passes} floor />
        </>
      )}
      {cuts.map(({ id, product, pieces, piece }) => (
        <p key={id}>
          {say.rich('bench.mm', {
            span: (words) => <span className="font-semibold">{words}</span>,
            product,
            pieces,
            cut: () => piece.cut && say.coded(SHAPE_WORDS[piece.cut.size.shape].label),
            cut2: () => piece.cut && cm(piece.cut.size.base),
            part: piece.cut && piece.cut.size.height > 0 ? ` × ${cm(piece.cut.size.height)}` : '',
            mm: () => piece.cut?.mm,
          })}
        </p>
      ))}
      {running && (
        <PieceWeights {...{ item, scale, tell }} outputs={cuts} density={sheets?.density ?? USUAL_DENSITY} />
      )}
      <div className="grid grid-cols-2 gap-3">
        {cuts.length > 0 && (
          <a
            href={`/dough/${dough.id}/cut`}
            className="grid min-h-14 place-items-center rounded border border-edge bg-ground font-semibold"
          >
            {say('bench.cutPlan')}
          </a>
        )}
        <Button floor onClick={() => setTelling(true)}>
          {say('bench.trimmings')}
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

/** Of laminated dough, where nobody knows what is rolled, g/cm³. */
const USUAL_DENSITY = 1.07;

/** A few cut pieces on the scale: whether the sheet is as thick as it should be, and what to change. */
function PieceWeights({
  item,
  outputs,
  density,
  scale,
  tell,
}: Pick<WorkProps, 'item' | 'outputs' | 'scale' | 'tell'> & { density: number }) {
  const say = useWords();
  const { units } = useSizes();
  const [of, setOf] = useState(0);
  const output = outputs[Math.min(of, outputs.length - 1)];
  const cut = output?.piece.cut;
  if (!output || !cut) return null;
  const weighings = item.state.records.flatMap(({ data }) =>
    data.kind === 'pieces' && nearestOutput(outputs, data.grams / data.count) === output ? [data] : [],
  );
  const filling = fillingWhenWeighed(output);
  const advice = thicknessAdvice(
    { ...pieceTarget(output), ...{ size: cut.size, mm: cut.mm, density, filling } },
    weighings.slice(-WEIGHED),
  );
  return (
    <>
      <OutputChoice outputs={outputs} chosen={of} onChoose={setOf} />
      <WeighIn
        grams={output.piece.grams + filling}
        scale={scale}
        onWeigh={(data) => tell({ kind: 'weigh', data })}
      />
      {advice && (
        <p
          role="status"
          className={advice.verdict === 'within' ? 'text-lg' : 'text-lg font-semibold text-warn'}
        >
          {thicknessWords(say, advice, cut.mm, units)}
        </p>
      )}
    </>
  );
}
