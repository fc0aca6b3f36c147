'use client';

import type { Measure } from '@/core/units/measure';
import type { Typing } from './use-typed';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useMemo } from 'react';
import { analyse } from '@/core/formula/analysis';
import type { Ingredient } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import { scale } from '@/core/formula/scale';
import { type BowlTemperatures, doughAsItComes, mixingOf } from '@/core/heat/mixing';
import type { Learnt } from '@/core/learning/readings';
import { type ReaderUnits, showDifference } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { WaterWords, WithoutLiquid } from '../sheet/water-words';
import { EvidenceList } from './evidence-list';
import { HeatShares } from './heat-shares';
import { type MixingWay, riseByMixing } from '@/core/heat/friction';
import { measure } from '@/core/units/measure';
import { parseNumber } from '@/core/units/number';
import { unless, useTyped, wants } from './use-typed';

/** What is learnt of mixing one formula, and from which mixes. */
export interface LearntMixing {
  formulaId: number;
  rise: Learnt & { evidence: ShownEvidence[] };
  factor: Learnt;
}

interface ShownEvidence {
  id: number;
  value: number;
  at: number;
  declined: boolean;
  dough: string | null;
}

interface Props {
  formulas: NamedFormula[];
  ingredients: Ingredient[];
  temperatures: BowlTemperatures;
  mixing: LearntMixing[];
  zone: string;
}

type Way = MixingWay | 'learnt';

const ways = (say: Say): { id: Way; name: string }[] => [
  { id: 'learnt', name: say('workbench.asThisHouseMeasuredIt') },
  { id: 'spiral', name: say('workbench.inASpiralMixer') },
  { id: 'planetary', name: say('workbench.inAPlanetaryMixer') },
  { id: 'hand', name: say('workbench.byHand') },
];

/** How a dough is mixed, and by what that warms it. */
interface MixedAs {
  way: Way;
  slow: string;
  fast: string;
}

/** As the house has measured it for a formula; where it has not, as a spiral usually warms it. */
function mixedAs(learnt: LearntMixing | undefined) {
  const isLearnt = (learnt?.rise.readings ?? 0) > 0;
  const rise = isLearnt ? (learnt?.rise.mean ?? 0) : riseByMixing('spiral', { slow: 4, fast: 6 });
  const way: Way = isLearnt ? 'learnt' : 'spiral';
  return { ...{ way: way as string, slow: '4', fast: '6' }, rise: measure('difference', rise) };
}

/** Water for a dough temperature, for any formula and batch. */
export function WaterTool({ formulas, ingredients, temperatures, mixing: learnt, zone }: Props) {
  const say = useWords();
  const book = useMemo(() => bookWithFormulas(ingredients, formulas), [ingredients, formulas]);
  const doughs = formulas.filter(({ formula }) => analyse(formula, book).flour > 0);
  const learntOf = (id: number) => learnt.find(({ formulaId }) => formulaId === id);
  const readings = ({ id }: NamedFormula) => learntOf(id)?.rise.readings ?? 0;
  const begin = [...doughs].sort((a, b) => readings(b) - readings(a))[0];
  const { typed, set, read, field, units } = useTyped({
    formula: String(begin?.id ?? ''),
    flourWeight: measure('grams', 10_000),
    target: measure('celsius', begin?.formula.doughCelsius ?? 24),
    flour: measure('celsius', temperatures.flour),
    room: measure('celsius', temperatures.room),
    tap: measure('celsius', temperatures.tap),
    preferment: measure('celsius', temperatures.preferment),
    ...mixedAs(learntOf(begin?.id ?? 0)),
  });
  const chosen = doughs.find(({ id }) => String(id) === typed.formula);
  const known = chosen && learntOf(chosen.id);
  const mixedBy = (part: Partial<MixedAs>) => {
    const now = { way: typed.way as Way, slow: typed.slow, fast: typed.fast, ...part };
    const minutes = { slow: parseNumber(now.slow) ?? 0, fast: parseNumber(now.fast) ?? 0 };
    const rise = now.way === 'learnt' ? (known?.rise.mean ?? 0) : riseByMixing(now.way, minutes);
    set({ ...part, rise: measure('difference', rise) });
  };
  const grams = read.grams('flourWeight');
  const values = {
    ...{ flour: read.celsius('flour'), room: read.celsius('room'), tap: read.celsius('tap') },
    preferment: read.celsius('preferment'),
  };
  const [target, warms] = [read.celsius('target'), read.difference('rise')];
  const ready = chosen && grams > 0 && ![...Object.values(values), target, warms].some(Number.isNaN);
  const bowl = ready ? scale(chosen.formula, book, { by: 'flour', grams }) : null;
  const at = { ...temperatures, ...values };
  const mixing = bowl && mixingOf(bowl, book, { at, target, rise: warms });
  const dry = bowl && !mixing ? doughAsItComes(bowl, book, at, warms) : null;

  return (
    <div className="grid gap-6 md:grid-cols-[18rem_1fr]">
      <div className="grid content-start gap-3">
        <Choice
          label={say('workbench.formula')}
          value={typed.formula}
          options={doughs.map(({ id, name }) => ({ id: String(id), name: say.named(name) }))}
          onChoose={(id) => {
            const celsius = doughs.find((one) => String(one.id) === id)?.formula.doughCelsius;
            set({
              formula: id,
              ...(celsius ? { target: measure('celsius', celsius) } : {}),
              ...mixedAs(learntOf(Number(id))),
            });
          }}
        />
        <Field
          label={say('workbench.flourInTheBowl')}
          {...field('flourWeight')}
          trouble={unless(grams, wants(say, 'grams'))}
        />
        <Choice
          label={say('workbench.mixed')}
          value={typed.way}
          options={ways(say).filter(({ id }) => id !== 'learnt' || (known?.rise.readings ?? 0) > 0)}
          onChoose={(way) => mixedBy({ way: way as Way })}
        />
        <SpeedFields typed={typed} mixedBy={mixedBy} />
        <DegreeFields {...{ field, read }} />
      </div>
      <div>
        {mixing ? (
          <>
            <WaterWords mixing={mixing} factor={known?.factor.mean ?? 18} units={units} />
            <HeatShares mixing={mixing} units={units} />
          </>
        ) : dry !== null ? (
          <WithoutLiquid dough={dry} target={target} units={units} />
        ) : (
          <p className="text-lg text-quiet">{say('workbench.fillInWhatIsMissing')}</p>
        )}
        {known && <MixingLearnt known={known} zone={zone} units={units} />}
      </div>
    </div>
  );
}

