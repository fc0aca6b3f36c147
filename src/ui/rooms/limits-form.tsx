'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PlaceLimits } from '@/core/climate/excursions';
import { parseNumber } from '@/core/units/number';
import { measure, showMeasure } from '@/core/units/measure';
import { METRIC } from '@/core/units/reader';
import { parseCelsius } from '@/core/units/temperature';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { send } from '../live/command';

/** Between what a place has to stay, and for how long it may be outside before somebody is called. */
export function LimitsForm({ limits }: { limits: PlaceLimits }) {
  const say = useWords();
  const router = useRouter();
  const written = (limit: number | null) =>
    limit === null ? '' : showMeasure(measure('celsius', limit), METRIC);
  const [form, setForm] = useState({
    low: written(limits.low),
    high: written(limits.high),
    minutes: String(limits.minutes),
  });
  const [told, setTold] = useState<{ ok: boolean; words: string } | null>(null);
  const set = (part: Partial<typeof form>) => setForm({ ...form, ...part });
  const keep = async () => {
    const [low, high] = [form.low, form.high].map((text) => (text.trim() === '' ? null : parseCelsius(text)));
    if ((low === null && form.low.trim() !== '') || (high === null && form.high.trim() !== ''))
      return setTold({
        ok: false,
        words: say('common.aLimitIsATemperature'),
      });
    const answer = await send('set-limits', {
      ...{ place: limits.place, low, high },
      minutes: parseNumber(form.minutes),
    });
    setTold(answer.ok ? { ok: true, words: say('rooms.kept') } : { ok: false, words: answer.message });
    if (answer.ok) router.refresh();
  };
  return (
    <form
      className="grid items-end gap-3 sm:grid-cols-[1fr_1fr_1fr_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <MeasureField
        kind="celsius"
        label={say('rooms.notBelow')}
        text={form.low}
        placeholder={say('rooms.noLimit')}
        onText={(low) => set({ low })}
      />
      <MeasureField
        kind="celsius"
        label={say('rooms.notAbove')}
        text={form.high}
        placeholder={say('rooms.noLimit')}
        onText={(high) => set({ high })}
      />
      <Field
        label={say('rooms.forLongerThanMin')}
        inputMode="numeric"
        value={form.minutes}
        onType={(minutes) => set({ minutes })}
      />
      <Button type="submit" className="min-h-10">
        {say('rooms.keepTheLimits')}
      </Button>
      {told && (
        <p
          role={told.ok ? 'status' : 'alert'}
          className={told.ok ? 'sm:col-span-4' : 'text-warn sm:col-span-4'}
        >
          {told.words}
        </p>
      )}
    </form>
  );
}
