import { FAULT_IDS } from '@/core/record/marks';
import { foundShare, judgedBatches, type JudgedBatch } from '../test-support/judged-batches';
import { row } from './measure';

const percent = (share: number) => `${Math.round(100 * share)} %`;
const shares = (batches: readonly JudgedBatch[]) =>
  `${percent(foundShare(batches, 1))}, ${percent(foundShare(batches, 2))}`;

/** How often the cause of a batch with one known mishap is named first, and among the first two, by fault. */
export function causes(): void {
  const all = judgedBatches();
  for (const fault of FAULT_IDS) {
    const own = all.filter((one) => one.fault === fault);
    const wrong = own.filter(({ cause, found }) => found[0] !== cause);
    const instead = new Set(wrong.map(({ cause, found }) => `${found[0] ?? 'nothing'} for ${cause}`));
    row(`${fault}: right cause first, among the first two`, shares(own), [...instead].join(', '));
  }
  row('all', shares(all), '≥ 80 %, 95 %');
}
