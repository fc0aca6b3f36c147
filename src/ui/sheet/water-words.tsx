import { waterAnswer, factorRule, minutesToCool, type WaterAnswer } from '@/core/heat/water';
import type { Mixing } from '@/core/heat/mixing';
import { duration } from '@/core/units/format';
import { showCelsius, showDifference, showMass, type ReaderUnits } from '@/core/units/reader';

interface Props {
  mixing: Mixing;
  /** Learnt friction factor of the factor rule. */
  factor: number;
  units: ReaderUnits;
}

/** What water to take: by heat balance, large; what to do where that cannot be; the factor rule beside it. */
export function WaterWords({ mixing, factor, units }: Props) {
  const { question, liquid, terms } = mixing;
  const answer = waterAnswer(question, mixing.flour);
  const degrees = (celsius: number) => showCelsius(celsius, units);
  const rule = factorRule(question.target, terms, factor);
  const own = answer.kind === 'ice' || answer.kind === 'too-warm-room' ? null : answer.celsius;
  return (
    <div className="grid gap-3">
      <Advice {...{ answer, mixing, degrees, units }} />
      <p className="text-quiet">
        By the factor rule it would be {degrees(rule)}: {terms.length + 1} × {degrees(question.target)} less{' '}
        {terms.map(degrees).join(', ')} and a friction factor of {showDifference(factor, units)}.
        {own !== null && Math.abs(own - rule) >= 0.5 && (
          <>
            {' '}
            {showDifference(Math.abs(own - rule), units)} apart: the rule counts each term alike and does not
            see {blind(mixing)}; its factor is not the rise of {showDifference(question.rise, units)}.
          </>
        )}
      </p>
      {!question.liquid.isWater && (
        <MilkCooling
          kg={liquid.grams / 1000}
          to={own ?? question.coldest}
          room={terms[1] ?? 22}
          degrees={degrees}
          name={liquid.name}
        />
      )}
    </div>
  );
}

/** How far from what is wanted a dough may come out before something is advised, °C. */
const NEAR = 1;

/** A dough without water or milk: what it comes to as its ingredients are, and what may be done. Egg is never warmed. */
export function WithoutLiquid({
  dough,
  target,
  units,
}: {
  dough: number;
  target: number;
  units: ReaderUnits;
}) {
  const apart = showDifference(Math.abs(dough - target), units);
  return (
    <p className="text-xl">
      <span className="text-4xl font-bold">Dough at about {showCelsius(dough, units)}</span>
      <br />
      {Math.abs(dough - target) <= NEAR
        ? 'as wanted, with everything as it comes. Eggs stay cold.'
        : dough < target
          ? `${apart} cooler than wanted: warm the bowl or the flour, mix longer, or give it a longer bulk. Eggs stay cold.`
          : `${apart} warmer than wanted: chill the flour and the bowl, or mix shorter. Eggs stay cold.`}
    </p>
  );
}

/** What the factor rule leaves out of this dough. */
function blind({ question, liquid }: Mixing): string {
  const cold = question.parts.some(({ celsius, kg }) => celsius < 10 && kg > 0.05);
  if (!question.liquid.isWater)
    return `that ${liquid.name} holds less heat than water${cold ? ', nor the cold butter and eggs' : ''}`;
  return cold ? 'the cold milk, eggs and butter' : 'how much of each there is';
}

function Advice({
  answer,
  mixing: { question, liquid },
  degrees,
  units,
}: {
  answer: WaterAnswer;
  mixing: Mixing;
  degrees: (celsius: number) => string;
  units: ReaderUnits;
}) {
  const large = 'text-4xl font-bold';
  switch (answer.kind) {
    case 'liquid':
      return (
        <p className="text-xl">
          <span className={large}>
            {liquid.name[0]?.toUpperCase()}
            {liquid.name.slice(1)} at {degrees(answer.celsius)}
          </span>
          <br />
          {showMass(liquid.grams, units)} of it, for a dough at {degrees(question.target)}.
        </p>
      );
    case 'ice':
      return (
        <p className="text-xl">
          <span className={large}>{showMass(answer.iceKg * 1000, units)} of ice</span>
          <br />
          and {showMass(answer.waterKg * 1000, units)} of water at {degrees(answer.celsius)}: the tap is too
          warm for a dough at {degrees(question.target)} without.
        </p>
      );
    case 'too-warm-room':
      return (
        <p className="text-xl">
          <span className={large}>The dough comes to {degrees(answer.dough)}</span>
          <br />
          even with{' '}
          {answer.iceKg > 0 ? 'all the water as ice' : `${liquid.name} at ${degrees(answer.celsius)}`}. Chill
          flour and {liquid.name}, mix shorter, or mix at night; then give it a shorter bulk.
        </p>
      );
    case 'too-hot':
      return (
        <div role="alert" className="text-xl">
          <p className={`${large} text-warn`}>Do not go above {degrees(question.warmest)}</p>
          <p>
            {liquid.name[0]?.toUpperCase()}
            {liquid.name.slice(1)} would have to be {degrees(answer.celsius)}, and the yeast suffers. At{' '}
            {degrees(question.warmest)} the dough comes to {degrees(answer.dough)}: give it a longer bulk
            {answer.flourCelsius !== null && answer.flourCelsius < 40
              ? `, or warm the flour to ${degrees(answer.flourCelsius)}`
              : ''}
            .
          </p>
        </div>
      );
  }
}

/** Scalded or warmed milk has to come down first: how long that takes. */
function MilkCooling({
  kg,
  to,
  room,
  degrees,
  name,
}: {
  kg: number;
  to: number;
  room: number;
  degrees: (celsius: number) => string;
  name: string;
}) {
  // Below this it is warm enough for the yeast and no longer too hot; colder it comes from the fridge.
  const aim = to >= 26 ? Math.min(40, to) : 30;
  const standing = minutesToCool({ kg, heat: 3.9, from: 60, to: aim, around: room }, 12);
  const bath = minutesToCool({ kg, heat: 3.9, from: 60, to: aim, around: 10 }, 300);
  return (
    <p className="text-quiet">
      Was the {name} warmed to {degrees(60)}? It comes down to {degrees(aim)}
      {standing === null ? '' : ` in ${duration(standing)} standing`}
      {bath === null ? '' : `, in ${duration(bath)} in a bath of cold water`}.
    </p>
  );
}
