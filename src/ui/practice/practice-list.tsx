'use client';

import { useRouter } from 'next/navigation';
import { SITUATION_WORDS } from '@/core/practice/situation-words';
import { LEVELS, SITUATION_IDS, type SituationId, SITUATIONS } from '@/core/practice/situation';
import type { PractisedNight } from '@/core/wire/practised-night';
import { FloorTabs } from '../floor/floor-tabs';
import { Button } from '../kit/button';
import { TableHead } from '../kit/table-head';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { type NightChoice, OpenNight } from './open-night';

interface Props {
  own: readonly { id: number; name: string; brief: string; hours: number; doughs: number }[];
  nights: readonly PractisedNight[];
  /** Planners make nights, and see everybody's. */
  plans: boolean;
  zone: string;
}

/** The nights that can be practised, by level, and those that were. */
export function PracticeList({ own, nights, plans, zone }: Props) {
  const say = useWords();
  return (
    <main className="flex-1">
      <FloorTabs />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 p-5">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-4xl font-bold">{say('practice.title')}</h1>
            <p className="max-w-[60rem] text-lg text-quiet">{say('practice.intro')}</p>
          </div>
          {plans && (
            <a
              href="/practice/new"
              className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
            >
              {say('practice.make')}
            </a>
          )}
        </div>
        {LEVELS.map((level) => (
          <section key={level} aria-label={say('practice.level', { level: String(level) })}>
            <h2 className="text-2xl font-bold">{say('practice.level', { level: String(level) })}</h2>
            <ul className="grid gap-x-8 md:grid-cols-2">
              {SITUATION_IDS.filter((id) => SITUATIONS[id].level === level).map((id) => (
                <Situation
                  key={id}
                  name={say.coded(SITUATION_WORDS[id].name)}
                  brief={say.coded(SITUATION_WORDS[id].brief)}
                  hours={SITUATIONS[id].hours}
                  doughs={SITUATIONS[id].doughs.length}
                  choice={{ ships: id }}
                />
              ))}
            </ul>
          </section>
        ))}
        {own.length > 0 && (
          <section aria-label={say('practice.own')}>
            <h2 className="text-2xl font-bold">{say('practice.own')}</h2>
            <ul className="grid gap-x-8 md:grid-cols-2">
              {own.map(({ id, ...one }) => (
                <Situation key={id} {...one} choice={{ own: id }} removes={plans ? id : null} />
              ))}
            </ul>
          </section>
        )}
        <Nights {...{ nights, plans, zone }} />
      </div>
    </main>
  );
}

function Situation({
  name,
  brief,
  hours,
  doughs,
  choice,
  removes = null,
}: {
  name: string;
  brief: string;
  hours: number;
  doughs: number;
  choice: NightChoice;
  removes?: number | null;
}) {
  const say = useWords();
  const router = useRouter();
  const remove = async () => {
    await send('remove-situation', { id: removes });
    router.refresh();
  };
  return (
    <li className="flex items-center justify-between gap-4 border-b border-hairline py-2">
      <div>
        <p className="text-xl font-semibold">{name}</p>
        <p className="text-lg">{brief}</p>
        <p className="text-base text-quiet">{say('practice.hours', { hours, doughs })}</p>
      </div>
      <div className="flex shrink-0 gap-2">
        {removes !== null && (
          <Button floor look="quiet" onClick={() => void remove()}>
            {say('practice.remove')}
          </Button>
        )}
        <OpenNight
          choice={choice}
          label={say('practice.start')}
          spoken={say('practice.startNamed', { name })}
        />
      </div>
    </li>
  );
}

/** What a night is called: by its situation, or by the bakery itself. */
export const nightName = (
  coded: (id: SituationId) => string,
  { situation, name }: Pick<PractisedNight, 'situation' | 'name'>,
): string => name ?? coded(situation as SituationId);

function Nights({ nights, plans, zone }: Pick<Props, 'nights' | 'plans' | 'zone'>) {
  const say = useWords();
  const title = plans ? say('practice.everybodysNights') : say('practice.yourNights');
  const headings = [say('practice.night'), say('practice.who'), say('practice.when'), say('practice.result')];
  return (
    <section aria-label={title}>
      <h2 className="text-2xl font-bold">{title}</h2>
      {nights.length === 0 ? (
        <p className="text-lg">{say('practice.noNights')}</p>
      ) : (
        <div className="relative overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
          <table className="w-full border-collapse text-left text-lg">
            <TableHead headings={headings} />
            <tbody>
              {nights.map((night) => (
                <tr key={night.id} className="border-b border-hairline">
                  <th scope="row" className="pr-4 font-semibold">
                    <a
                      href={`/practice/${night.id}`}
                      className="grid min-h-14 items-center underline underline-offset-4"
                    >
                      {nightName((id) => say.coded(SITUATION_WORDS[id].name), night)}
                    </a>
                  </th>
                  <td className="pr-4">{night.person}</td>
                  <td className="pr-4 whitespace-nowrap">{say.dateTime(night.openedAt, zone)}</td>
                  <td className="pr-4">
                    {night.endedAt === null
                      ? say('practice.underWay')
                      : say('practice.resultOf', { good: night.good ?? 0, possible: night.possible ?? 0 })}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
