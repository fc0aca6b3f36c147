'use client';

import { Printer } from 'lucide-react';
import { dayOf } from '@/core/demand/orders';
import { addLocalDays, type Instant } from '@/core/time/local';
import { type Paper, type PaperKind, PAPERS } from '@/core/exchange/papers';
import type { Say } from '@/words/say';
import { Button } from '../kit/button';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';
import { go } from '../live/go';
import { Deliveries } from './deliveries';
import { MiseEnPlace } from './mise-en-place';
import { Production } from './production';

/** Days that are offered, from today on. */
const DAYS = 8;

const nameOf = (say: Say, kind: PaperKind): string =>
  kind === 'production'
    ? say('papers.production')
    : kind === 'deliveries'
      ? say('papers.deliveries')
      : say('papers.miseEnPlace');

interface Props {
  paper: Paper;
  day: string;
  /** Midnight that the day begins with. */
  from: Instant;
  now: Instant;
  zone: string;
  /** The bakery's. */
  name: string;
  mayDeliver: boolean;
}

/** A list of a day for the wall, when tablets are away: what to print, for which day, and how it will look. */
export function PaperView({ paper, day, from, now, zone, name, mayDeliver }: Props) {
  const say = useWords();
  const days = Array.from({ length: DAYS }, (_, i) => addLocalDays(now, i, zone));
  const open = (kind: PaperKind, at: string) => go(`/papers/${kind}?day=${at}`);
  const kinds = PAPERS.filter((kind) => kind !== 'deliveries' || mayDeliver);
  return (
    <main className="flex-1 bg-flour p-5 print:bg-white print:p-0 print:text-black">
      <div className="mb-4 flex flex-wrap items-end gap-4 print:hidden">
        <Choice
          label={say('papers.lists')}
          value={paper.kind}
          options={kinds.map((kind) => ({ id: kind, name: nameOf(say, kind) }))}
          onChoose={(kind) => open(PAPERS.find((one) => one === kind) ?? paper.kind, day)}
        />
        <Choice
          label={say('papers.day')}
          value={day}
          options={[
            ...(days.some((at) => dayOf(at, zone) === day)
              ? []
              : [{ id: day, name: say.fullDate(from, zone) }]),
            ...days.map((at) => ({
              id: dayOf(at, zone),
              name: `${say.longDayName(at, zone)} ${say.fullDate(at, zone)}`,
            })),
          ]}
          onChoose={(at) => open(paper.kind, at)}
        />
        <a
          className="ml-auto grid min-h-10 place-items-center px-3 underline underline-offset-4"
          href={`/api/papers?kind=${paper.kind}&day=${day}`}
        >
          {say('papers.asFile')}
        </a>
        <Button look="act" floor className="flex items-center gap-2" onClick={() => window.print()}>
          <Printer aria-hidden size={22} />
          {say('papers.print')}
        </Button>
      </div>
      <header className="mb-3 flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-3xl font-bold">
          {nameOf(say, paper.kind)}, {say.longDayName(from, zone)} {say.fullDate(from, zone)}
        </h1>
        <p>
          {name}. {say('papers.printedAt', { time: say.dayTime(now, zone) })}
        </p>
      </header>
      {paper.lines.length === 0 && <p className="text-xl">{say('papers.nothing')}</p>}
      {paper.kind === 'production' && <Production lines={paper.lines} zone={zone} />}
      {paper.kind === 'mise-en-place' && <MiseEnPlace lines={paper.lines} zone={zone} />}
      {paper.kind === 'deliveries' && <Deliveries lines={paper.lines} zone={zone} />}
    </main>
  );
}
