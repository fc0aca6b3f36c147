'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { DrawingSoon } from '../kit/drawing-soon';
import { placeOf } from '@/core/bakery/machines';
import dynamic from 'next/dynamic';
import { chillMessages } from '@/core/heat/answers';
import { type Body, conduct, type Shape } from '@/core/heat/conduction';
import { BUTTER, DOUGH } from '@/core/heat/material';
import { films, type Lying, LYING, type Place, type PlaceKind } from '@/core/heat/places';
import { showCelsius, showLength } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { measure } from '@/core/units/measure';
import { type Typing, unless, useTyped, wants } from './use-typed';
import type { Warming } from '@/core/heat/conduction';
import type { ReaderUnits } from '@/core/units/reader';
import type { Measure } from '@/core/units/measure';

const TemperatureChart = dynamic(() => import('./temperature-chart'), {
  ssr: false,
  loading: DrawingSoon,
});

const pieces = (
  say: Say,
): {
  id: string;
  name: string;
  mm: number;
  /** °C, at the beginning and wanted in the core. */
  start: number;
  target: number;
  lying: Lying;
  laminated: boolean;
}[] => [
  {
    id: 'tub',
    name: say('workbench.bulkInATub'),
    mm: 160,
    start: 24,
    target: 8,
    lying: 'tub',
    laminated: false,
  },
  {
    id: 'tray',
    name: say('workbench.bulkPressedFlatOnA'),
    mm: 30,
    start: 24,
    target: 6,
    lying: 'tray',
    laminated: false,
  },
  {
    id: 'dough',
    name: say('workbench.doughBlock'),
    mm: 25,
    start: 15,
    target: 6,
    lying: 'tray',
    laminated: false,
  },
  {
    id: 'butter',
    name: say('workbench.butterBlock'),
    mm: 10,
    start: 4,
    target: 12,
    lying: 'board',
    laminated: false,
  },
  {
    id: 'block',
    name: say('workbench.laminatedBlock'),
    mm: 24,
    start: 12,
    target: 6,
    lying: 'tray',
    laminated: true,
  },
  { id: 'sheet', name: say('workbench.sheet'), mm: 4, start: 14, target: 6, lying: 'tray', laminated: true },
  {
    id: 'shaped',
    name: say('workbench.shapedPiece'),
    mm: 38,
    start: 16,
    target: 5,
    lying: 'tray',
    laminated: true,
  },
  {
    id: 'bun',
    name: say('workbench.roundBun'),
    mm: 60,
    start: 22,
    target: 26,
    lying: 'tray',
    laminated: false,
  },
];

/** A quarter of a laminated block is butter, between two sheets of dough. */
const BUTTER_SHARE = 0.25;

function bodyOf(piece: string, mm: number): Body {
  const shape: Shape = piece === 'shaped' ? 'cylinder' : piece === 'bun' ? 'ball' : 'slab';
  if (piece === 'butter') return { shape, layers: [{ material: BUTTER, mm }] };
  if (piece === 'block') {
    const dough = (mm * (1 - BUTTER_SHARE)) / 2;
    return {
      shape,
      layers: [
        { material: DOUGH, mm: dough },
        { material: BUTTER, mm: mm * BUTTER_SHARE },
        { material: DOUGH, mm: dough },
      ],
    };
  }
  return { shape, layers: [{ material: DOUGH, mm: shape === 'slab' ? mm : mm / 2 }] };
}

export interface ToolPlace {
  id: string;
  label: string;
  kind: PlaceKind;
  purpose: Place['purpose'];
  celsius: number;
}

const blast = (say: Say): ToolPlace => ({
  ...{ id: 'blast', label: say('workbench.blastFreezer'), kind: 'blast', purpose: 'dough' },
  celsius: -30,
});

/** A block of dough out of the mixer, on its way to the cold. */
const begin = (place: string, air: Measure) => ({
  ...{ piece: 'dough', lying: 'tray', place, hours: '3', air },
  ...{ mm: measure('mm', 25), start: measure('celsius', 15), target: measure('celsius', 6) },
});

