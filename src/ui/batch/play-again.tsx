import { replaySteps } from '@/core/practice/replay';
import type { DoughRecord } from '@/core/record/dough';
import { useWords } from '../kit/words';
import { OpenNight } from '../practice/open-night';

/** A batch as something to practise: from each wait that somebody ended, as it was then. */
export function PlayAgain({ dough, zone }: { dough: DoughRecord; zone: string }) {
  const say = useWords();
  const steps = replaySteps(dough);
  if (steps.length === 0) return null;
  return (
    <section aria-label={say('practice.playAgain')} className="mt-6">
      <h2 className="text-2xl font-bold">{say('practice.playAgain')}</h2>
      <p className="mb-2 text-lg text-quiet">{say('practice.playAgainHow')}</p>
      <div className="flex flex-wrap gap-3">
        {steps.map(({ key, at }) => {
          const label = dough.steps.find((step) => step.key === key)?.label;
          return (
            <OpenNight
              key={key}
              choice={{ doughId: dough.id, stepKey: key }}
              label={say('practice.fromStep', {
                step: label ? say.coded(label) : '',
                time: say.dayTime(at, zone),
              })}
            />
          );
        })}
      </div>
    </section>
  );
}
