import { FOLDED } from './folded';
import { ROLLED } from './rolled';
import type { Shape } from './step';

export const SHAPE_KINDS = ['crescent', 'roll', 'snail', 'pinwheel', 'pocket', 'braid', 'bun'] as const;
/** How a piece is made up. */
export type ShapeKind = (typeof SHAPE_KINDS)[number];

export const SHAPES: Record<ShapeKind, Shape> = { ...ROLLED, ...FOLDED };
