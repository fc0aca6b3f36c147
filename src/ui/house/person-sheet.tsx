'use client';

import { LANGUAGE_NAMES } from '@/words/languages';
import { LANGUAGES } from '@/words/message';
import { weekdays } from '@/words/weekdays';
import { useWords } from '../kit/words';
import { useState } from 'react';
import { type Person, type Skill, SKILLS } from '@/core/bakery/people';
import type { HouseBook } from '@/core/bakery/house-book';
import { clockOfDay, minuteOfDay } from '@/core/time/local';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { HeldNote } from './held-note';
import { FormEnd } from './form-end';
import { useChange } from './use-change';

type Known = HouseBook['people'][number];

/** What is known of a person, and their week. */
export function PersonSheet({ person, onClose }: { person: Known | null; onClose: () => void }) {
  const say = useWords();
  return (
    <Sheet open onOpenChange={onClose} title={person?.name ?? say('house.somebodyNew')}>
      <PersonForm person={person} onClose={onClose} />
      {person && <WeekForm person={person} onClose={onClose} />}
    </Sheet>
  );
}

function PersonForm({ person, onClose }: { person: Known | null; onClose: () => void }) {
  const say = useWords();
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState({
    name: person?.name ?? '',
    role: person?.role ?? 'baker',
    team: person?.team ?? 'nights',
    pin: '',
    skills: person?.skills ?? [],
    language: person?.language ?? null,
  });
  const set = (part: Partial<typeof form>) => setForm({ ...form, ...part });
  const save = async (active: boolean) => {
    if (await change('save-person', { id: person?.id ?? null, ...form, active })) onClose();
  };
  const at = (field: string) => (held?.field === field ? held.message : null);
  return (
    <form
      noValidate
      className="grid gap-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save(true);
      }}
    >
      <Field
        label={say('house.name')}
        value={form.name}
        trouble={at('name')}
        onType={(name) => set({ name })}
      />
      <Choice
        label={say('house.does')}
        value={form.role}
        trouble={at('role')}
        options={[
          { id: 'baker', name: say('house.workOnTheFloor') },
          { id: 'planner', name: say('house.planAsWell') },
          { id: 'helper', name: say('house.helpTickOffWhatIs') },
          { id: 'viewer', name: say('house.lookOnAScreenThe') },
        ]}
        onChoose={(role) => set({ role: role as Person['role'] })}
      />
      <Field
        label={say('house.team')}
        value={form.team}
        trouble={at('team')}
        onType={(team) => set({ team })}
      />
      <Choice
        label={say('house.reads')}
        value={form.language ?? ''}
        trouble={at('language')}
        options={[
          { id: '', name: say('house.asTheTablet') },
          ...LANGUAGES.map((id) => ({ id, name: LANGUAGE_NAMES[id] })),
        ]}
        onChoose={(language) => set({ language: language || null })}
      />
      <Field
        label={person ? say('house.newPINIfItIs') : say('house.pIN')}
        inputMode="numeric"
        type="password"
        value={form.pin}
        trouble={at('pin')}
        onType={(pin) => set({ pin })}
      />
      <Skills chosen={form.skills} onChoose={(skills) => set({ skills })} />
      <FormEnd of={changing} fields={['name', 'role', 'team', 'language', 'pin']} onDone={onClose}>
        {person && (
          <>
            <Button
              onClick={async () => {
                if (await change('end-sessions', { personId: person.id })) onClose();
              }}
            >
              {say('house.endSSessionsOnAll', { name: person.name })}
            </Button>
            <Button onClick={() => void save(false)}>{say('house.hasLeftTheHouse')}</Button>
          </>
        )}
      </FormEnd>
    </form>
  );
}

function Skills({ chosen, onChoose }: { chosen: Skill[]; onChoose: (skills: Skill[]) => void }) {
  const say = useWords();
  return (
    <fieldset className="flex flex-wrap gap-2 sm:col-span-2">
      <legend className="text-[15px]">{say('house.canDoNothingChosenEverything')}</legend>
      {SKILLS.map((skill) => {
        const on = chosen.includes(skill);
        return (
          <Button
            key={skill}
            aria-pressed={on}
            onClick={() => onChoose(on ? chosen.filter((one) => one !== skill) : [...chosen, skill])}
          >
            {say('names.skill', { skill })}
          </Button>
        );
      })}
    </fieldset>
  );
}

/** From and to of each weekday, as they are typed; empty for a day off. */
type Week = { from: string; to: string }[];

function WeekForm({ person, onClose }: { person: Known; onClose: () => void }) {
  const say = useWords();
  const { change, held, calm } = useChange();
  const [week, setWeek] = useState<Week>(() =>
    weekdays(say.language, 'short').map((_, i) => {
      const shift = person.shifts.find(({ weekday }) => weekday === i + 1);
      return shift
        ? { from: clockOfDay(shift.startMinute), to: clockOfDay(shift.endMinute) }
        : { from: '', to: '' };
    }),
  );
  const set = (day: number, part: Partial<Week[number]>) =>
    setWeek(week.map((one, i) => (i === day ? { ...one, ...part } : one)));
  const save = async () => {
    const shifts = week.flatMap(({ from, to }, i) => {
      if (from === '' && to === '') return [];
      return [{ weekday: i + 1, startMinute: minuteOfDay(from), endMinute: minuteOfDay(to) }];
    });
    if (await change('save-shifts', { personId: person.id, shifts })) onClose();
  };
  return (
    <section aria-label={say('house.week')} className="mt-5 border-t border-edge pt-3">
      <h3 className="text-xl font-semibold">{say('house.everyWeek')}</h3>
      <p className="text-[15px] text-quiet">{say('house.anEndBeforeTheStart')}</p>
      <div className="mt-2 grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-4">
        {weekdays(say.language, 'short').map((day, i) => (
          <fieldset key={day} className="flex items-end gap-1">
            <legend className="font-semibold">{day}</legend>
            <Field
              label={say('house.from2')}
              aria-label={say('house.from3', { day })}
              placeholder="–"
              value={week[i]?.from ?? ''}
              onType={(from) => set(i, { from })}
            />
            <Field
              label={say('house.to2')}
              aria-label={say('house.to3', { day })}
              placeholder="–"
              value={week[i]?.to ?? ''}
              onType={(to) => set(i, { to })}
            />
          </fieldset>
        ))}
      </div>
      <HeldNote held={held} onDone={onClose} onCalm={calm} />
      <div className="mt-3 flex gap-2">
        <Button onClick={() => void save()}>{say('house.keepTheWeek')}</Button>
        <Button look="quiet" onClick={() => setWeek(week.map((one) => week[0] ?? one))}>
          {say('house.everyDayLikeMonday')}
        </Button>
      </div>
    </section>
  );
}
