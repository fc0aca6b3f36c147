import { useWords } from '../kit/words';
import { upperFirst } from '@/words/first-letter';
import type { Say } from '@/words/say';
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
  const say = useWords();
  const { question, liquid, terms } = mixing;
  const answer = waterAnswer(question, mixing.flour);
  const degrees = (celsius: number) => showCelsius(celsius, units);
  const rule = factorRule(question.target, terms, factor);
  const own = answer.kind === 'ice' || answer.kind === 'too-warm-room' ? null : answer.celsius;
  return (
    <div className="grid gap-3">
      <Advice {...{ answer, mixing, degrees, units }} />
      <p className="text-quiet">
        {say.rich('sheet.byTheFactorRuleIt', {
          celsius: degrees(rule),
          count: terms.length + 1,
          celsius2: degrees(question.target),
          terms: terms.map(degrees).join(', '),
          difference: showDifference(factor, units),
          own: () =>
            own !== null &&
            Math.abs(own - rule) >= 0.5 && (
              <>
                {say('sheet.apartTheRuleCountsEach', {
                  difference: showDifference(Math.abs(own - rule), units),
                  blind: blind(say, mixing),
                  difference2: showDifference(question.rise, units),
                })}
              </>
            ),
        })}
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
  const say = useWords();
  const apart = showDifference(Math.abs(dough - target), units);
  return (
    <p className="text-xl">
      {say.rich('sheet.doughAtAbout', {
        span: (words) => <span className="text-4xl font-bold">{words}</span>,
        celsius: showCelsius(dough, units),
        br: () => <br />,
        part:
          Math.abs(dough - target) <= NEAR
            ? say('sheet.asWantedWithEverythingIt')
            : dough < target
              ? say('sheet.coolerThanWantedWarmThe', { apart })
              : say('sheet.warmerThanWantedChillThe', { apart }),
      })}
    </p>
  );
}

/** What the factor rule leaves out of this dough. */
function blind(say: Say, { question, liquid }: Mixing): string {
  const cold = question.parts.some(({ celsius, kg }) => celsius < 10 && kg > 0.05);
  if (!question.liquid.isWater)
    return say('sheet.thatHoldsLessHeatThan', { name: liquid.name, isCold: cold });
  return cold ? say('sheet.theColdMilkEggsAnd') : say('sheet.howMuchOfEachThere');
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
  const say = useWords();
  const large = 'text-4xl font-bold';
  switch (answer.kind) {
    case 'liquid':
      return (
        <p className="text-xl">
          {say.rich('sheet.atOfItForA', {
            span: (words) => <span className={large}>{words}</span>,
            name: upperFirst(liquid.name),
            celsius: degrees(answer.celsius),
            br: () => <br />,
            mass: showMass(liquid.grams, units),
            celsius2: degrees(question.target),
          })}
        </p>
      );
    case 'ice':
      return (
        <p className="text-xl">
          {say.rich('sheet.ofIceAndWaterAt', {
            span: (words) => <span className={large}>{words}</span>,
            mass: showMass(answer.iceKg * 1000, units),
            br: () => <br />,
            mass2: showMass(answer.waterKg * 1000, units),
            celsius: degrees(answer.celsius),
            celsius2: degrees(question.target),
          })}
        </p>
      );
    case 'too-warm-room':
      return (
        <p className="text-xl">
          {say.rich('sheet.theDoughComesToEven', {
            span: (words) => <span className={large}>{words}</span>,
            celsius: degrees(answer.dough),
            br: () => <br />,
            part:
              answer.iceKg > 0
                ? say('sheet.allTheWaterAsIce')
                : say('common.at', { name: liquid.name, celsius: degrees(answer.celsius) }),
            name: liquid.name,
          })}
        </p>
      );
    case 'too-hot':
      return (
        <div role="alert" className="text-xl">
          <p className={`${large} text-warn`}>
            {say('sheet.doNotGoAbove', { celsius: degrees(question.warmest) })}
          </p>
          <p>
            {say.rich('sheet.wouldHaveToBeAnd', {
              name: upperFirst(liquid.name),
              celsius: degrees(answer.celsius),
              celsius2: degrees(question.warmest),
              celsius3: degrees(answer.dough),
              part:
                answer.flourCelsius !== null && answer.flourCelsius < 40
                  ? say('sheet.orWarmTheFlourTo', { celsius: degrees(answer.flourCelsius) })
                  : '',
            })}
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
  const say = useWords();
  // Below this it is warm enough for the yeast and no longer too hot; colder it comes from the fridge.
  const aim = to >= 26 ? Math.min(40, to) : 30;
  const standing = minutesToCool({ kg, heat: 3.9, from: 60, to: aim, around: room }, 12);
  const bath = minutesToCool({ kg, heat: 3.9, from: 60, to: aim, around: 10 }, 300);
  return (
    <p className="text-quiet">
      {say('sheet.wasTheWarmedToIt', {
        name,
        celsius: degrees(60),
        celsius2: degrees(aim),
        part: standing === null ? '' : say('sheet.inStanding', { duration: duration(standing) }),
        part2: bath === null ? '' : say('sheet.inABathOfCold', { duration: duration(bath) }),
      })}
    </p>
  );
}
