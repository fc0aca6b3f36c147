import { useWords } from '../kit/words';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { OutputRecord } from '@/core/record/dough';
import type { StepKind } from '@/core/process/route';
import { crossContactMessage, inLabelOrder } from '@/core/shaping/topping';

/** Where somebody touches what is in it, or what lies on it. */
const OPEN: readonly StepKind[] = [
  'mix',
  'levain',
  'sponge',
  'filling',
  'sheet',
  'divide',
  'shape',
  'wash',
  'finish',
];
/** From where on kinds look alike, and only the mark tells them apart. */
const MARKED: readonly StepKind[] = ['shape', 'wash', 'load', 'bake', 'finish'];

/** Wash, mark and allergens of what a step works on. */
export function Declared({ step, outputs }: { step: AgendaItem['step']; outputs: readonly OutputRecord[] }) {
  const say = useWords();
  const { kind } = step.step;
  const own = outputs.filter(({ id }) => step.outputId === null || id === step.outputId);
  const allergens = inLabelOrder(own.flatMap((output) => output.allergens));
  const undeclared = [...new Set(own.flatMap((output) => output.undeclared ?? []))];
  const mind = crossContactMessage(allergens);
  const [only] = own;
  return (
    <>
      {step.outputId !== null && only?.piece.wash && kind === 'wash' && (
        <p>{say.rich('bench.wash', { b: (words) => <b>{words}</b>, name: only.piece.wash.name })}</p>
      )}
      {step.outputId !== null && only?.piece.topping && MARKED.includes(kind) && (
        <p>{say.rich('bench.mark', { b: (words) => <b>{words}</b>, mark: only.piece.topping.mark })}</p>
      )}
      {OPEN.includes(kind) && undeclared.length > 0 && (
        <p className="max-w-md border-l-4 border-warn pl-3 text-lg font-semibold text-warn">
          {say('bench.labelIncompleteWhatContainsIs', { undeclared: undeclared.join(', ') })}
        </p>
      )}
      {OPEN.includes(kind) && allergens.length > 0 && (
        <p className="max-w-md text-lg">
          {say.rich('bench.contains', {
            allergens: allergens.join(', '),
            mind: () => mind && <span className="block font-semibold">{say.coded(mind)}</span>,
          })}
        </p>
      )}
    </>
  );
}
