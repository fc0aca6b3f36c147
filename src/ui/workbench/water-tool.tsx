'use client';

import { useMemo } from 'react';
import { analyse } from '@/core/formula/analysis';
import type { Ingredient } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import { scale } from '@/core/formula/scale';
import { doughAsItComes, mixingOf, type BowlTemperatures } from '@/core/heat/mixing';
import type { Learnt } from '@/core/learning/readings';
import { showDifference, type ReaderUnits } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { WaterWords, WithoutLiquid } from '../sheet/water-words';
import { EvidenceList } from './evidence-list';
import { riseByMixing, type MixingWay } from '@/core/heat/friction';
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

const WAYS: { id: Way; name: string }[] = [
  { id: 'learnt', name: 'as this house measured it' },
  { id: 'spiral', name: 'in a spiral mixer' },
  { id: 'planetary', name: 'in a planetary mixer' },
  { id: 'hand', name: 'by hand' },
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
  const mixing = bowl && mixingOf(bowl, book, at, target, warms);
  const dry = bowl && !mixing ? doughAsItComes(bowl, book, at, warms) : null;
  const degrees = (name: 'flour' | 'room' | 'tap' | 'preferment' | 'target', label: string) => (
    <Field
      label={label}
      {...field(name)}
      inputMode="text"
      trouble={unless(read.celsius(name), wants('celsius'))}
    />
  );
  return (
    <div className="grid gap-6 md:grid-cols-[18rem_1fr]">
      <div className="grid content-start gap-3">
        <Choice
          label="Formula"
          value={typed.formula}
          options={doughs.map(({ id, name }) => ({ id: String(id), name }))}
          onChoose={(id) => {
            const celsius = doughs.find((one) => String(one.id) === id)?.formula.doughCelsius;
            set({
              formula: id,
              ...(celsius ? { target: measure('celsius', celsius) } : {}),
              ...mixedAs(learntOf(Number(id))),
            });
          }}
        />
        <Field label="Flour in the bowl" {...field('flourWeight')} trouble={unless(grams, wants('grams'))} />
        <Choice
          label="Mixed"
          value={typed.way}
          options={WAYS.filter(({ id }) => id !== 'learnt' || (known?.rise.readings ?? 0) > 0)}
          onChoose={(way) => mixedBy({ way: way as Way })}
        />
        {(typed.way === 'planetary' || typed.way === 'spiral') && (
          <div className="grid grid-cols-2 gap-3">
            <Field label="Minutes slow" value={typed.slow} onType={(slow) => mixedBy({ slow })} />
            <Field label="Minutes fast" value={typed.fast} onType={(fast) => mixedBy({ fast })} />
          </div>
        )}
        <div className="grid grid-cols-2 gap-3">
          {degrees('target', 'Dough wanted')}
          {degrees('flour', 'Flour')}
          {degrees('room', 'Room')}
          {degrees('tap', 'Tap water')}
          {degrees('preferment', 'Levain or sponge')}
          <Field label="Rise by mixing" {...field('rise')} trouble={unless(warms, wants('difference'))} />
        </div>
      </div>
      <div>
        {mixing ? (
          <WaterWords mixing={mixing} factor={known?.factor.mean ?? 18} units={units} />
        ) : dry !== null ? (
          <WithoutLiquid dough={dry} target={target} units={units} />
        ) : (
          <p className="text-lg text-quiet">Fill in what is missing.</p>
        )}
        {known && <MixingLearnt known={known} zone={zone} units={units} />}
      </div>
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
  const degrees = (celsius: number) => showDifference(celsius, units);
  const counting = rise.evidence.filter(({ declined }) => !declined);
  const far = new Set(rise.questioned.map((i) => counting[i]?.id));
  return (
    <section aria-label="Learnt of mixing" className="mt-5 border-t border-hairline pt-3">
      <h3 className="text-lg">
        {rise.readings === 0
          ? `Mixing is taken to warm it by ${degrees(rise.mean)}: the house’s guess, no mix of it was measured yet.`
          : `Mixing warms it by ${degrees(rise.mean)}, give or take ${degrees(rise.spread)}, from ${rise.readings} measured mixes; friction factor ${degrees(factor.mean)}, give or take ${degrees(factor.spread)}.`}
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
