import type { Verdict } from '@/core/learning/verdicts';
import { riseDrawing } from '@/core/process/rise-drawing';
import type { RisePhase } from '@/core/process/route';
import { Picture } from '../drawing/picture';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { RISE_SIGNS, VERDICTS, verdictWords } from './wait-words';

/** How a rise looks, recorded with one of three buttons that show and say what to look for. */
export function WaitLooks({ phase, onTell }: { phase: RisePhase; onTell: (verdict: Verdict) => void }) {
  const say = useWords();
  return (
    <fieldset>
      <legend className="mb-2 text-xl font-semibold">{say('bench.howDoesItLook')}</legend>
      <div className="grid gap-3 sm:grid-cols-3">
        {VERDICTS.map((verdict) => (
          <Button key={verdict} floor className="py-2" onClick={() => onTell(verdict)}>
            <span className="block text-2xl font-bold">{verdictWords(say)[verdict]}</span>
            <span aria-hidden>
              <Picture
                drawing={riseDrawing(phase, verdict, RISE_SIGNS[phase][verdict])}
                id={`look-${verdict}`}
                className="mx-auto my-1 w-full max-w-44"
              />
            </span>
            <span className="block text-base text-quiet">{say.coded(RISE_SIGNS[phase][verdict])}</span>
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
