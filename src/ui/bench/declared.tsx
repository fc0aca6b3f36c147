import { allergenNames } from '@/words/code-names';
import { useWords } from '../kit/words';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { OutputRecord } from '@/core/record/dough';
import type { StepKind } from '@/core/process/route';
import { crossContactMessage, inLabelOrder, markOf } from '@/core/shaping/dressing';

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

/** Mark and allergens of what a step works on. */
export function Declared({ step, outputs }: { step: AgendaItem['step']; outputs: readonly OutputRecord[] }) {
  const say = useWords();
  const { kind } = step.step;
  const own = outputs.filter(({ id }) => step.outputId === null || id === step.outputId);
  const allergens = inLabelOrder(own.flatMap((output) => output.allergens));
  const undeclared = [...new Set(own.flatMap((output) => output.undeclared ?? []))];
  const mind = crossContactMessage(allergens);
  const [only] = own;
  const mark = step.outputId !== null && only ? markOf(only.piece) : null;
  return (
    <>
      {mark !== null && MARKED.includes(kind) && (
        <p>{say.rich('bench.mark', { b: (words) => <b>{words}</b>, mark })}</p>
      )}
      {OPEN.includes(kind) && undeclared.length > 0 && (
        <p className="max-w-md border-l-4 border-warn pl-3 text-lg font-semibold text-warn">
          {say('bench.labelIncompleteWhatContainsIs', {
            undeclared: undeclared.map((name) => say.named(name)).join(', '),
          })}
        </p>
      )}
      {OPEN.includes(kind) && allergens.length > 0 && (
        <p className="max-w-md text-lg">
          {say.rich('bench.contains', {
            allergens: allergenNames(say, allergens),
            mind: () => mind && <span className="block font-semibold">{say.coded(mind)}</span>,
          })}
        </p>
      )}
    </>
  );
}
