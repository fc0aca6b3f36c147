import { FastForward, Flag, Pause, Play } from 'lucide-react';
import { clockTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { SPEEDS, type useNightClock } from './use-night-clock';

const MINUTE = 60_000;
/** Minutes by which a tap moves the clock on. */
const LEAP = 10;

interface Props {
  name: string;
  clock: ReturnType<typeof useNightClock>;
  zone: string;
  closesAt: number;
  isOver: boolean;
  onEnd: () => void;
}

/** The clock of a practice night, and what moves it: dashed, as everything that is not the bakery's own. */
export function NightHead({ name, clock, zone, closesAt, isOver, onEnd }: Props) {
  const say = useWords();
  const { now, speed, paused } = clock;
  return (
    <header className="flex flex-wrap items-center gap-3 border-b-2 border-dashed border-edge bg-ground px-5 py-2">
      <h1 className="text-2xl font-bold">
        {say('practice.title')}: {name}
      </h1>
      <p aria-label={say('practice.clock')} className="text-lg">
        {say.dayName(now, zone)}{' '}
        <span className="text-4xl font-bold tabular-nums">{clockTime(now, zone)}</span>
      </p>
      <p className="text-lg text-quiet">
        {isOver ? say('practice.over') : say('practice.ends', { time: say.dayTime(closesAt, zone) })}
      </p>
      <div className="ml-auto flex flex-wrap items-center gap-2">
        {!isOver && (
          <>
            <Button
              floor
              look={paused ? 'act' : 'plain'}
              className="flex items-center gap-2"
              onClick={() => clock.setPaused(!paused)}
            >
              {paused ? <Play aria-hidden size={22} /> : <Pause aria-hidden size={22} />}
              {paused ? say('practice.run') : say('practice.pause')}
            </Button>
            <div role="group" aria-label={say('practice.speed')} className="flex gap-1">
              {SPEEDS.map((times) => (
                <Button
                  key={times}
                  floor
                  className="px-3"
                  aria-pressed={speed === times}
                  onClick={() => clock.setSpeed(times)}
                >
                  {say('practice.times', { times })}
                </Button>
              ))}
            </div>
            <Button
              floor
              className="flex items-center gap-2"
              onClick={() => clock.moveTo(now + LEAP * MINUTE)}
            >
              <FastForward aria-hidden size={22} />
              {say('practice.skipMinutes', { minutes: LEAP })}
            </Button>
          </>
        )}
        <Button floor look={isOver ? 'act' : 'plain'} className="flex items-center gap-2" onClick={onEnd}>
          <Flag aria-hidden size={22} />
          {isOver ? say('practice.seeReview') : say('practice.endNight')}
        </Button>
      </div>
    </header>
  );
}
