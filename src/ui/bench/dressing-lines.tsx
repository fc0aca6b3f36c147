import { pieceArea } from '@/core/cutting/piece';
import type { DoughForecast } from '@/core/forecast/forecast';
import { dressingOfStep } from '@/core/process/dressed-step';
import type { OutputRecord } from '@/core/record/dough';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { Topping } from '@/core/shaping/dressing';
import { fillingPerPiece, overfull, type Filling } from '@/core/shaping/filling';
import type { DressingPart } from '@/core/shaping/part';
import { showMass } from '@/core/units/reader';
import { useWords } from '../kit/words';
import { useSizes } from '../lamination/use-sizes';

interface Props {
  dough: Pick<DoughForecast, 'steps'>;
  step: AgendaItem['step'];
  outputs: readonly OutputRecord[];
}

/** What goes into or onto the pieces at this very step: how much of it, where, and no more than what. */
export function DressingLines({ dough, step, outputs }: Props) {
  return outputs
    .filter(({ id }) => step.outputId === null || id === step.outputId)
    .map(({ id, piece, pieces }) => {
      const { fillings, washes, toppings } = dressingOfStep(piece, dough.steps, step);
      const count = step.load?.pieces ?? pieces;
      const area = piece.cut ? pieceArea(piece.cut.size) : 0;
      return (
        <div key={id} className="grid gap-1 empty:hidden">
          {fillings.map((filling) => (
            <FillingLines key={filling.name} {...{ filling, area, count }} />
          ))}
          {[...washes, ...toppings.filter(isNoMark)].map((part) => (
            <PartLine key={`${part.name} ${part.where ?? ''}`} {...{ part, count }} />
          ))}
        </div>
      );
    });
}

/** What tells a kind apart before the bake is said as its mark, unless it is weighed. */
const isNoMark = ({ moment, grams = 0 }: Topping) => moment === 'baked' || grams > 0;

function FillingLines({ filling, area, count }: { filling: Filling; area: number; count: number }) {
  const say = useWords();
  const { units, cm } = useSizes();
  const full = overfull(filling, area);
  const each = fillingPerPiece(filling, area);
  return (
    <div className="text-lg">
      <p className="text-xl font-semibold">
        {say('bench.aPieceInAll', {
          ...{ name: filling.name, mass: showMass(each, units), mass2: showMass(each * count, units) },
        })}
      </p>
      <p>
        {filling.bareEdge > 0
          ? say('bench.bareAtTheEdge', { where: filling.where, cm: cm(filling.bareEdge) })
          : say.named(filling.where)}
      </p>
      <p className={full ? 'text-warn' : 'text-quiet'}>
        {full ? say.coded(full) : say('bench.noMoreThanItOpens', { mass: showMass(filling.limit, units) })}
      </p>
    </div>
  );
}

function PartLine({ part: { name, grams = 0, where = '' }, count }: { part: DressingPart; count: number }) {
  const say = useWords();
  const { units } = useSizes();
  return (
    <p>
      <b>
        {grams > 0
          ? say('bench.partWeighed', { name, mass: showMass(grams * count, units) })
          : say.named(name)}
      </b>
      {where === '' ? '' : `, ${say.named(where)}`}
    </p>
  );
}
