'use client';

import { useWords } from '../kit/words';
import { Download, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { cutDrawing } from '@/core/cutting/drawing';
import type { PieceSize } from '@/core/cutting/piece';
import { partsFor } from '@/core/cutting/solve';
import { svgFile } from '@/core/drawing/svg';
import { rulerMark } from '@/core/units/length';
import { showLength } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { Tabs } from '../lamination/tabs';
import { useUnits } from '../live/units';
import { measure } from '@/core/units/measure';
import { useTyped } from '../workbench/use-typed';
import { CutAnswers } from './cut-answers';
import { CutRows } from './cut-rows';
import { useArrangement } from './use-arrangement';
import { type CutRow, readRow, rowOf, tooLarge } from './rows';
import { SheetWords } from './sheet-words';
import { SheetFields } from './sheet-fields';
import type { Drawing } from '@/core/drawing/drawing';

export interface PieceToCut {
  name: string;
  size: PieceSize;
  most: number | null;
  /** In all, where a dough is planned for them. */
  planned?: number;
  target: number | null;
  perTray: number | null;
}

interface Props {
  /** Of a dough; null where it is for any sheet. */
  title: string | null;
  /** Of one sheet: cm, mm, g/cm³. */
  sheet: { length: number; width: number; mm: number; density: number };
  sheets: number;
  /** What each was rolled to before it was trimmed, cm; nothing where that is not known. */
  rolled?: { length: number; width: number };
  pieces: PieceToCut[];
  benchLength: number;
  /** A tray, cm. */
  tray: readonly [number, number];
  /** What else belongs on the paper: allergens, shelves. */
  notes?: string[];
}

/** From sheet to pieces: where each cut goes, what a piece weighs, what is left over. Typed, drawn, printed. */
export function CutPlanView({ title, sheet, sheets, rolled, pieces, benchLength, tray, notes = [] }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const [edited, setRows] = useState<CutRow[] | null>(null);
  // Until somebody types, they follow the units of the reader.
  const begun = useMemo(
    () => pieces.map(({ name, size, ...more }) => rowOf(name, size, more, units)),
    [pieces, units],
  );
  const rows = edited ?? begun;
  const { read, field, typed, set } = useTyped({
    form: 'rectangle',
    ...{ length: measure('cm', sheet.length), width: measure('cm', sheet.width) },
    ...{ mm: measure('mm', sheet.mm), density: sheet.density.toFixed(2) },
  });
  const [length, width, mm, density] = [
    read.cm('length'),
    read.cm('width'),
    read.mm('mm'),
    read.number('density'),
  ];
  const round = typed.form === 'round';
  const reads = useMemo(() => rows.map((row) => readRow(say, row, units)), [rows, units, say]);
  const faults = reads.map((one) => (typeof one === 'string' ? one : null));
  const sheetFault =
    [length, round ? length : width, mm, density].some(Number.isNaN) ||
    length <= 0 ||
    (!round && width <= 0) ||
    mm <= 0
      ? say('cutPlan.aSheetHasALength')
      : mm < 1
        ? say('cutPlan.aSheetOfCannotBe', { length: showLength(mm, units), length2: showLength(2, units) })
        : length > (round ? 300 : 2000) || width > 300
          ? say('cutPlan.noTableTakesASheet')
          : density < 0.5 || density > 1.6
            ? say('cutPlan.laminatedDoughHasADensity')
            : null;
  const parts = sheetFault || round ? 1 : partsFor(length, benchLength);
  const ask = useMemo(() => {
    const cuts = reads.filter((one) => typeof one !== 'string');
    if (sheetFault || cuts.length === 0 || cuts.length < reads.length) return null;
    const wanted = cuts.map(({ wanted: one }) => ({
      ...one,
      most: one.most === null ? null : Math.ceil(one.most / parts),
    }));
    return { round, length: length / parts, width: round ? length : width, wanted, cuts, parts, mm, density };
  }, [reads, sheetFault, round, length, width, parts, mm, density]);
  const laid = useArrangement(ask);
  const names = rows.map(({ name }) => name);
  const drawing = laid && cutDrawing(laid.plan, laid.sheet.wanted, (cm) => rulerMark(cm, units));

  return (
    <main className="flex-1 p-5 print:p-0">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-4">
        {title === null ? <Tabs at="/cutting" /> : <h1 className="text-3xl font-bold">{title}</h1>}
        <TakeAway drawing={drawing} />
      </div>
      <div className="grid gap-3 print:hidden">
        <SheetFields typed={typed} set={set} field={field} read={read} />
        <CutRows rows={rows} faults={faults} onChange={setRows} />
      </div>
      {sheetFault && (
        <p role="alert" className="mt-3 border-l-4 border-warn pl-3 text-lg text-warn">
          {sheetFault}
        </p>
      )}
      {ask && !laid && <p className="mt-4 text-lg">{say('cutPlan.layingItOut')}</p>}
      {laid && drawing && (
        <>
          <SheetWords sheets={sheets} rolled={rolled} laid={laid} notes={notes} />
          {tooLarge(say, laid.sheet.wanted, laid.plan, names).map((words) => (
            <p key={words} role="alert" className="border-l-4 border-warn pl-3 text-lg text-warn">
              {words}
            </p>
          ))}
          <Picture drawing={drawing} id="cut" className="mt-2 max-h-[46dvh] w-full print:max-h-none" />
          <p className="mb-2 text-[15px] text-quiet">
            {say('cutPlan.rulerMarksInInchesCentimetres', {
              isCount: units.length === 'in',
              view: Math.round((drawing.view[2] / 18) * 10) / 10,
            })}
          </p>
          <CutAnswers
            plan={laid.plan}
            cuts={laid.sheet.cuts}
            names={names}
            mm={laid.sheet.mm}
            density={laid.sheet.density}
            tray={tray}
            planned={edited ? [] : pieces.map(({ planned }) => planned)}
            sheets={sheets * laid.sheet.parts}
            parts={laid.sheet.parts}
          />
        </>
      )}
    </main>
  );
}

interface TakeAwayProps {
  drawing: Drawing | null;
}

/** The plan as a drawing in true size, or on paper. */
function TakeAway({ drawing }: TakeAwayProps) {
  const say = useWords();
  const file =
    drawing &&
    `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgFile(drawing, say.coded(drawing.says), 10))}`;
  return (
    <div className="flex gap-2 print:hidden">
      {file && (
        <a
          href={file}
          download="cut-plan.svg"
          className="flex min-h-11 items-center gap-2 rounded border border-edge bg-flour px-4"
        >
          <Download aria-hidden size={18} />
          {say('cutPlan.sVGTrueSize')}
        </a>
      )}
      <button
        type="button"
        onClick={() => window.print()}
        className="flex min-h-11 items-center gap-2 rounded border border-edge bg-flour px-4"
      >
        <Printer aria-hidden size={18} />
        {say('cutPlan.printOnA4')}
      </button>
    </div>
  );
}
