const TRIES = 15;

/** The number that so large a share of the numbers is below. */
export function share(numbers: number[], part: number): number {
  return [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length * part)] ?? Number.NaN;
}

export const median = (numbers: number[]) => share(numbers, 0.5);

export function row(what: string, measured: string, wanted: string): void {
  console.log(`${what.padEnd(58)}${measured.padStart(12)}   ${wanted}`);
}

export async function timed(work: () => unknown, tries = TRIES): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < tries; i++) {
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  }
  return median(times);
}
