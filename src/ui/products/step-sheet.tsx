'use client';

import { useState } from 'react';
import type { MachineKind } from '@/core/bakery/machines';
import { MACHINE_WORDS } from '@/core/bakery/machine-words';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { SKILLS } from '@/core/bakery/people';
import type { MakingBakery } from '@/core/process/product-faults';
import { PLACE_KINDS, type PlaceKind } from '@/core/heat/places';
import type { RisePhase, RouteStep } from '@/core/process/route';
import type { ThreadStep } from '@/core/process/threads';
import { upperFirst } from '@/words/first-letter';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';
import { FormSheet } from './form-sheet';
import { MachineChoice } from './machine-choice';
import { BakeFields } from './bake-fields';
import { beginPhases, beginStep, MIXED, readStep, STEP_FIELDS, type StepChoices } from './step-form';
import { PHASE_NAMES } from '@/core/process/step-words';
import { useTypedForm } from '../kit/typed-form';

interface Props {
  at: ThreadStep;
  isFirst: boolean;
  /** The machines of the bakery. */
  machines: MakingBakery['machines'];
  onKeep: (step: ThreadStep) => void;
  onClose: () => void;
}

/** One step of a route: its name, hands or wait, where it is, and what to mind. */
export function StepSheet({ at, isFirst, machines, onKeep, onClose }: Props) {
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
    ...{ skill: step.skill ?? '', optional: step.optional ?? false, only: step.holds?.[0]?.only ?? [] },
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
      {step.work && <HandsFields {...{ form, step, choices, choose }} />}
      {step.wait && <WaitFields {...{ form, step, choices, choose }} />}
      {step.kind !== 'laminate' && <PlaceFields {...{ form, step, choices, choose, machines }} />}
      {step.kind === 'bake' && (
        <BakeFields
          program={choices.program}
          field={form.field}
          onChange={(program) => choose({ program })}
        />
      )}
      <label className="flex min-h-8 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={choices.optional}
          onChange={(event) => choose({ optional: event.target.checked })}
        />
        {say('product.optional')}
      </label>
      <Lines
        label={say('product.method')}
        text={form.texts.method}
        onText={(text) => form.set('method', text)}
      />
      <div className="grid gap-3">
        {step.wait && form.field('cover')}
        {form.field('check')}
        {form.field('caution')}
      </div>
      {step.alive && (
        <Lines
          label={say('product.signs')}
          text={form.texts.signs}
          onText={(text) => form.set('signs', text)}
        />
      )}
    </FormSheet>
  );
}

type FormField = ReturnType<typeof useTypedForm<keyof ReturnType<typeof STEP_FIELDS>>>['field'];

interface ChoiceProps {
  form: { field: FormField };
  step: RouteStep;
  choices: StepChoices;
  choose: (part: Partial<StepChoices>) => void;
}

/** Hands: how long, how many, who can do it, and how heavy it is. */
function HandsFields({ form: { field }, step, choices, choose }: ChoiceProps) {
  const say = useWords();
  return (
    <fieldset>
      <legend className="font-bold">{say('product.hands')}</legend>
      <div className="grid gap-3 sm:grid-cols-4">
        {(['fixed', 'perKg', 'perPiece', 'people'] as const).map(field)}
        {MIXED.includes(step.kind) && (['speedSlow', 'speedFast'] as const).map(field)}
        <Choice
          label={say('product.skill')}
          value={choices.skill}
          options={[
            { id: '', name: say('product.asUsual') },
            { id: 'anybody', name: say('product.anybody') },
            ...SKILLS.map((id) => ({ id, name: say('names.skill', { skill: id }) })),
          ]}
          onChoose={(id) => choose({ skill: id as StepChoices['skill'] })}
        />
        {field('strain')}
      </div>
    </fieldset>
  );
}

/** Words of several lines. */
function Lines({ label, text, onText }: { label: string; text: string; onText: (text: string) => void }) {
  return (
    <label className="grid gap-1 text-[15px]">
      {label}
      <textarea
        className="min-h-24 rounded border border-edge bg-ground px-2 py-1 text-[17px]"
        value={text}
        onChange={(event) => onText(event.target.value)}
      />
    </label>
  );
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

type Machines = MakingBakery['machines'];

function PlaceFields({ form, step, choices, choose, machines }: ChoiceProps & { machines: Machines }) {
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
          onChoose={(id) => choose({ machine: id as MachineKind | '', only: [] })}
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
        {machine !== '' && (
          <MachineChoice
            kind={machine}
            {...{ machines, only: choices.only }}
            onChange={(only) => choose({ only })}
          />
        )}
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
