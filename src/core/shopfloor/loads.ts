import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';

/** How much of a resource is held in each bin of time, at its peak. */
export function loadBins(
  doughs: readonly DoughForecast[],
  resource: string,
  span: { from: Instant; to: Instant },
  binMinutes: number,
): number[] {
  const { from, to } = span;
  const minutes = Math.ceil((to - from) / MINUTE);
  const held = new Int32Array(minutes + 1);
  for (const dough of doughs) {
    for (const step of dough.steps) {
      const use = step.uses.find((u) => u.resource === resource);
      if (!use) continue;
      const { start, end } = step;
      const [a, b] = [start, end].map((at) =>
        Math.min(minutes, Math.max(0, Math.round((at - from) / MINUTE))),
      ) as [number, number];
      if (b <= a) continue;
      held[a] = (held[a] as number) + use.amount;
      held[b] = (held[b] as number) - use.amount;
    }
  }
  const bins = new Array<number>(Math.ceil(minutes / binMinutes)).fill(0);
  let level = 0;
  for (let m = 0; m < minutes; m++) {
    level += held[m] as number;
    const bin = Math.floor(m / binMinutes);
    bins[bin] = Math.max(bins[bin] ?? 0, level);
  }
  return bins;
}

/** When a machine stands at which setting, °C: uses at one setting that follow each other are one span. */
export function settingSpans(
  doughs: readonly DoughForecast[],
  resource: string,
  { from, to }: { from: Instant; to: Instant },
): { setting: number; start: Instant; end: Instant }[] {
  const uses = doughs.flatMap((dough) =>
    dough.steps.flatMap((step) => {
      const setting = step.uses.find((use) => use.resource === resource)?.setting;
      return setting === undefined ? [] : [{ setting, start: step.start, end: step.end }];
    }),
  );
  const spans: { setting: number; start: Instant; end: Instant }[] = [];
  for (const use of uses
    .filter(({ start, end }) => end > from && start < to)
    .sort((a, b) => a.start - b.start)) {
    const last = spans.at(-1);
    if (last?.setting === use.setting) last.end = Math.max(last.end, use.end);
    else spans.push({ ...use });
  }
  return spans;
}
