import type { Analysis } from '@/core/formula/analysis';

/** Parts of a dough in per cent of the flour, the flour first; each as it looks in the bakery. */
const PARTS = [
  ['flour', '#eadcb8'],
  ['hydration', '#7fa6bd'],
  ['fat', '#f2c230'],
  ['sugar', '#c08a5c'],
] as const;

/**
 * What a dough is made of, as one bar: flour, water, fat and sugar in the order of the columns beside it, which say the
 * numbers. The bars of all doughs have one scale: a longer one is a richer or wetter dough.
 */
export function Composition({ analysis }: { analysis: Analysis }) {
  const shares = PARTS.map(([part, fill]) => ({
    part,
    fill,
    share: part === 'flour' ? 100 : analysis[part],
  }));
  const starts = shares.map((_, nth) => shares.slice(0, nth).reduce((sum, { share }) => sum + share, 0));
  return (
    <svg aria-hidden viewBox="0 0 250 8" preserveAspectRatio="none" className="mt-1 h-2.5 w-full max-w-56">
      {shares.map(({ part, fill, share }, nth) => (
        <rect key={part} x={starts[nth]} width={share} height={8} fill={fill} stroke="var(--ground)" />
      ))}
    </svg>
  );
}
