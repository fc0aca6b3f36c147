'use client';

import { pieceArea, SHAPE_WORDS } from '@/core/cutting/piece';
import { trayNeed } from '@/core/cutting/trays';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { OutputRecord } from '@/core/record/dough';
import { machinesOf, type Machine } from '@/core/bakery/machines';
import { FILLING_MOMENTS, fillingPerPiece, overfull } from '@/core/shaping/filling';
import { SHAPES } from '@/core/shaping/shapes';
import { showMass } from '@/core/units/reader';
import { useSizes } from '../lamination/geometry-strip';

interface Props {
  dough: DoughForecast;
  outputs: readonly OutputRecord[];
  machines: readonly Machine[];
}

/** What becomes of the sheet, or of what was divided: pieces, shapes, fillings, trays and the shelves for them. */
export function PiecesPanel({ dough, outputs, machines }: Props) {
  const { units, cm } = useSizes();
  const hasCut = outputs.some(({ piece }) => piece.cut);
  return (
    <section aria-labelledby="pieces-heading" className="mt-6">
      <div className="flex flex-wrap items-center gap-4">
        <h2 id="pieces-heading" className="text-2xl font-semibold">
          Pieces
        </h2>
        {hasCut && dough.lamination && (
          <a
            href={`/dough/${dough.id}/cut`}
            className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4"
          >
            Cut plan
          </a>
        )}
      </div>
      <ul className="grid gap-2 text-[17px]">
        {outputs.map(({ id, product, pieces, piece }) => {
          const area = piece.cut ? pieceArea(piece.cut.size) : 0;
          const each = piece.filling ? fillingPerPiece(piece.filling, area) : 0;
          const { trays } = trayNeed(pieces, piece.perTray);
          return (
            <li key={id}>
              <p>
                <span className="font-semibold">{product}</span>
                {piece.variantOf && (
                  <span className="text-quiet"> (variant of {piece.variantOf.toLowerCase()})</span>
                )}
                : {pieces} of {showMass(piece.grams, units)}
                {piece.cut &&
                  `, ${SHAPE_WORDS[piece.cut.size.shape].label} ${cm(piece.cut.size.base)}${piece.cut.size.height > 0 ? ` × ${cm(piece.cut.size.height)}` : ''} at ${piece.cut.mm} mm`}
                {piece.shape && `, ${SHAPES[piece.shape].label}`}
              </p>
              {piece.filling && (
                <p className={overfull(piece.filling, area) ? 'text-warn' : 'text-quiet'}>
                  {piece.filling.name}, {showMass(each, units)} a piece, {showMass(each * pieces, units)} in
                  all; {overfull(piece.filling, area) ?? FILLING_MOMENTS[piece.filling.moment]}
                </p>
              )}
              <p className="text-quiet">
                {trays} {trays === 1 ? 'tray' : 'trays'} of {piece.perTray}
                {roomFor(dough, id, machines)}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Shelves and places that the trays of an output take, in the order of their way: "; 4 of 30 cold shelves, …". */
function roomFor(dough: DoughForecast, outputId: number, machines: readonly Machine[]): string {
  const words = dough.steps
    .filter((step) => step.outputId === outputId && (step.load?.nth ?? 1) === 1)
    .flatMap(({ step, uses }) =>
      (step.holds ?? [])
        .filter(({ per }) => per === 'tray')
        .flatMap(({ machine }) => {
          const able = machinesOf(machine, machines);
          const use = uses.find(({ resource }) => able.some(({ id }) => id === resource));
          const found = able.find(({ id }) => id === use?.resource);
          if (!found || !use) return [];
          const name = able.length > 1 ? found.label.toLowerCase() : found.kind;
          return [`${use.amount} of ${found.capacity} ${found.unit} in the ${name}`];
        }),
    );
  return words.length > 0 ? `; each load ${[...new Set(words)].join(', ')}` : '';
}
