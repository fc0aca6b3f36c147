import { useWords } from '../kit/words';
import type { StepStatus } from '@/core/record/step-state';
import { KnotMark } from './thread';
import { temperatureColour } from './temperature';

/** A step in a list: a knot for hands-on work, a bit of line in its temperature's colour for a wait. */
export function StepMark({
  hands,
  status,
  celsius,
}: {
  hands: boolean;
  status: StepStatus;
  celsius: number;
}) {
  const say = useWords();
  const words = {
    open: say('thread.toDo'),
    running: say('thread.underWay'),
    done: say('thread.done'),
    skipped: say('thread.skipped'),
  }[status];
  return (
    <svg role="img" aria-label={words} width={18} height={16} className="shrink-0 self-center">
      {hands ? (
        <KnotMark knot={{ key: '', x: 9, y: 8, status, word: '', oven: false }} size={5} />
      ) : (
        <path
          d="M1 8H17"
          stroke={temperatureColour(celsius)}
          strokeWidth={status === 'running' ? 5 : 3}
          strokeDasharray={status === 'open' ? '4 2' : undefined}
        />
      )}
    </svg>
  );
}
