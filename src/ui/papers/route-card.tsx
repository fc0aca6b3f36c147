'use client';

import { Printer } from 'lucide-react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { OutputRecord } from '@/core/record/dough';
import { isHandsOn } from '@/core/record/state';
import { duration } from '@/core/units/format';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useCelsius } from '../live/units';
import { PaperTable } from './paper-table';

/** The card that goes along with a dough: every step with its times and targets, and room to write down what was done. */
export function RouteCard({
  dough,
  kg,
  outputs,
  zone,
}: {
  dough: DoughForecast;
  kg: number;
  outputs: readonly Pick<OutputRecord, 'id' | 'product' | 'pieces' | 'dueAt'>[];
  zone: string;
}) {
  const say = useWords();
  const celsius = useCelsius();
  const steps = [...dough.steps].sort((a, b) => a.start - b.start || a.end - b.end);
  const head = [
    ...[
      say('papers.planned'),
      say('papers.step'),
      say('papers.amount'),
      say('papers.target'),
      say('papers.lookFor'),
    ],
    ...[say('papers.started'), say('papers.ended'), say('papers.temperature'), say('papers.initials')],
  ];
  return (
    <main className="flex-1 bg-flour p-5 print:bg-white print:p-0 print:text-black">
      <header className="mb-3 flex flex-wrap items-baseline justify-between gap-4">
        <h1 className="text-3xl font-bold">{say('papers.routeCardOf', { dough: dough.name })}</h1>
        <Button floor className="flex items-center gap-2 print:hidden" onClick={() => window.print()}>
          <Printer aria-hidden size={22} />
          {say('papers.print')}
        </Button>
        <p className="w-full text-lg">
          {say.shown({ kg: kg })}.{' '}
          {outputs
            .map(({ pieces, product, dueAt }) =>
              say('papers.dueAt', { pieces, product, time: say.dayTime(dueAt, zone) }),
            )
            .join('; ')}
        </p>
      </header>
      <PaperTable
        head={head}
        rows={steps.map((step) => {
          const setting = step.uses.find((use) => use.setting !== undefined)?.setting;
          const hot = step.step.gives ?? setting;
          const target = [
            hot === undefined ? '' : celsius(hot),
            duration(isHandsOn(step) ? step.target : (step.end - step.start) / 60_000),
          ];
          return {
            key: step.key,
            cells: [
              <b key="planned">{say.dayTime(step.start, zone)}</b>,
              say.coded(step.label),
              step.load
                ? say('papers.piecesTrays', { pieces: step.load.pieces, trays: step.load.trays })
                : '',
              target.filter(Boolean).join(', '),
              step.step.check ? say.coded(step.step.check) : '',
              ...Array.from({ length: 4 }, (_, i) => <span key={i} className="inline-block w-16" />),
            ],
          };
        })}
      />
    </main>
  );
}
