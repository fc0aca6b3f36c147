import { useWords } from '../kit/words';
import { Button } from '../kit/button';
import type { WorkProps } from './work-props';

/** Minutes on the mixer until a window that tears is tried again. */
const MORE = 2;

/** The window of a dough in the mixer: a piece drawn thin between the fingers, and what follows from it. */
export function MixWork({ item: { state }, tell, running }: WorkProps) {
  const say = useWords();
  if (!running) return null;
  const last = state.records.findLast(({ data }) => data.kind === 'checked' && data.check === 'window')?.data;
  const tore = state.records.filter(
    ({ data }) => data.kind === 'checked' && data.check === 'window' && data.answer === 'tears',
  ).length;
  const look = (answer: 'good' | 'tears', minutes: number) =>
    tell({ kind: 'check', data: { kind: 'checked', check: 'window', answer, minutes } });
  return (
    <fieldset className="my-2">
      <legend className="mb-2 text-xl font-semibold">{say('bench.mixerStoppedDrawAPiece')}</legend>
      <div className="grid grid-cols-2 gap-3">
        <Button floor className="py-2" onClick={() => look('good', 0)}>
          <span className="block text-2xl font-bold">{say('bench.window')}</span>
          <span className="block text-base text-quiet">{say('bench.lightShowsThroughDoneMixing')}</span>
        </Button>
        <Button floor className="py-2" onClick={() => look('tears', MORE)}>
          <span className="block text-2xl font-bold">{say('bench.tears')}</span>
          <span className="block text-base text-quiet">{say('bench.minMoreThenAgainMind', { MORE })}</span>
        </Button>
      </div>
      {last?.kind === 'checked' && (
        <p className="mt-2 text-xl" role="status">
          {last.answer === 'good'
            ? say('bench.theWindowIsThere')
            : tore > 2
              ? say('bench.itHasTornThreeTimes')
              : say('bench.itToreMinMoreAt', { MORE })}
        </p>
      )}
    </fieldset>
  );
}
