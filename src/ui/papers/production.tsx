import { clockTime } from '@/core/time/local';
import type { ProductionLine } from '@/core/exchange/papers';
import { useWords } from '../kit/words';
import { useCelsius } from '../live/units';
import { grouped, PaperTable, TickBox } from './paper-table';

/** The hands-on work of a day, station by station, in order of time. */
export function Production({ lines, zone }: { lines: readonly ProductionLine[]; zone: string }) {
  const say = useWords();
  const celsius = useCelsius();
  const head = [
    ...[say('papers.done'), say('papers.time'), say('papers.step'), say('papers.dough')],
    ...[say('papers.amount'), say('papers.setting'), say('papers.who')],
  ];
  return grouped(lines, ({ station }) => station ?? say('papers.byHand')).map(([station, own]) => (
    <section key={station} aria-label={say.named(station)} className="mb-5 break-inside-avoid-page">
      <h2 className="text-xl font-semibold">{say.named(station)}</h2>
      <PaperTable
        head={head}
        rows={own.map((line) => ({
          key: `${line.doughId} ${say.coded(line.step)} ${line.start} ${line.pieces}`,
          cells: [
            <TickBox key="tick" />,
            <b key="time">{clockTime(line.start, zone)}</b>,
            say.coded(line.step),
            line.dough,
            line.pieces === null
              ? ''
              : say('papers.piecesTrays', { pieces: line.pieces, trays: line.trays ?? 0 }),
            line.celsius === null ? '' : celsius(line.celsius),
            line.people.join(', '),
          ],
        }))}
      />
    </section>
  ));
}
