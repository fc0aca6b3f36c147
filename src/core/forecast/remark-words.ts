import type { StepRemark } from '../process/expand';
import { duration } from '../units/format';
import { METRIC, showCelsius, type ReaderUnits } from '../units/reader';

/** Why a wait does not do what it is for, in a sentence. */
export function remarkWords(remark: StepRemark, units: Pick<ReaderUnits, 'temperature'> = METRIC): string {
  const degrees = (celsius: number) => showCelsius(Math.round(celsius * 10) / 10, units);
  switch (remark.code) {
    case 'core-out-of-reach':
      return `At ${degrees(remark.around)} the core does not come to ${degrees(remark.until)}.`;
    case 'no-rise':
      return `At ${degrees(remark.around)} it does not rise within ${duration(remark.within)}.`;
    case 'risen-before':
      return 'It has risen already in the waits before.';
  }
}
