'use client';

import { MACHINE_WORDS, unitWords } from '@/core/bakery/machine-words';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { pieceArea, SHAPE_WORDS } from '@/core/cutting/piece';
import { trayNeed } from '@/core/cutting/trays';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { OutputRecord } from '@/core/record/dough';
import { machinesOf, type Machine } from '@/core/bakery/machines';
import { partsOfPiece } from '@/core/shaping/needs';
import { SHAPES } from '@/core/shaping/shapes';
import { showMass } from '@/core/units/reader';
import { useSizes } from '../lamination/use-sizes';

interface Props {
  dough: DoughForecast;
  outputs: readonly OutputRecord[];
  machines: readonly Machine[];
}

/** What becomes of the sheet, or of what was divided: pieces, shapes, fillings, trays and the shelves for them. */
export function PiecesPanel({ dough, outputs, machines }: Props) {
  const say = useWords();
  const { units, cm } = useSizes();
  const hasCut = outputs.some(({ piece }) => piece.cut);
  return (
    <section aria-labelledby="pieces-heading" className="mt-6">
      <div className="flex flex-wrap items-center gap-4">
        <h2 id="pieces-heading" className="text-2xl font-semibold">
          {say('dough.pieces')}
        </h2>
        {hasCut && dough.lamination && (
          <a
            href={`/dough/${dough.id}/cut`}
            className="grid min-h-11 place-items-center rounded border border-edge bg-flour px-4"
          >
            {say('dough.cutPlan')}
          </a>
        )}
      </div>
      <ul className="grid gap-2 text-[17px]">
        {outputs.map(({ id, product, pieces, piece }) => {
          const area = piece.cut ? pieceArea(piece.cut.size) : 0;
          const { trays } = trayNeed(pieces, piece.perTray);
          return (
            <li key={id}>
              <p>
                {say.rich('dough.of', {
                  span: (words) => <span className="font-semibold">{words}</span>,
                  product,
                  variantOf: () =>
                    piece.variantOf && (
                      <span className="text-quiet">
                        {say('dough.variantOf', { variantOf: say.inLine(piece.variantOf) })}
                      </span>
                    ),
                  pieces,
                  mass: showMass(piece.grams, units),
                  part: piece.cut
                    ? say('dough.atMm', {
                        label: say.coded(SHAPE_WORDS[piece.cut.size.shape].label),
                        cm: cm(piece.cut.size.base),
                        value: piece.cut.size.height > 0 ? ` × ${cm(piece.cut.size.height)}` : '',
                        mm: piece.cut.mm,
                      })
                    : '',
                  part2: piece.shape ? `, ${say.coded(SHAPES[piece.shape].label)}` : '',
                })}
              </p>
              {partsOfPiece(piece, area).map(({ part, grams, moment, overfull }) => (
                <p key={`${part.name} ${moment.code}`} className={overfull ? 'text-warn' : 'text-quiet'}>
                  {say('dough.aPieceInAll', {
                    name: part.name,
                    mass: showMass(grams, units),
                    mass2: showMass(grams * pieces, units),
                    overfull: say.coded(overfull ?? moment),
                  })}
                </p>
              ))}
              <p className="text-quiet">
                {say('dough.trayTraysOf', {
                  trays,
                  perTray: piece.perTray,
                  roomFor: roomFor(say, dough, id, machines),
                })}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Shelves and places that the trays of an output take, in the order of their way: "; 4 of 30 cold shelves, …". */
function roomFor(say: Say, dough: DoughForecast, outputId: number, machines: readonly Machine[]): string {
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
          const name =
            able.length > 1 ? say.inLine(found.label) : say.inLine(say.coded(MACHINE_WORDS[found.kind]));
          return [
            say('dough.ofInThe', {
              amount: use.amount,
              capacity: found.capacity,
              unit: say.coded(unitWords(found.kind, found.capacity)),
              name,
            }),
          ];
        }),
    );
  return words.length > 0 ? say('dough.eachLoad', { value: [...new Set(words)].join(', ') }) : '';
}