/** How long a piece takes to chill, freeze, thaw or warm, and what that does to it. */
export function ChillTool({ places }: { places: ToolPlace[] }) {
  const say = useWords();
  const where = [
    ...places.filter(({ kind, purpose }) => kind !== 'oven' && purpose === 'dough'),
    // What a blast freezer would do is worth knowing where there is none.
    ...(places.some(({ kind }) => kind === 'blast') ? [] : [blast(say)]),
  ];
  const cold = placeOf('retarder', places) ?? blast(say).id;
  const airOf = (place: string) => measure('celsius', where.find(({ id }) => id === place)?.celsius ?? 4);
  const form = useTyped(begin(cold, airOf(cold)));
  const { typed, read, units } = form;
  const [mm, hours] = [read.mm('mm'), read.number('hours')];
  const [start, target, air] = [read.celsius('start'), read.celsius('target'), read.celsius('air')];
  const kind = where.find(({ id }) => id === typed.place)?.kind ?? 'fridge';

  const ready = mm > 0 && mm <= 400 && hours > 0 && hours <= 48 && ![start, target, air].some(Number.isNaN);
  const { piece, lying } = typed;
  const { top, bottom } = films(kind, lying as Lying);
  const warming = ready
    ? conduct(
        bodyOf(piece, mm),
        start,
        [{ minutes: hours * 60, celsius: air, top, bottom }],
        hours > 8 ? 5 : 1,
      )
    : null;
  return (
    <div className="grid gap-6 md:grid-cols-[18rem_1fr]">
      <ChillFields form={form} where={where} airOf={airOf} />
      <div>{warming && <ChillResult warming={warming} target={target} units={units} typed={typed} />}</div>
    </div>
  );
}

type ChillForm = Typing<ReturnType<typeof begin>>;

interface ChillFieldsProps {
  form: ChillForm;
  where: ToolPlace[];
  airOf: (place: string) => Measure;
}

/** The piece, where it lies and where it goes. */
function ChillFields({ form, where, airOf }: ChillFieldsProps) {
  const say = useWords();
  const { typed, set, read, field, units } = form;
  const { piece } = typed;
  const [mm, hours] = [read.mm('mm'), read.number('hours')];
  return (
    <div className="grid content-start gap-3">
      <Choice
        label={say('workbench.piece')}
        value={typed.piece}
        options={pieces(say)}
        onChoose={(id) => {
          const next = pieces(say).find((one) => one.id === id);
          if (next)
            set({
              ...{ piece: id, lying: next.lying, mm: measure('mm', next.mm) },
              ...{ start: measure('celsius', next.start), target: measure('celsius', next.target) },
            });
        }}
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={
            piece === 'shaped' || piece === 'bun' ? say('workbench.diameter') : say('workbench.thickness')
          }
          {...field('mm')}
          trouble={
            mm > 400
              ? say('workbench.atMost', { length: showLength(400, units) })
              : unless(mm, wants(say, 'mm'))
          }
        />
        <Field
          label={say('workbench.startsAt')}
          {...field('start')}
          trouble={unless(read.celsius('start'), wants(say, 'celsius'))}
        />
      </div>
      <Choice
        label={say('workbench.goesInto')}
        value={typed.place}
        options={where.map(({ id, label }) => ({ id, name: say.named(label) }))}
        onChoose={(id) => set({ place: id, air: airOf(id) })}
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={say('workbench.itIsThere')}
          {...field('air')}
          trouble={unless(read.celsius('air'), wants(say, 'celsius'))}
        />
        <Field
          label={say('workbench.coreWanted')}
          {...field('target')}
          trouble={unless(read.celsius('target'), wants(say, 'celsius'))}
        />
      </div>
      <Choice
        label={say('workbench.lies')}
        value={typed.lying}
        options={Object.entries(LYING).map(([id, { label }]) => ({ id, name: say.coded(label) }))}
        onChoose={(id) => set({ lying: id })}
      />
      <Field
        label={say('workbench.lookAheadHours')}
        {...field('hours')}
        inputMode="decimal"
        trouble={hours > 0 && hours <= 48 ? null : say('workbench.fromAFractionTo48')}
      />
    </div>
  );
}

interface ChillResultProps {
  warming: Warming;
  target: number;
  units: ReaderUnits;
  typed: ChillForm['typed'];
}

/** When the core is there, in words and as a curve. */
function ChillResult({ warming, target, units, typed }: ChillResultProps) {
  const say = useWords();
  const known = pieces(say).find(({ id }) => id === typed.piece);
  return (
    <>
      <div role="status" className="mb-3 text-2xl font-semibold">
        {chillMessages(warming, target, known?.laminated ?? false).map((message) => (
          <p key={message.code}>{say.coded(message)}</p>
        ))}
      </div>
      <TemperatureChart
        title={say('workbench.coreSurfaceAndMeanOver')}
        minutes={warming.minutes}
        target={target}
        units={units}
        lines={[
          { name: say('workbench.core'), dash: '', colour: 'var(--ink)', values: warming.core },
          { name: say('workbench.mean'), dash: '7 4', colour: 'var(--quiet)', values: warming.mean },
          { name: say('workbench.surface'), dash: '2 4', colour: 'var(--edge)', values: warming.surface },
        ]}
      />
      <p className="mt-2 text-quiet">
        {say('workbench.atTheEndCoreMean', {
          celsius: showCelsius(warming.core.at(-1) ?? 0, units),
          celsius2: showCelsius(warming.mean.at(-1) ?? 0, units),
          celsius3: showCelsius(warming.surface.at(-1) ?? 0, units),
        })}
      </p>
    </>
  );
}
