import { clockTime } from '@/core/time/local';
import { showMass } from '@/core/units/reader';
import type { MiseLine } from '@/core/exchange/papers';
import { amountTitle } from '../kit/amount-title';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { grouped, PaperTable, TickBox } from './paper-table';

/** What is weighed out and brought for a day, by station and time; what has to come out of the cold is marked. */
export function MiseEnPlace({ lines, zone }: { lines: readonly MiseLine[]; zone: string }) {
  const say = useWords();
  const [units] = useUnits();
  const head = [
    ...[say('papers.done'), say('papers.ingredient'), say('papers.weight'), say('papers.forWhat')],
    say('papers.fromTheCold'),
  ];
  const stepOf = (line: MiseLine) => `${clockTime(line.at, zone)} ${say.coded(line.step)}, ${line.dough}`;
  return grouped(lines, ({ station }) => station ?? say('papers.byHand')).map(([station, own]) => (
    <section key={station} aria-label={station} className="mb-5">
      <h2 className="text-xl font-semibold">{station}</h2>
      {grouped(own, stepOf).map(([step, weighed]) => (
        <div key={step} className="mb-3 break-inside-avoid">
          <h3 className="pt-1 text-lg font-semibold">{step}</h3>
          <PaperTable
            head={head}
            rows={weighed.map((line, i) => ({
              key: `${line.ingredient} ${i}`,
              cells: [
                <TickBox key="tick" />,
                say.named(line.ingredient),
                <b key="weight">
                  {line.grams === null ? say('papers.toTaste') : showMass(line.grams, units)}
                </b>,
                amountTitle(say, line.what),
                line.isCold ? '✓' : '',
              ],
            }))}
          />
        </div>
      ))}
    </section>
  ));
}
