'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { placeOf } from '@/core/bakery/machines';
import { alongLegs, readiness, type School, schoolLegs } from '@/core/ferment/path';
import { DOUGH } from '@/core/heat/material';
import { firstMode } from '@/core/heat/mode';
import { meanFilm, type PlaceKind } from '@/core/heat/places';
import type { Verdict } from '@/core/learning/verdicts';
import { butterAt } from '@/core/lamination/butter-window';
import type { Rise, RisePhase } from '@/core/process/route';
import { fermentationOf } from '@/core/forecast/windows';
import { duration } from '@/core/units/format';
import { showCelsius, showLength } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { measure } from '@/core/units/measure';
import { unless, useTyped, wants } from './use-typed';
import type { ToolPlace } from './chill-tool';
import { EvidenceList } from './evidence-list';
import type { ReaderUnits } from '@/core/units/reader';

/** A product's rises as set and as learnt, with the batches behind them. */
export interface LearntProduct {
  productId: number;
  name: string;
  /** Whether there is butter between its layers. */
  laminated: boolean;
  phases: {
    phase: RisePhase;
    set: Rise;
    learnt: { mean: number; spread: number; readings: number };
    evidence: {
      id: number;
      minutes: number;
      verdict: Verdict | null;
      at: number;
      declined: boolean;
      dough: string | null;
      questioned: boolean;
    }[];
  }[];
}

const schoolsWords = (say: Say): { id: School; name: string }[] => [
  { id: 'warm', name: say('workbench.warmInTheProofer') },
  { id: 'room', name: say('workbench.atRoomTemperature') },
  { id: 'overnight', name: say('workbench.coldOvernightThenWarmed') },
];

