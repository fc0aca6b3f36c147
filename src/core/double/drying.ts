import type { StepKind } from '../process/route';

/** An open surface for some minutes: its temperature and that of the air, °C, and the air's humidity, %. */
export interface OpenSurface {
  celsius: number;
  air: number;
  humidity: number;
  minutes: number;
}

/** How readily water leaves an open surface, m/s: heat transfer of slowly moving air (8 W/m²K) by the Lewis relation. */
const TRANSFER = 0.0067;
/** Dough holds its water this much tighter than an open pan does: its water activity. */
const ACTIVITY = 0.96;
/** What comes up from inside, for each g/m³ that saturated air of its temperature holds: g/m² a minute. */
const SUPPLIED = 0.08;
/** Water that a surface has lost for good when it has a skin, g/m²; and when it is dry to the touch. */
export const SKIN = 150;
export const DRY_TO_THE_TOUCH = 60;

/** Water in saturated air, g/m³: vapour pressure by the Magnus formula, as a density by the gas law. */
const saturated = (celsius: number): number =>
  (216.7 * 6.112 * Math.exp((17.62 * celsius) / (243.12 + celsius))) / (273.15 + celsius);

/**
 * Water that an open surface of dough loses beyond what comes up from inside, g/m²: nothing in air that is damp enough.
 *
 * @example
 * waterLost({ celsius: 26, air: 26, humidity: 78, minutes: 90 }); // 0: a proof as it should be
 * waterLost({ celsius: 26, air: 26, humidity: 46, minutes: 90 }); // 265: a skin
 */
export function waterLost({ celsius, air, humidity, minutes }: OpenSurface): number {
  const held = saturated(celsius);
  const drop = ACTIVITY * held - (humidity / 100) * saturated(air);
  return Math.max(0, TRANSFER * drop * 60 - SUPPLIED * held) * minutes;
}

/** Work that gives a dough a new surface, or wets the one it has. */
const RENEWS: readonly StepKind[] = ['mix', 'fold', 'degas', 'turn', 'sheet', 'divide', 'shape', 'wash'];

/** Whether a step leaves nothing of a surface that has dried. */
export const renewsSurface = (kind: StepKind): boolean => RENEWS.includes(kind);
