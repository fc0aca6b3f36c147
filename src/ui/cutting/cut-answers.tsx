'use client';

import { useWords } from '../kit/words';
import { sheetArea, type Arrangement } from '@/core/cutting/arrange';
import { pieceGrams, SHAPE_WORDS } from '@/core/cutting/piece';
import { sheetFor, weightAdvice } from '@/core/cutting/solve';
import { footOf, perTray as fitting, trayNeed } from '@/core/cutting/trays';
import { rulerLength } from '@/core/units/length';
import { showMass } from '@/core/units/reader';
import { useUnits } from '../live/units';
import type { ReadCut } from './rows';
import { weightWords } from './weight-words';

interface Props {
  plan: Arrangement;
  cuts: readonly ReadCut[];
  names: readonly string[];
  mm: number;
  density: number;
  /** How many sheets are cut like this one, and how many of them make one whole sheet. */
  sheets: number;
  parts: number;
  /** A tray, cm. */
  tray: readonly [number, number];
  /** How many of each the dough is planned for. */
  planned: readonly (number | undefined)[];
}

/** What comes from the sheet: pieces, their weight, how to mend it, trays, and what is left over. */
export function CutAnswers({ plan, cuts, names, mm, density, sheets, parts, tray, planned }: Props) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <div
      className="relative overflow-x-auto"
      tabIndex={0}
      role="group"
      aria-label={say('cutPlan.whatComesFromTheSheet')}
    >
      <table className="w-full min-w-[40rem] border-collapse text-left text-[17px]">
        <thead>
          <tr className="border-b border-edge text-[15px] text-quiet">
            {[
              '',
              say('cutPlan.pieces'),
              say('cutPlan.each'),
              say('cutPlan.weight'),
              say('cutPlan.trays'),
              say('cutPlan.forThatManyAlone'),
            ].map((heading) => (
              <th key={heading} scope="col" className="pr-4 font-normal">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {cuts.map(({ wanted, target, perTray }, i) => {
            const pieces = plan.counts[i] ?? 0;
            const grams = pieceGrams(wanted.size, mm, density);
            const alone = plan.round ? null : sheetFor(wanted.size, wanted.most ?? pieces, plan.width);
            // Where nobody has said how many a tray takes, as many as find room to double.
            const each = perTray ?? fitting(tray, footOf(wanted.size, mm));
            const trays = each > 0 ? trayNeed(pieces * sheets, each) : null;
            const more = planned[i] === undefined ? 0 : pieces * sheets - planned[i];
            const missing =
              wanted.most === null ? 0 : Math.max(0, wanted.most * (sheets / parts) - pieces * sheets);
            return (
              <tr key={i} className="border-b border-hairline align-baseline">
                <th scope="row" className="pr-4 font-semibold">
                  {names[i] || say.coded(SHAPE_WORDS[wanted.size.shape].label)}
                </th>
                <td className="pr-4 whitespace-nowrap">
                  <span className="text-2xl font-bold">{pieces}</span>
                  {sheets > 1 && (
                    <span className="text-quiet">
                      {say('cutPlan.aSheetInAll', { pieces: pieces * sheets })}
                    </span>
                  )}
                  {more > 0 && <span className="text-quiet">{say('cutPlan.moreThanPlanned', { more })}</span>}
                  {missing > 0 && (
                    <span className="text-warn">{say('cutPlan.fewerThanWanted', { missing })}</span>
                  )}
                </td>
                <td className="pr-4 whitespace-nowrap">{showMass(grams, units)}</td>
                <td className="pr-4">
                  {target === null
                    ? ''
                    : weightWords(say, weightAdvice(wanted.size, mm, density, target), units)}
                </td>
                <td className="pr-4 whitespace-nowrap">
                  {trays && trays.trays > 0
                    ? say('cutPlan.of', {
                        trays: trays.trays,
                        perTray: trays.perTray,
                        part:
                          trays.onLast < trays.perTray
                            ? say('cutPlan.theLastWith', { onLast: trays.onLast })
                            : '',
                      })
                    : ''}
                </td>
                <td className="whitespace-nowrap text-quiet">
                  {alone && (wanted.most ?? pieces) > 0
                    ? say('cutPlan.aSheetLong', { rulerLength: rulerLength(alone.length, units) })
                    : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-[17px]">
        {say('cutPlan.leftOverOfTheSheet', {
          scrap: Math.round(plan.scrap * 1000) / 10,
          mass: showMass((sheetArea(plan) * plan.scrap * mm * density) / 10, units),
          part: plan.odd > 0 ? say('cutPlan.oddPiecePiecesFromThe', { odd: plan.odd }) : '',
        })}
      </p>
    </div>
  );
}
