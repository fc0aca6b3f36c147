import { useMemo } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { NightRecord } from '@/core/practice/night-record';
import type { NightReview } from '@/core/practice/review';
import type { Scene } from '@/core/practice/scene';
import { clockTime } from '@/core/time/local';
import { useWidth } from '../kit/use-width';
import { knotWords } from '../thread/knot-words';
import { useWords } from '../kit/words';
import { drawThread, type TimeScale, xOf } from '../thread/geometry';
import { Floor } from '../thread/ground';
import { ThreadKnots, ThreadLines } from '../thread/thread';

const HEIGHT = 110;
/** Under each thread: when its rises were ready, and the looks. */
const STRIP = 26;
const HOUR = 3_600_000;

interface Props {
  scene: Scene;
  record: NightRecord;
  doughs: readonly DoughForecast[];
  review: NightReview;
}

/** The night on its threads: what was done, when each rise was really ready, and when somebody looked. */
export function ReviewThread({ scene, record, doughs, review }: Props) {
  const say = useWords();
  const { ref, width } = useWidth<HTMLDivElement>(1200);
  const { zone } = scene.board.house;
  const scale: TimeScale = useMemo(() => {
    const ready = review.windows.flatMap(({ window }) =>
      window ? [Math.min(window.to, scene.closesAt)] : [],
    );
    const to = Math.max(record.at, scene.opensAt + HOUR, ...ready) + HOUR / 4;
    return { from: scene.opensAt - HOUR, to, width };
  }, [scene, record, review, width]);
  return (
    <section aria-label={say('practice.onTheThread')}>
      <h2 className="text-2xl font-bold">{say('practice.onTheThread')}</h2>
      <figure ref={ref} className="overflow-x-clip">
        {doughs.map((dough) => (
          <Row key={dough.id} {...{ dough, record, review, scale, zone }} />
        ))}
        <Floor scale={scale} zone={zone} now={record.at} />
        <figcaption className="text-[15px] text-quiet">{say('practice.threadLegend')}</figcaption>
      </figure>
    </section>
  );
}

function Row({
  dough,
  record,
  review,
  scale,
  zone,
}: Pick<Props, 'record' | 'review'> & { dough: DoughForecast; scale: TimeScale; zone: string }) {
  const say = useWords();
  const drawn = useMemo(
    () => drawThread(dough, scale, HEIGHT, { leastGive: Infinity, words: knotWords(say) }),
    [dough, scale, say],
  );
  const own = review.windows.filter(({ doughId }) => doughId === dough.id);
  const looks = record.looks.filter(({ doughId }) => doughId === dough.id);
  const label = (key: string) => {
    const step = dough.steps.find((one) => one.key === key)?.label;
    return step ? say.coded(step) : '';
  };
  const told = own.map(({ stepKey, window }) =>
    window
      ? say('practice.windowOf', {
          ...{ name: dough.name, step: label(stepKey) },
          ...{ from: clockTime(window.from, zone), to: clockTime(window.to, zone) },
        })
      : say('practice.never', { name: dough.name, step: label(stepKey) }),
  );
  return (
    <div className="border-b border-hairline pt-2">
      <p className="text-lg font-semibold">{dough.name}</p>
      <svg
        width={scale.width}
        height={HEIGHT + STRIP}
        role="img"
        aria-label={told.join('; ')}
        className="block"
      >
        <ThreadLines thread={drawn} />
        <ThreadKnots thread={drawn} />
        {own.map(({ stepKey, window, ended }) => (
          <g key={stepKey}>
            {window && (
              <rect
                x={xOf(scale, window.from)}
                y={HEIGHT + 4}
                width={Math.max(2, xOf(scale, window.to) - xOf(scale, window.from))}
                height={STRIP - 10}
                fill="var(--butter-wash)"
                stroke="var(--edge)"
              />
            )}
            {ended !== null && (
              <path
                d={`M${xOf(scale, ended)} ${HEIGHT - 4}V${HEIGHT + STRIP}`}
                stroke="var(--ink)"
                strokeWidth={2.5}
              />
            )}
          </g>
        ))}
        {looks.map(({ at, found }, i) => (
          <circle key={i} cx={xOf(scale, at)} cy={HEIGHT + STRIP / 2 - 1} r={4} fill="var(--ink)">
            <title>{say('practice.looked', { sense: found.sense, time: clockTime(at, zone) })}</title>
          </circle>
        ))}
      </svg>
      <ul className="text-[15px] text-quiet">
        {told.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </div>
  );
}
