/** Minutes as a baker says them: `45 min`, `2 h`, `14 h 20`. */
export function duration(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** `in 25 min`, `12 min ago`, `now`. */
export function fromNow(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole === 0) return 'now';
  return whole > 0 ? `in ${duration(whole)}` : `${duration(whole)} ago`;
}

/** Kilograms to the gram below one, to 100 g above: `640 g`, `17.6 kg`. */
export function weight(kg: number): string {
  return kg < 1 ? `${Math.round(kg * 1000)} g` : `${(Math.round(kg * 10) / 10).toFixed(1)} kg`;
}

/** `24 °C`, one decimal only where there is one. */
export function celsius(degrees: number): string {
  return `${Math.round(degrees * 10) / 10} °C`;
}
