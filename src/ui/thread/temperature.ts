/** Colours of the temperature scale: deep blue frozen, blue cold, grey-green room, amber proof, rust oven. */
const STOPS: [celsius: number, rgb: [number, number, number]][] = [
  [-18, [38, 48, 130]],
  [-2, [44, 84, 168]],
  [4, [61, 127, 196]],
  [12, [94, 141, 160]],
  [20, [118, 146, 128]],
  [24, [158, 143, 84]],
  [28, [201, 139, 43]],
  [60, [186, 92, 44]],
  [185, [150, 52, 36]],
];

/** Place of a temperature between the coldest (0) and the hottest (1) of the trade; most room where doughs live. */
const HEIGHTS: [celsius: number, height: number][] = [
  [-20, 0],
  [0, 0.16],
  [4, 0.24],
  [12, 0.44],
  [22, 0.66],
  [28, 0.82],
  [90, 0.94],
  [190, 1],
];

function between<T>(scale: [number, T][], celsius: number): [low: T, high: T, share: number] {
  const above = scale.findIndex(([at]) => at >= celsius);
  if (above === 0) return [scale[0]?.[1] as T, scale[0]?.[1] as T, 0];
  if (above < 0) return [scale.at(-1)?.[1] as T, scale.at(-1)?.[1] as T, 0];
  const [lowAt, low] = scale[above - 1] as [number, T];
  const [highAt, high] = scale[above] as [number, T];
  return [low, high, (celsius - lowAt) / (highAt - lowAt)];
}

export function temperatureColour(celsius: number): string {
  const [low, high, share] = between(STOPS, celsius);
  const mixed = low.map((channel, i) => Math.round(channel + ((high[i] as number) - channel) * share));
  return `rgb(${mixed.join(' ')})`;
}

/** 0 at the bottom of a thread's row, 1 at its top. */
export function temperatureHeight(celsius: number): number {
  const [low, high, share] = between(HEIGHTS, celsius);
  return low + (high - low) * share;
}
