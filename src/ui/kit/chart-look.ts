/** How axes, tooltips and lines of all charts look. */
export const AXIS = { stroke: 'var(--quiet)', tick: { fill: 'var(--quiet)', fontSize: 14 } } as const;

export const TOOLTIP = {
  background: 'var(--flour)',
  border: '1px solid var(--edge)',
  borderRadius: 4,
} as const;

export const LINE = { dot: false, isAnimationActive: false } as const;
