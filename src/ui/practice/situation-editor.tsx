'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { LEVELS } from '@/core/practice/situation';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { useDraft } from '../live/draft';
import {
  blankTyped,
  firstOdd,
  freshNight,
  situationOf,
  type TypedDough,
  type TypedNight,
} from './typed-night';

type Products = readonly { id: number; name: string }[];

const KINDS = ['proof', 'bulk', 'rest', 'retard'] as const;
const PLACES = ['proofer', 'retarder', 'oven', 'room'] as const;

/** Fields that say themselves what is wrong with them. */
const BESIDE =
  /(^|\.)(name|brief|opens|hours|thermometer|by|from)$|doughs\.\d+\.(pieces|minutes|vigour|longer|warmer)$/;

/** A practice night of the bakery's own: what is under way when it opens, and what goes wrong. What is typed outlives a reload. */
export function SituationEditor({ products }: { products: Products }) {
  const say = useWords();
  const router = useRouter();
  const [kept, keep] = useDraft('practice night');
  const first = String(products[0]?.id ?? '');
  const typed = kept === '' ? freshNight(first) : (JSON.parse(kept) as TypedNight);
  const [trouble, setTrouble] = useState<{ message: string; field: string | null } | null>(null);
  const change = (part: Partial<TypedNight>) => keep(JSON.stringify({ ...typed, ...part }));
  const changeDough = (i: number, part: Partial<TypedDough>) =>
    change({ doughs: typed.doughs.map((dough, j) => (j === i ? { ...dough, ...part } : dough)) });
  const save = async () => {
    const situation = situationOf(typed);
    const odd = firstOdd(situation);
    if (odd)
      return setTrouble({
        message: say(odd === 'opens' ? 'practice.enterATime' : 'practice.enterANumber'),
        field: odd,
      });
    const { name, brief } = typed;
    const answer = await send('save-situation', { clientId: uuidv7(), name, brief, situation });
    if (!answer.ok)
      return setTrouble({ message: answer.message, field: answer.field?.replace('.at.', '.') ?? null });
    keep('');
    router.push('/practice');
  };
  const wrong = (field: string) =>
    trouble?.field?.endsWith(field) && !trouble.field.includes('doughs.') ? trouble.message : null;
  return (
    <main className="grid max-w-[70rem] flex-1 content-start gap-5 p-5">
      <h1 className="text-4xl font-bold">{say('practice.make')}</h1>
      <NightFields {...{ typed, change, wrong }} />
      <PlaceFields {...{ typed, change, wrong }} />
      <h2 className="text-2xl font-bold">{say('practice.doughs')}</h2>
      {typed.doughs.map((dough, i) => (
        <DoughFields
          key={i}
          {...{ dough, products }}
          wrong={(field) => (trouble?.field?.endsWith(`doughs.${i}.${field}`) ? trouble.message : null)}
          onChange={(part) => changeDough(i, part)}
          onRemove={
            typed.doughs.length > 1 ? () => change({ doughs: typed.doughs.filter((_, j) => j !== i) }) : null
          }
        />
      ))}
      {trouble && !BESIDE.test(trouble.field ?? '') && (
        <p role="alert" className="border-l-4 border-warn pl-3 text-lg text-warn">
          {trouble.message}
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button floor onClick={() => change({ doughs: [...typed.doughs, blankTyped(first)] })}>
          {say('practice.addDough')}
        </Button>
        <Button floor look="act" onClick={() => void save()}>
          {say('practice.keep')}
        </Button>
      </div>
    </main>
  );
}

interface NightPart {
  typed: TypedNight;
  change: (part: Partial<TypedNight>) => void;
  wrong: (field: string) => string | null;
}

/** What a night is called and told, and when it opens. */
function NightFields({ typed, change, wrong }: NightPart) {
  const say = useWords();
  return (
    <>
      <div className="grid gap-3 md:grid-cols-[1fr_2fr]">
        <Field
          label={say('practice.name')}
          value={typed.name}
          trouble={wrong('name')}
          onType={(name) => change({ name })}
        />
        <Field
          label={say('practice.brief')}
          value={typed.brief}
          trouble={wrong('brief')}
          onType={(brief) => change({ brief })}
        />
      </div>
      <div className="grid gap-3 sm:grid-cols-4">
        <Choice
          label={say('practice.levelOf')}
          value={typed.level}
          options={LEVELS.map((level) => ({
            id: String(level),
            name: say('practice.level', { level: String(level) }),
          }))}
          onChoose={(level) => change({ level })}
        />
        <Field
          label={say('practice.opensAt')}
          value={typed.opens}
          trouble={wrong('opens')}
          onType={(opens) => change({ opens })}
        />
        <Field
          label={say('practice.lasts')}
          value={typed.hours}
          trouble={wrong('hours')}
          onType={(hours) => change({ hours })}
        />
        <Field
          label={say('practice.faultThermometer')}
          value={typed.thermometer}
          trouble={wrong('thermometer')}
          onType={(thermometer) => change({ thermometer })}
        />
      </div>
    </>
  );
}

function PlaceFields({ typed, change, wrong }: NightPart) {
  const say = useWords();
  const options = [
    { id: '', name: say('practice.noFault') },
    ...PLACES.map((kind) => ({ id: kind, name: say('practice.placeKind', { kind }) })),
  ];
  return (
    <div className="grid items-end gap-3 sm:grid-cols-4">
      <Choice
        label={say('practice.faultPlace')}
        value={typed.place}
        options={options}
        onChoose={(place) => change({ place })}
      />
      {typed.place !== '' && (
        <>
          <Field
            label={say('practice.faultBy')}
            value={typed.by}
            trouble={wrong('by')}
            onType={(by) => change({ by })}
          />
          <Field
            label={say('practice.faultFrom')}
            value={typed.from}
            trouble={wrong('from')}
            onType={(from) => change({ from })}
          />
          <label className="flex min-h-14 items-center gap-3 text-lg">
            <input
              type="checkbox"
              className="size-6"
              checked={typed.shown}
              onChange={(event) => change({ shown: event.target.checked })}
            />
            {say('practice.faultShown')}
          </label>
        </>
      )}
    </div>
  );
}

function DoughFields({
  dough,
  products,
  wrong,
  onChange,
  onRemove,
}: {
  dough: TypedDough;
  products: Products;
  wrong: (field: string) => string | null;
  onChange: (part: Partial<TypedDough>) => void;
  onRemove: (() => void) | null;
}) {
  const say = useWords();
  const fields = [
    ['pieces', say('practice.pieces'), 'pieces'],
    ['minutes', say('practice.since'), 'minutes'],
    ['rises', say('practice.rises'), 'vigour'],
    ['longer', say('practice.recordedWrong'), 'longer'],
    ['warmer', say('practice.warmer'), 'warmer'],
  ] as const;
  return (
    <fieldset className="grid items-end gap-3 border-t border-hairline pt-3 sm:grid-cols-4 lg:grid-cols-8">
      <div className="sm:col-span-2">
        <Choice
          label={say('practice.product')}
          value={dough.product}
          options={products.map(({ id, name }) => ({ id: String(id), name: say.named(name) }))}
          onChoose={(product) => onChange({ product })}
        />
      </div>
      <Choice
        label={say('practice.stepInHand')}
        value={dough.kind}
        options={KINDS.map((kind) => ({ id: kind, name: say('practice.stepKind', { kind }) }))}
        onChoose={(kind) => onChange({ kind })}
      />
      {fields.map(([name, label, path]) => (
        <Field
          key={name}
          label={label}
          value={dough[name]}
          trouble={wrong(path)}
          onType={(text) => onChange({ [name]: text })}
        />
      ))}
      {onRemove && (
        <Button look="quiet" className="justify-self-start" onClick={onRemove}>
          {say('practice.removeDough')}
        </Button>
      )}
    </fieldset>
  );
}
