import type { AgendaItem } from '@/core/shopfloor/agenda';
import { isHandsOn } from '@/core/record/state';
import { clockTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { plannedWords } from '../floor/forecast-words';
import { useWords } from '../kit/words';
import { whenWords } from '../plan/words';

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  /** Whose it is; empty where it is this person's own. */
  by: string;
}

/** When it was begun or is to be begun, and how much is left. */
export function NowWhen({ item, now, zone, by }: Props) {
  const say = useWords();
  const { dough, step, state } = item;
  const running = state.status === 'running';
  const hands = isHandsOn(step);
  return (
    <p className="text-lg text-quiet">
      {say.rich('bench.underWayInTheOven', {
        isRunning: running,
        isHands: hands,
        time: clockTime(state.startedAt ?? now, zone),
        value: by && hands ? `, ${by}` : '',
        plannedWords:
          plannedWords(say, step, dough, zone) ??
          say('bench.plannedAt', { time: clockTime(step.plannedStart, zone) }),
        running: () =>
          !running && (
            <span className={item.inMinutes < 0 ? 'font-bold text-warn' : ''}>, {whenWords(say, item)}</span>
          ),
        running2: () =>
          running && (
            <span className={item.inMinutes < 0 ? 'font-bold text-warn' : ''}>
              {say('bench.part', {
                part:
                  item.inMinutes < 0
                    ? say('bench.overBy', { duration: duration(-item.inMinutes) })
                    : say('bench.toGo', { duration: duration(item.inMinutes) }),
              })}
            </span>
          ),
      })}
    </p>
  );
}
