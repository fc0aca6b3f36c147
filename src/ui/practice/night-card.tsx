import { Eye, Hand, Thermometer } from 'lucide-react';
import { cutsShort } from '@/core/forecast/early';
import { sensesFor } from '@/core/practice/looks';
import { doneFrom } from '@/core/practice/night';
import type { NightLook, Sense } from '@/core/practice/night-record';
import type { EventBody } from '@/core/record/events';
import { isHandsOn } from '@/core/record/state';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { clockTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import type { Board } from '@/core/wire/board';
import { NowAct } from '../bench/now-act';
import { NowWhen } from '../bench/now-when';
import { waitingBlocks } from '../bench/turn-acts';
import { WaitFacts } from '../bench/wait-facts';
import { WaitLooks } from '../bench/wait-looks';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { LookLine } from './look-line';

const MINUTE = 60_000;
/** The looks that are listed: the last ones. */
const LISTED = 5;

interface Props {
  item: AgendaItem;
  /** What was found of it so far. */
  looks: readonly NightLook[];
  now: number;
  board: Board;
  tell: (body: EventBody) => void;
  onLook: (sense: Sense) => void;
  /** Works on until a moment. */
  onWork: (until: number) => void;
}

const ICONS = { eye: Eye, thermometer: Thermometer, hand: Hand } as const;
const NAMES = {
  eye: 'practice.lookAt',
  thermometer: 'practice.measure',
  hand: 'practice.press',
} as const;

/** The step in hand of a practice night: what to do with it, and what is found when it is looked at. */
export function NightCard({ item, looks, now, board, tell, onLook, onWork }: Props) {
  const say = useWords();
  const { zone } = board.house;
  const { dough, step, state } = item;
  const hands = isHandsOn(step);
  const running = state.status === 'running';
  const senses = running ? sensesFor(step) : [];
  const ends = doneFrom(step);
  const acts = hands || step.step.ends === 'tap';
  return (
    <article>
      {acts ? (
        <NowWhen {...{ item, zone }} now={now} by="" />
      ) : (
        <p className="text-lg text-quiet">
          {say('bench.waitingSince', {
            time: say.dayTime(step.start, zone),
            duration: duration(Math.floor((now - step.start) / MINUTE)),
          })}
        </p>
      )}
      <h2 className="text-5xl leading-tight font-bold">{say.coded(step.label)}</h2>
      <p className="text-2xl font-semibold">{say.named(dough.name)}</p>
      {acts && (
        <NowAct
          {...{ item, zone, tell }}
          now={now}
          short={running ? null : cutsShort(dough, step, now)}
          doubt={null}
          onTemperature={() => onLook('thermometer')}
          block={waitingBlocks(dough, step)[0] ?? null}
        />
      )}
      {hands && running && now < ends && (
        <Button floor className="w-full" onClick={() => onWork(ends)}>
          {say('practice.skipToDone', { time: clockTime(ends, zone) })}
        </Button>
      )}
      {!hands && (
        <WaitFacts
          {...{ item, zone }}
          now={now}
          humidity={null}
          places={board.places}
          coreProbes={board.coreProbes}
          coolingRule={board.calls.coolingRule}
        />
      )}
      {senses.length > 0 && (
        <section aria-label={say('practice.youSee')} className="my-3">
          <div className="flex flex-wrap gap-3">
            {senses.map((sense) => {
              const Icon = ICONS[sense];
              return (
                <Button
                  key={sense}
                  floor
                  className="flex min-h-18 flex-1 items-center justify-center gap-2"
                  onClick={() => onLook(sense)}
                >
                  <Icon aria-hidden size={24} />
                  {say(NAMES[sense])}
                </Button>
              );
            })}
          </div>
          <ul aria-live="polite" className="mt-2 text-xl">
            {looks
              .slice(-LISTED)
              .reverse()
              .map((look) => (
                <li key={`${look.at} ${look.found.sense}`}>
                  <LookLine look={look} zone={zone} />
                </li>
              ))}
          </ul>
          <p className="text-base text-quiet">{say('practice.lookTakes')}</p>
        </section>
      )}
      {!hands && step.risen && running && (
        <WaitLooks
          phase={step.risen.phase}
          onTell={(verdict) => tell({ kind: 'verdict', data: { kind: 'verdict', verdict } })}
        />
      )}
    </article>
  );
}