/** When a proof is ready, by each school, and what another place, start or dose does; what that is learnt from. */
export function ProofTool({
  products,
  places,
  zone,
}: {
  products: LearntProduct[];
  places: ToolPlace[];
  zone: string;
}) {
  const say = useWords();
  const batches = ({ phases }: LearntProduct) =>
    phases.reduce((sum, { evidence }) => sum + evidence.length, 0);
  const best = [...products].sort((a, b) => batches(b) - batches(a))[0];
  const of = (kind: PlaceKind, otherwise: number) => {
    const id = placeOf(kind, places);
    return measure('celsius', places.find((place) => place.id === id)?.celsius ?? otherwise);
  };
  const { typed, set, read, field, units } = useTyped({
    ...{ product: String(best?.productId ?? ''), dose: '100' },
    ...{ start: measure('celsius', 18), mm: measure('mm', 40) },
    ...{ room: of('room', 22), cold: of('retarder', 4), proofer: of('proofer', 26) },
  });
  const product = products.find(({ productId }) => String(productId) === typed.product);
  const proof = product?.phases.find(({ phase }) => phase === 'proof');
  const [start, mm, dose] = [read.celsius('start'), read.mm('mm'), read.number('dose') / 100];
  const at = { room: read.celsius('room'), cold: read.celsius('cold'), proofer: read.celsius('proofer') };
  const ready = mm > 0 && mm < 300 && dose > 0 && ![start, ...Object.values(at)].some(Number.isNaN);
  const degrees = (celsius: number) => showCelsius(celsius, units);
  const told =
    ready && proof
      ? proofAnswers(say, { ...proof.set, minutes: proof.learnt.mean }, { start, mm, dose, at }, degrees)
      : null;
  return (
    <div className="grid gap-6 md:grid-cols-[18rem_1fr]">
      <div className="grid content-start gap-3">
        <Choice
          label={say('workbench.product')}
          value={typed.product}
          options={products.map(({ productId, name }) => ({ id: String(productId), name: say.named(name) }))}
          onChoose={(id) => set({ product: id })}
        />
        <ProofFields field={field} start={start} mm={mm} units={units} at={at} dose={dose} />
        {product?.laminated && <ButterWords warmest={Math.max(at.proofer, at.room)} degrees={degrees} />}
      </div>
      <div>
        {told && (
          <table className="w-full border-collapse text-left text-lg">
            <caption className="mb-1 text-left text-quiet">{say('workbench.readyAfterFromShaping')}</caption>
            <thead>
              <tr className="border-b border-edge text-[15px] text-quiet">
                {[
                  say('workbench.school'),
                  say('workbench.earliest'),
                  say('workbench.best'),
                  say('workbench.latest'),
                ].map((heading) => (
                  <th key={heading} scope="col" className="py-1 pr-4 font-normal">
                    {heading}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {told.schools.map((school) => (
                <ProofRow key={school.name} name={school.name} ready={school} />
              ))}
              <tr>
                <th scope="row" className="pt-4 pr-4 pb-1 text-base font-normal text-quiet">
                  {say('workbench.whatIf')}
                </th>
                <td colSpan={3} />
              </tr>
              {told.whatIf.map((change) => (
                <ProofRow key={change.name} name={change.name} ready={change} />
              ))}
            </tbody>
          </table>
        )}
        {product?.phases.map((phase) => (
          <LearntPhase key={phase.phase} phase={phase} zone={zone} degrees={degrees} />
        ))}
      </div>
    </div>
  );
}

interface ProofFieldsProps {
  field: (name: 'mm' | 'product' | 'dose' | 'start' | 'room' | 'cold' | 'proofer') => {
    value: string;
    onType: (text: string) => void;
  };
  start: number;
  mm: number;
  units: ReaderUnits;
  at: { room: number; cold: number; proofer: number };
  dose: number;
}

/** The piece, the places and the yeast. */
function ProofFields({ field, start, mm, units, at, dose }: ProofFieldsProps) {
  const say = useWords();
  return (
    <div className="grid grid-cols-2 gap-3">
      <Field
        label={say('workbench.pieceStartsAt')}
        {...field('start')}
        trouble={unless(start, wants(say, 'celsius'))}
      />
      <Field
        label={say('workbench.itsDiameter')}
        {...field('mm')}
        trouble={
          mm >= 300
            ? say('workbench.lessThan', { length: showLength(300, units) })
            : unless(mm, wants(say, 'mm'))
        }
      />
      <Field
        label={say('workbench.room')}
        {...field('room')}
        trouble={unless(at.room, wants(say, 'celsius'))}
      />
      <Field
        label={say('workbench.cold')}
        {...field('cold')}
        trouble={unless(at.cold, wants(say, 'celsius'))}
      />
      <Field
        label={say('workbench.proofer')}
        {...field('proofer')}
        trouble={unless(at.proofer, wants(say, 'celsius'))}
      />
      <Field
        label={say('workbench.yeastOfFormula')}
        {...field('dose')}
        trouble={dose > 0 ? null : say('workbench.withoutYeastItDoesNot')}
      />
    </div>
  );
}

interface ProofRowProps {
  name: string;
  /** Minutes from shaping; null where it is never ready. */
  ready: { earliest: number | null; best: number | null; latest: number | null };
}

/** A school, or what if: earliest, best, latest. */
function ProofRow({ name, ready }: ProofRowProps) {
  const shown = (minutes: number | null) => (minutes === null ? 'never' : duration(minutes));
  return (
    <tr className="border-b border-hairline">
      <th scope="row" className="py-1.5 pr-4 font-normal">
        {name}
      </th>
      <td className="pr-4">{shown(ready.earliest)}</td>
      <td className="pr-4 text-xl font-semibold">{shown(ready.best)}</td>
      <td>{shown(ready.latest)}</td>
    </tr>
  );
}

/** A piece that is to rise: °C at its start, mm across, yeast as a share of the formula's, °C of the places. */
interface ProofPiece {
  start: number;
  mm: number;
  dose: number;
  at: { room: number; cold: number; proofer: number };
}

/** When the piece is ready by each school, and if a place were otherwise. */
function proofAnswers(say: Say, rise: Rise, piece: ProofPiece, degrees: (celsius: number) => string) {
  const { start, mm, dose, at } = piece;
  const settling = (kind: ToolPlace['kind']) =>
    firstMode({ shape: 'cylinder', mm }, DOUGH, meanFilm(kind, 'tray')).settling;
  const all = { room: settling('room'), cold: settling('fridge'), proofer: settling('proofer') };
  const answer = (school: School, places = at, from = start, share = 1) =>
    readiness(fermentationOf(rise, dose * share), alongLegs(from, schoolLegs(school, places, all)), rise);
  const [room, cold, proofer] = [at.room + 5, at.cold + 3, at.proofer - 3];
  return {
    schools: schoolsWords(say).map(({ id, name }) => ({ name, ...answer(id) })),
    whatIf: [
      {
        name: say('workbench.prooferAt', { celsius: degrees(proofer) }),
        ...answer('warm', { ...at, proofer }),
      },
      { name: say('workbench.roomAt', { celsius: degrees(room) }), ...answer('room', { ...at, room }) },
      {
        name: say('workbench.overnightAt', { celsius: degrees(cold) }),
        ...answer('overnight', { ...at, cold }),
      },
      { name: say('workbench.halfTheYeastWarm'), ...answer('warm', at, start, 0.5) },
      { name: say('workbench.straightFromTheColdWarm'), ...answer('warm', at, at.cold) },
    ],
  };
}

/** What the warmest place of a proof does to butter between layers. */
function ButterWords({ warmest, degrees }: { warmest: number; degrees: (celsius: number) => string }) {
  const say = useWords();
  const butter = butterAt(warmest);
  if (butter === 'holds') return null;
  return butter === 'runs' ? (
    <p role="alert" className="border-l-4 border-warn pl-3 text-[17px] font-semibold text-warn">
      {say('workbench.atButterMeltsAndRuns', {
        celsius: degrees(warmest),
        celsius2: degrees(26),
        celsius3: degrees(28),
      })}
    </p>
  ) : (
    <p className="border-l-4 border-edge pl-3 text-[15px]">
      {say('workbench.aboveTheButterOfLaminated', { celsius: degrees(28) })}
    </p>
  );
}

/** What the house set for a rise, what it has learnt, and from what; each batch can be left out. */
function LearntPhase({
  phase: { phase, set, learnt, evidence },
  zone,
  degrees,
}: {
  phase: LearntProduct['phases'][number];
  zone: string;
  degrees: (celsius: number) => string;
}) {
  const say = useWords();
  const after = say('workbench.meanAt', { duration: duration(learnt.mean), celsius: degrees(set.celsius) });
  return (
    <section
      aria-label={say('workbench.learntOfThe', { phase })}
      className="mt-5 border-t border-hairline pt-3"
    >
      <h3 className="text-lg">
        <span className="font-semibold">{say('workbench.phase', { phase })}</span>:{' '}
        {learnt.readings === 0 ? (
          <>
            {say('workbench.setToAtNoBatch', {
              duration: duration(set.minutes),
              celsius: degrees(set.celsius),
            })}
          </>
        ) : (
          <>
            {say.rich('workbench.beforeNowGiveOrTake', {
              duration: duration(set.minutes),
              span: (words) => <span className="font-semibold">{words}</span>,
              after,
              duration2: duration(learnt.spread),
              readings: learnt.readings,
            })}
          </>
        )}
      </h3>
      <EvidenceList
        evidence={evidence.map((one) => ({ ...one, words: `${duration(one.minutes)} ${one.verdict ?? ''}` }))}
        zone={zone}
      />
    </section>
  );
}
