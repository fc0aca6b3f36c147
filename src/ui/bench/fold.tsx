const LINES: Record<string, number[]> = {
  'letter fold': [1 / 3, 2 / 3],
  'book fold': [0.22, 0.47, 0.72],
  envelope: [],
};
const SAY: Record<string, string> = {
  'letter fold': 'fold in three, open ends left and right',
  'book fold': 'both ends to a line off the middle, then shut it',
  envelope: 'corners over the butter, pinch the seams',
};

/** A fold as a drawing: the sheet from above, its fold lines dashed. */
export function Fold({ fold }: { fold: string }) {
  const [width, height] = [210, 78];
  return (
    <figure className="w-[220px]">
      <svg viewBox={`-4 -4 ${width + 8} ${height + 8}`} role="img" aria-label={fold}>
        <rect width={width} height={height} fill="#e5d6b1" stroke="var(--ink)" strokeWidth={1.5} />
        {fold === 'envelope' ? (
          <g>
            <path
              d={`M${width / 2} 4L${width / 2 + 62} ${height / 2}L${width / 2} ${height - 4}L${width / 2 - 62} ${height / 2}Z`}
              fill="#f2d265"
              stroke="#17211f"
            />
            <path
              d={`M0 0L${width / 2 - 31} ${height / 4 + 1}M${width} 0L${width / 2 + 31} ${height / 4 + 1}M0 ${height}L${width / 2 - 31} ${(3 * height) / 4 - 1}M${width} ${height}L${width / 2 + 31} ${(3 * height) / 4 - 1}`}
              stroke="#17211f"
              strokeDasharray="4 3"
            />
          </g>
        ) : (
          (LINES[fold] ?? []).map((share) => (
            <path key={share} d={`M${width * share} 0V${height}`} stroke="#17211f" strokeDasharray="5 4" />
          ))
        )}
      </svg>
      <figcaption className="text-base text-quiet">
        {fold}: {SAY[fold] ?? ''}
      </figcaption>
    </figure>
  );
}
