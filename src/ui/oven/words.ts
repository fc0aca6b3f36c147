import { dialFor } from '@/core/bakery/machines';
import type { PieceCount } from '@/core/record/events';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';

/** `12:05`, or `+0:40` when it is over. */
export function timer(ms: number): string {
  const seconds = Math.abs(Math.round(ms / 1000));
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  const hours = Math.floor(minutes / 60);
  const shown = hours > 0 ? `${hours}:${String(minutes % 60).padStart(2, '0')}` : String(minutes);
  return `${ms < 0 ? '+' : ''}${shown}:${String(rest).padStart(2, '0')}`;
}

/** What the oven does for a load at a time: the phase that runs, or the last one. */
export const phaseAt = ({ phases }: Pick<OvenLoad, 'phases'>, now: number) =>
  phases.find(({ until }) => until > now) ?? phases.at(-1);

/** A fan bakes about 20 °C hotter than its dial. */
export const fanCelsius = (celsius: number): number =>
  dialFor({ kind: 'oven', details: { fan: true } }, celsius);

/** The last word on how a load came out. */
export function countOf({ dough, step }: OvenLoad): PieceCount | null {
  const last = dough.state.steps.get(step.key)?.records.findLast(({ data }) => data.kind === 'counted');
  return last?.data.kind === 'counted' ? last.data : null;
}

/** What a count says, as a message takes it. */
export const countValues = ({ good, second, waste }: Omit<PieceCount, 'kind'>) => ({ good, second, waste });
