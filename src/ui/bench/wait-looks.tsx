import type { Verdict } from '@/core/learning/verdicts';
import type { RisePhase } from '@/core/process/route';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { signs, VERDICTS, verdictWords } from './wait-words';

/** How a rise looks, told by one of three buttons that say what to look at. */
export function WaitLooks({ phase, onTell }: { phase: RisePhase; onTell: (verdict: Verdict) => void }) {
  const say = useWords();
  return (
    <fieldset>
      <legend className="mb-2 text-xl font-semibold">{say('bench.howDoesItLook')}</legend>
      <div className="grid gap-3 sm:grid-cols-3">
        {VERDICTS.map((verdict) => (
          <Button key={verdict} floor className="py-2" onClick={() => onTell(verdict)}>
            <span className="block text-2xl font-bold">{verdictWords(say)[verdict]}</span>
            <span className="block text-base text-quiet">{signs(say)[phase][verdict]}</span>
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
