import type { Say } from '@/words/say';
/** How axes, tooltips and lines of all charts look. */
export const AXIS = { stroke: 'var(--quiet)', tick: { fill: 'var(--quiet)', fontSize: 14 } } as const;

export const tooltip = (say: Say) =>
  ({
    background: 'var(--flour)',
    border: say('kit.n1pxSolidVarEdge'),
    borderRadius: 4,
  }) as const;

export const LINE = { dot: false, isAnimationActive: false } as const;
