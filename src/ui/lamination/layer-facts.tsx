import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import type { RollingHouse } from '@/core/bakery/rolling';
import { outcomeMessage } from '@/core/lamination/advice';
import { verdictMessage } from '@/core/lamination/kinds';
import { outcomeOf, type Scheme, turnMoreOrLess, type Weights } from '@/core/lamination/scheme';
import { FOLD_WORDS } from '@/core/lamination/words';

/** Micrometres, or millimetres where layers are that thick. */
export function microns(say: Pick<Say, 'number'>, um: number): string {
  if (um >= 1000) return `${say.number(um / 1000, 1)} mm`;
  return `${say.number(um, um < 10 ? 1 : 0)} µm`;
}

interface Props {
  scheme: Scheme;
  weights: Weights;
  mm: number;
  limits: RollingHouse['limits'];
}

/** What the layers of a scheme are at the final sheet, the verdict, and what one turn more or less would do. */
export function LayerFacts({ scheme, weights, mm, limits }: Props) {
  const say = useWords();
  const { layers, multiplied, verdict } = outcomeOf(scheme, weights, { mm, limits: limits[scheme.kind] });
  const { less, more } = turnMoreOrLess(scheme, weights, mm, limits[scheme.kind]);
  const facts: [string, string][] = [
    [say('schemes.fatLayers'), layers.fatLayers.toLocaleString(say.language)],
    [say('schemes.layersInAll'), layers.layers.toLocaleString(say.language)],
    [say('schemes.foldsMultiplied'), multiplied.toLocaleString(say.language)],
    [
      say('schemes.fatLayer'),
      say('schemes.to2', {
        microns: microns(say, layers.meanFat),
        microns2: microns(say, layers.minFat),
        microns3: microns(say, layers.maxFat),
      }),
    ],
    [
      say('schemes.doughLayer'),
      say('schemes.to2', {
        microns: microns(say, layers.meanDough),
        microns2: microns(say, layers.minDough),
        microns3: microns(say, layers.maxDough),
      }),
    ],
    [say('schemes.fatByVolume'), say.shown({ percent: layers.fatVolumeFraction * 100 })],
  ];
  const last = scheme.turns.at(-1);
  return (
    <div className="grid content-start gap-3">
      <p role="status" className="border-l-4 border-butter pl-3 text-2xl font-semibold">
        {say.coded(verdictMessage(verdict, scheme.kind))}
      </p>
      <dl className="grid grid-cols-[9rem_1fr] gap-y-0.5 text-[17px]">
        {facts.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <div className="text-[16px]">
        {less && (
          <p>
            <span className="text-quiet">{say('schemes.withoutTheLastTurn')}</span>
            {say.coded(outcomeMessage(less, scheme))}
          </p>
        )}
        <p>
          <span className="text-quiet">
            {say('schemes.oneMore', {
              part: say.coded(last ? FOLD_WORDS[last.fold] : say('lamination.letterFold')),
            })}
          </span>
          {say.coded(outcomeMessage(more, scheme))}
        </p>
      </div>
    </div>
  );
}
