'use client';

import type { ReactNode } from 'react';
import type { StepStatus } from '@/core/record/step-state';
import { useWords } from '../kit/words';
import { temperatureColour } from '../thread/temperature';
import { KnotMark } from '../thread/thread';

const WIDTH = 64;
const HEIGHT = 26;

/** A knot as the plan draws it. */
const knot = (status: StepStatus, oven = false) => (
  <KnotMark knot={{ key: status, x: WIDTH / 2, y: HEIGHT / 2, status, word: '', oven }} size={6} />
);

/** The line of a dough from the freezer to the oven: colour and height are its temperature. */
function ColdToHot() {
  const celsius = [-18, 4, 20, 27, 185];
  const step = WIDTH / celsius.length;
  return celsius.map((at, i) => (
    <path
      key={at}
      d={`M${i * step} ${HEIGHT - 4 - i * 4.5}h${step}`}
      stroke={temperatureColour(at)}
      strokeWidth={4}
    />
  ));
}

/** What the signs of the plan mean, each drawn as it is there. */
export function PlanLegend() {
  const say = useWords();
  const middle = WIDTH / 2;
  const signs: [ReactNode, string][] = [
    [<ColdToHot key="line" />, say('plan.signTemperature')],
    [knot('open'), say('plan.signToDo')],
    [knot('running'), say('plan.signUnderWay')],
    [knot('done'), say('plan.signDone')],
    [knot('skipped'), say('plan.signSkipped')],
    [knot('open', true), say('plan.signOven')],
    [
      <path key="due" d={`M${middle} 2V${HEIGHT - 2}`} stroke="var(--ink)" strokeWidth={2} />,
      say('plan.signDue'),
    ],
    [
      <path
        key="window"
        d={`M10 ${middle / 2 - 4}v5h${WIDTH - 20}v-5`}
        fill="none"
        stroke="var(--edge)"
        strokeWidth={1.5}
      />,
      say('plan.signWindow'),
    ],
    [
      <path key="now" d={`M${middle} 0V${HEIGHT}`} stroke="var(--butter)" strokeWidth={3} />,
      say('plan.signNow'),
    ],
    [<rect key="dark" width={WIDTH} height={HEIGHT} fill="var(--dark-hours)" />, say('plan.signNobody')],
    [
      <g key="load" fill="var(--edge)">
        <rect x={8} width={16} height={7} opacity={0.6} />
        <rect x={24} width={16} height={14} opacity={0.8} />
        <rect x={40} width={16} height={18} fill="var(--warn)" />
      </g>,
      say('plan.signLoad'),
    ],
  ];
  return (
    <dl className="grid grid-cols-[4.5rem_1fr] items-center gap-x-4 gap-y-2 text-lg">
      {signs.map(([sign, meaning]) => (
        <div key={meaning} className="contents">
          <dt>
            <svg width={WIDTH} height={HEIGHT} aria-hidden className="block">
              {sign}
            </svg>
          </dt>
          <dd>{meaning}</dd>
        </div>
      ))}
    </dl>
  );
}
