import { cooling, coolingMessage, type CoolingRule } from '@/core/climate/cooling';
import { lastMeasured, probeReadings } from '@/core/forecast/conditions';
import { remarkMessage } from '@/core/forecast/remark-message';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { clockTime } from '@/core/time/local';
import type { Board } from '@/core/wire/board';
import { useWords } from '../kit/words';
import { useCelsius } from '../live/units';
import { checkWords } from './rest-words';
import { aliveWords, verdictWords } from './wait-words';

interface Props {
  item: AgendaItem;
  now: number;
  zone: string;
  humidity: number | null;
  places: Board['places'];
  coreProbes: Board['coreProbes'];
  coolingRule: CoolingRule;
}

/** What is known of a wait: when it is ready, what to look for, what was looked at, judged, measured, and where it stands. */
export function WaitFacts({ item, now, zone, humidity, coolingRule, ...props }: Props) {
  return (
    <div className="my-3 grid gap-1 text-xl">
      <Expected {...{ item, zone, humidity }} />
      <Told {...{ item, zone }} />
      <Measured {...{ item, zone }} {...props} />
      <Minded {...{ item, now, zone, coolingRule }} />
    </div>
  );
}

/** When it is ready and planned to end, and how it should be. */
function Expected({ item: { step, state }, zone, humidity }: Pick<Props, 'item' | 'zone' | 'humidity'>) {
  const say = useWords();
  const { ready } = step;
  return (
    <>
      {ready && !step.never && (
        <p>
          {say.rich('bench.readyToBest', {
            span: (words) => <span className="font-bold">{words}</span>,
            time: clockTime(ready.earliest, zone),
            time2: clockTime(ready.latest, zone),
            time3: say.dayTime(ready.best, zone),
          })}
        </p>
      )}
      <p>
        {say('bench.plannedUntil', {
          time: say.dayTime(step.plannedEnd, zone),
          part:
            state.notBefore !== null
              ? say('bench.lookAgain', { time: clockTime(state.notBefore, zone) })
              : '',
        })}
      </p>
      {step.remark && <p className="text-warn">{say.coded(remarkMessage(step.remark))}</p>}
      {step.step.cover && (
        <p>
          {say('bench.cover', {
            cover: step.step.cover,
            part: humidity !== null ? say('bench.humidityThere', { humidity: Math.round(humidity) }) : '',
          })}
        </p>
      )}
      {step.step.check && <p>{say('bench.lookFor', { check: say.coded(step.step.check) })}</p>}
    </>
  );
}

/** What was looked at and judged. */
function Told({ item: { state }, zone }: Pick<Props, 'item' | 'zone'>) {
  const say = useWords();
  const last = state.alive.at(-1);
  const checked = state.records.findLast(({ data }) => data.kind === 'checked');
  return (
    <>
      {last && (
        <p>
          {say('bench.lookedAt', {
            time: clockTime(last.at, zone),
            part: last.sign ? `: ${last.sign}` : '',
            aliveWords: aliveWords(say, last),
          })}
        </p>
      )}
      {state.verdict && (
        <p>
          {say('bench.judged', {
            time: clockTime(state.verdict.at, zone),
            VERDICTWORDS: say.inLine(verdictWords(say)[state.verdict.verdict]),
          })}
        </p>
      )}
      {checked?.data.kind === 'checked' && (
        <p>
          {clockTime(checked.at, zone)} {checkWords(say, checked.data)}
        </p>
      )}
    </>
  );
}

/** What it has, by core probe or by hand, and where it stands. */
function Measured({
  item: { state },
  zone,
  places,
  coreProbes,
}: Pick<Props, 'item' | 'zone' | 'places' | 'coreProbes'>) {
  const say = useWords();
  const celsius = useCelsius();
  const coreProbe = coreProbes.find(({ id }) => id === state.coreProbe?.id);
  const measured = lastMeasured(state, probeReadings(coreProbes));
  const byCoreProbe =
    measured?.at === coreProbe?.at && measured?.celsius === coreProbe?.celsius ? coreProbe : undefined;
  const placeName = (id: string) => say.inLine(places.find(({ place }) => place === id)?.label ?? id);
  return (
    <>
      {measured && (
        <p>
          {say.rich('bench.at', {
            part: byCoreProbe ? say.inLine(byCoreProbe.label) : say('bench.measured'),
            b: (words) => <b>{words}</b>,
            celsius: celsius(measured.celsius),
            time: clockTime(measured.at, zone),
          })}
        </p>
      )}
      {state.moved && (
        <p>
          {say('bench.standsInSince', {
            placeName: placeName(state.moved.place),
            part: state.moved.shelf !== null ? say('bench.shelf2', { shelf: state.moved.shelf }) : '',
            time: clockTime(state.moved.at, zone),
          })}
        </p>
      )}
    </>
  );
}

/** How a cooling stands, and what can hurt. */
function Minded({
  item: { step, state },
  now,
  zone,
  coolingRule,
}: Pick<Props, 'item' | 'now' | 'zone' | 'coolingRule'>) {
  const say = useWords();
  return (
    <>
      {step.step.cools && (
        <p role="status" className="max-w-xl border-l-4 border-warn pl-3 font-semibold">
          {say.coded(coolingMessage(cooling(coolingRule, step.start, state.temperatures, now), zone))}
        </p>
      )}
      {step.step.caution && (
        <p className="max-w-md border-l-4 border-edge pl-3 text-lg">{say.coded(step.step.caution)}</p>
      )}
    </>
  );
}
