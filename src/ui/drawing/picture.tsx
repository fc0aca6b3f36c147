import { pathOf, type Drawing, type Mark, type Tone } from '@/core/drawing/drawing';
import { useWords } from '../kit/words';

/** Dough, butter and fillings look the same by day and by night, as they do in the bakery. */
const FILLS: Record<Tone, string> = {
  ...{ dough: '#eadcb8', shade: '#d9c594', butter: '#f2d265', filling: '#8a5a4a', odd: '#d5d8d2' },
  ...{ second: '#e3c9a4', third: '#d3d9c0', tin: '#b9c2c4', none: 'none' },
};
const INK = '#17211f';

function Shape({ mark, thin, arrow }: { mark: Mark; thin: number; arrow: string }) {
  switch (mark.kind) {
    case 'area':
      return (
        <path
          d={pathOf(mark.points, true)}
          fill={FILLS[mark.tone]}
          stroke={mark.bare ? 'none' : INK}
          strokeWidth={1.1}
          vectorEffect="non-scaling-stroke"
          strokeLinejoin="round"
        />
      );
    case 'curve':
      return (
        <path
          d={mark.path}
          fill={FILLS[mark.tone]}
          stroke={mark.free ? 'var(--ink)' : INK}
          strokeWidth={1.1}
          vectorEffect="non-scaling-stroke"
          strokeDasharray={mark.dashed ? '5 4' : undefined}
        />
      );
    case 'line':
      return (
        <path
          d={pathOf(mark.points, false)}
          fill="none"
          stroke={mark.arrow || mark.free ? 'var(--ink)' : INK}
          strokeWidth={mark.arrow ? 2.2 * thin : mark.heavy ? 2.4 : 1.1}
          vectorEffect={mark.arrow ? undefined : 'non-scaling-stroke'}
          strokeDasharray={mark.dashed ? '5 4' : undefined}
          strokeLinejoin="round"
          markerEnd={mark.arrow ? `url(#${arrow})` : undefined}
        />
      );
    case 'text':
      return (
        <text
          x={mark.at[0]}
          y={mark.at[1]}
          fontSize={mark.size}
          textAnchor={mark.anchor ?? 'middle'}
          className="fill-ink font-label font-medium"
        >
          {mark.text}
        </text>
      );
  }
}

/** A drawing of the core, on the screen. `id` tells its arrow heads from those of other drawings. */
export function Picture({ drawing, id, className }: { drawing: Drawing; id: string; className?: string }) {
  const say = useWords();
  const { view, marks, says } = drawing;
  const thin = Math.max(view[2], view[3]) / 320;
  const arrow = `arrow-${id}`;
  return (
    <svg viewBox={view.join(' ')} role="img" aria-label={say.coded(says)} className={className}>
      <defs>
        <marker id={arrow} viewBox="0 0 8 8" refX={5} refY={4} markerWidth={5} markerHeight={5} orient="auto">
          <path d="M0 0.8L8 4L0 7.2Z" fill="var(--ink)" />
        </marker>
      </defs>
      {marks.map((mark, i) => (
        <Shape key={i} mark={mark} thin={thin} arrow={arrow} />
      ))}
    </svg>
  );
}