interface SpeedFieldsProps {
  typed: Record<keyof MixedAs, string>;
  mixedBy: (part: Partial<MixedAs>) => void;
}

/** Minutes at each speed. */
function SpeedFields({ typed, mixedBy }: SpeedFieldsProps) {
  const say = useWords();
  return (
    <>
      {(typed.way === 'planetary' || typed.way === 'spiral') && (
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={say('workbench.minutesSlow')}
            value={typed.slow}
            onType={(slow) => mixedBy({ slow })}
          />
          <Field
            label={say('workbench.minutesFast')}
            value={typed.fast}
            onType={(fast) => mixedBy({ fast })}
          />
        </div>
      )}
    </>
  );
}

type WaterEntries = Record<'target' | 'flour' | 'room' | 'tap' | 'preferment' | 'rise', Measure>;

/** The temperatures of everything that goes into the bowl. */
function DegreeFields({ field, read }: Pick<Typing<WaterEntries>, 'field' | 'read'>) {
  const say = useWords();
  const degrees = (name: 'flour' | 'room' | 'tap' | 'preferment' | 'target', label: string) => (
    <Field
      label={label}
      {...field(name)}
      inputMode="text"
      trouble={unless(read.celsius(name), wants(say, 'celsius'))}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-3">
      {degrees('target', say('workbench.doughWanted'))}
      {degrees('flour', say('workbench.flour'))}
      {degrees('room', say('workbench.room'))}
      {degrees('tap', say('workbench.tapWater'))}
      {degrees('preferment', say('workbench.levainOrSponge'))}
      <Field
        label={say('workbench.riseByMixing')}
        {...field('rise')}
        trouble={unless(read.difference('rise'), wants(say, 'difference'))}
      />
    </div>
  );
}

/** The rise that the house has learnt, and the mixes behind it; each can be left out. */
function MixingLearnt({
  known: { rise, factor },
  zone,
  units,
}: {
  known: LearntMixing;
  zone: string;
  units: ReaderUnits;
}) {
  const say = useWords();
  const degrees = (celsius: number) => showDifference(celsius, units);
  const counting = rise.evidence.filter(({ declined }) => !declined);
  const far = new Set(rise.questioned.map((i) => counting[i]?.id));
  return (
    <section aria-label={say('workbench.learntOfMixing')} className="mt-5 border-t border-hairline pt-3">
      <h3 className="text-lg">
        {rise.readings === 0
          ? say('workbench.mixingIsTakenToWarm', { celsius: degrees(rise.mean) })
          : say('workbench.mixingWarmsItByGive', {
              celsius: degrees(rise.mean),
              celsius2: degrees(rise.spread),
              readings: rise.readings,
              celsius3: degrees(factor.mean),
              celsius4: degrees(factor.spread),
            })}
      </h3>
      <EvidenceList
        evidence={rise.evidence.map((one) => ({
          ...one,
          words: degrees(one.value),
          questioned: far.has(one.id),
        }))}
        zone={zone}
      />
    </section>
  );
}
