import type { Words } from '../codes/coded';
import type { DoughRecord, OutputRecord } from '../record/dough';
import type { PieceCount } from '../record/events';
import { explain, type Explanation } from './explain';
import { batchLog, type LoggedStep } from './log';
import type { HeardSpan } from './temperatures';
import { type BatchTrace, batchTrace } from './trace';
import { MARKS, type FaultId, type Mark, type BatchMarks, type Score } from '../record/marks';

/** What became of one output of a finished or half finished dough. */
export interface BatchReport {
  output: OutputRecord;
  /** Its loads, to be counted each. */
  loads: { key: string; pieces: number; nth: number; of: number }[];
  /** The step on which its marks are recorded: its last one. */
  markedOn: string | null;
  counted: Omit<PieceCount, 'kind'> | null;
  marks: Partial<Record<Mark, Score>>;
  /** Mean of the marks; null where there are none. */
  mean: number | null;
  /** Faults that were seen on it. */
  seen: FaultId[];
  /** What explains them, the likeliest first; and the trace that shows it, null where nothing was seen. */
  causes: Explanation[];
  trace: BatchTrace | null;
  /** Steps that were out of their window, or took half as long again as hands-on work was planned. */
  off: { label: Words; minutes: number; meant: [number, number] }[];
}

/** Hands-on work this much off its planned length is worth a line. */
const OFF = 1.5;

/**
 * Reports on each output of a dough, from what was recorded and heard. The last word on a mark counts.
 *
 * @param heard - what probes said while it waited
 */
export function batchReports(dough: DoughRecord, heard: readonly HeardSpan[] = []): BatchReport[] {
  return dough.outputs.map((output) => {
    const log = batchLog(dough, output.id);
    const own = log.filter(({ step }) => step.outputId === output.id);
    const judged = own.flatMap(({ state }) =>
      state.records.flatMap(({ data, at }) => (data.kind === 'marked' ? [{ data, at }] : [])),
    );
    const said = judged.sort((a, b) => a.at - b.at).map(({ data }) => data);
    const marks = Object.assign({}, ...said.map((one) => one.marks)) as BatchReport['marks'];
    const given = MARKS.flatMap((mark) => marks[mark] ?? []);
    return {
      output,
      markedOn: own.at(-1)?.step.key ?? null,
      loads: own.flatMap(({ step: { key, step, load } }) =>
        step.kind === 'bake' && load ? [{ key, pieces: load.pieces, nth: load.nth, of: load.of }] : [],
      ),
      counted: countedOf(own),
      marks,
      mean: given.length === 0 ? null : given.reduce((sum: number, score) => sum + score, 0) / given.length,
      ...diagnosis(dough, output.id, said.at(-1)?.seen ?? [], heard),
      off: log.flatMap(offWindow),
    };
  });
}

/** What was seen on an output, and what explains it; nothing before it is baked. */
function diagnosis(
  dough: DoughRecord,
  outputId: number,
  seen: FaultId[],
  heard: readonly HeardSpan[],
): Pick<BatchReport, 'seen' | 'causes' | 'trace'> {
  if (seen.length === 0) return { seen, causes: [], trace: null };
  const trace = batchTrace(dough, outputId, heard);
  return { seen, causes: explain(seen, trace), trace };
}

function countedOf(steps: readonly LoggedStep[]): BatchReport['counted'] {
  const last = steps.flatMap(({ state }) => {
    const counts = state.records.flatMap(({ data }) => (data.kind === 'counted' ? [data] : []));
    return counts.slice(-1);
  });
  if (last.length === 0) return null;
  const sum = (of: (counted: PieceCount) => number) => last.reduce((all, one) => all + of(one), 0);
  return { good: sum((c) => c.good), second: sum((c) => c.second), waste: sum((c) => c.waste) };
}

function offWindow({ step, minutes }: LoggedStep): BatchReport['off'] {
  if (minutes === null) return [];
  const hands = step.step.work !== undefined;
  const [least, most] = hands ? [0, step.target * OFF] : [step.min, step.max];
  return minutes < least || minutes > most
    ? [{ label: step.label, minutes, meant: hands ? [step.target, step.target] : [step.min, step.max] }]
    : [];
}

/** The last judgement with other marks put in. */
export function withMark(report: Pick<BatchReport, 'marks' | 'seen'>, mark: Mark, score: Score): BatchMarks {
  return {
    kind: 'marked',
    marks: { ...report.marks, [mark]: score },
    seen: report.seen,
  };
}
