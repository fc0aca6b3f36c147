import { decimal, type ReaderUnits } from './reader';

/** Minutes as a baker says them: `45 min`, `2 h`, `14 h 20 min`. */
export function duration(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** Kilograms to the gram below one, to 100 g above: `640 g`, `17.6 kg`. */
export function weight(kg: number, reader: Pick<ReaderUnits, 'comma'>): string {
  return kg < 1
    ? `${Math.round(kg * 1000)} g`
    : `${decimal((Math.round(kg * 10) / 10).toFixed(1), reader)} kg`;
}
