'use client';

import { useState } from 'react';
import type { MachineKind } from '@/core/bakery/machines';
import { MACHINE_WORDS } from '@/core/bakery/machine-words';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { PLACE_KINDS, type PlaceKind } from '@/core/heat/places';
import type { RisePhase, RouteStep } from '@/core/process/route';
import type { ThreadStep } from '@/core/process/threads';
import { upperFirst } from '@/words/say';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';
import { FormSheet } from './form-sheet';
import { BakeFields } from './bake-fields';
import { beginPhases, beginStep, readStep, STEP_FIELDS, type StepChoices } from './step-form';
import { PHASE_NAMES } from '@/core/process/step-words';
import { useTypedForm } from './typed-form';

interface Props {
  at: ThreadStep;
  isFirst: boolean;
  onKeep: (step: ThreadStep) => void;
  onClose: () => void;
}

/** One step of a route: its name, hands or wait, where it is, and what to mind. */
export function StepSheet({ at, isFirst, onKeep, onClose }: Props) {
  const say = useWords();
  const { step } = at;
  const form = useTypedForm(STEP_FIELDS(say), beginStep(at));
  const [choices, setChoices] = useState<StepChoices>({
    machine: step.holds?.[0]?.machine ?? '',
    per: step.holds?.[0]?.per ?? 'once',
    place: step.place ?? '',
    purpose: step.rise?.decides ? step.rise.phase : step.until === undefined ? 'time' : 'core',
    program: beginPhases(step.program),
    cools: step.cools ?? false,
  });
  const choose = (part: Partial<StepChoices>) => setChoices({ ...choices, ...part });
  const keep = () => {
    const made = readStep(at, form, choices);
    if (made) onKeep(made);
  };
  return (
    <FormSheet title={say.coded(step.label)} className="grid gap-4" onKeep={keep} onClose={onClose}>
      <div className="grid gap-3 sm:grid-cols-3">
        {form.field('label')}
        {!isFirst && form.field('gapFrom')}
        {!isFirst && form.field('gapTo')}
      </div>
      {step.work && <HandsFields field={form.field} />}
      {step.wait && <WaitFields {...{ form, step, choices, choose }} />}
      {step.kind !== 'laminate' && <PlaceFields {...{ form, step, choices, choose }} />}
      {step.kind === 'bake' && (
        <BakeFields
          program={choices.program}
          field={form.field}
          onChange={(program) => choose({ program })}
        />
      )}
      <div className="grid gap-3">
        {step.wait && form.field('cover')}
        {form.field('check')}
        {form.field('caution')}
      </div>
      {step.alive && (
        <label className="grid gap-1 text-[15px]">
          {say('product.signs')}
          <textarea
            className="min-h-24 rounded border border-edge bg-ground px-2 py-1 text-[17px]"
            value={form.texts.signs}
            onChange={(event) => form.set('signs', event.target.value)}
          />
        </label>
      )}
    </FormSheet>
  );
}

type FormField = ReturnType<typeof useTypedForm<keyof ReturnType<typeof STEP_FIELDS>>>['field'];

function HandsFields({ field }: { field: FormField }) {
  const say = useWords();
  return (
    <fieldset>
      <legend className="font-bold">{say('product.hands')}</legend>
      <div className="grid gap-3 sm:grid-cols-4">
        {(['fixed', 'perKg', 'perPiece', 'people'] as const).map(field)}
      </div>
    </fieldset>
  );
}

interface ChoiceProps {
  form: { field: FormField };
  step: RouteStep;
  choices: StepChoices;
  choose: (part: Partial<StepChoices>) => void;
}

function WaitFields({ form, step, choices, choose }: ChoiceProps) {
  const say = useWords();
  const phases = Object.keys(PHASE_NAMES) as RisePhase[];
  return (
    <fieldset>
      <legend className="font-bold">{say('product.wait')}</legend>
      <div className="grid gap-3 sm:grid-cols-3">
        {(['shortest', 'best', 'longest'] as const).map(form.field)}
        {(['shortCost', 'longCost'] as const).map(form.field)}
        {step.kind !== 'bake' && (
          <Choice
            label={say('product.purpose')}
            value={choices.purpose}
            options={[
              { id: 'time', name: say('product.forTime') },
              { id: 'core', name: say('product.forCore') },
              ...phases.map((id) => ({ id, name: say.coded(PHASE_NAMES[id]) })),
            ]}
            onChoose={(id) => choose({ purpose: id as StepChoices['purpose'] })}
          />
        )}
        {choices.purpose === 'core' && form.field('until')}
      </div>
      {step.kind !== 'bake' && (
        <label className="mt-2 flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={choices.cools}
            onChange={(event) => choose({ cools: event.target.checked })}
          />
          {say('product.cooked')}
        </label>
      )}
    </fieldset>
  );
}

function PlaceFields({ form, step, choices, choose }: ChoiceProps) {
  const say = useWords();
  const { machine } = choices;
  return (
    <fieldset>
      <legend className="font-bold">{say('product.whereItIs')}</legend>
      <div className="grid gap-3 sm:grid-cols-3">
        <Choice
          label={say('product.machine')}
          value={machine}
          options={[
            { id: '', name: say('product.noMachine') },
            ...MACHINE_KINDS.map((id) => ({ id, name: say.coded(MACHINE_WORDS[id]) })),
          ]}
          onChoose={(id) => choose({ machine: id as MachineKind | '' })}
        />
        {machine !== '' && form.field('amount')}
        {machine !== '' && (
          <Choice
            label={say('product.per')}
            value={choices.per}
            options={[
              { id: 'once', name: say('product.perOnce') },
              { id: 'kg', name: say('product.perKilo') },
              { id: 'tray', name: say('product.perATray') },
            ]}
            onChoose={(id) => choose({ per: id as StepChoices['per'] })}
          />
        )}
        {machine !== '' && form.field('setting')}
        <Choice
          label={say('product.place')}
          value={choices.place}
          options={[
            { id: '', name: say('product.noPlace') },
            ...(Object.keys(PLACE_KINDS) as PlaceKind[]).map((id) => ({
              ...{ id, name: upperFirst(say.coded(PLACE_KINDS[id].label)) },
            })),
          ]}
          onChoose={(id) => choose({ place: id as PlaceKind | '' })}
        />
        {form.field('around')}
        {step.gives !== undefined && form.field('gives')}
      </div>
    </fieldset>
  );
}
