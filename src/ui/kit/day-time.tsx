import { useWords } from './words';
import { addLocalDays, clockOfDay, formatLocal, minuteOfDay } from '@/core/time/local';

/** A wall-clock time being chosen: `day` as 2026-11-21, `time` as typed. */
export interface DayTime {
  day: string;
  time: string;
}

/** `6:30`, `0630` and `06.30` are all half past six; anything else goes to the house as it was typed. */
export function localText({ day, time }: DayTime): string {
  const minute = minuteOfDay(time);
  return `${day}T${minute === null ? time.trim() : clockOfDay(minute)}`;
}

interface Props {
  value: DayTime;
  onChange: (value: DayTime) => void;
  /** First day offered, and how many. */
  from: number;
  days: number;
  zone: string;
  label: string;
  faulty?: boolean;
}

const FIELD = 'min-h-11 w-full rounded border border-edge bg-ground px-2 text-lg';

/** Day and time, the day in words and the time on 24 hours, whatever the device is set to. */
export function DayTimeFields({ value, onChange, from, days, zone, label, faulty = false }: Props) {
  const say = useWords();
  const offered = Array.from({ length: days }, (_, i) => addLocalDays(from, i, zone));
  const dayOf = (at: number) => formatLocal(at, zone).slice(0, 10);
  const inWords = (at: number) => `${say.dayName(at, zone)} ${dayOf(at).slice(8)}.${dayOf(at).slice(5, 7)}.`;
  return (
    <div className="grid grid-cols-[1fr_6rem] gap-3">
      <label className="grid gap-1 text-[15px]">
        {label}
        <select
          className={FIELD}
          value={value.day}
          aria-invalid={faulty}
          onChange={(event) => onChange({ ...value, day: event.target.value })}
        >
          {offered.map((at) => (
            <option key={at} value={dayOf(at)}>
              {inWords(at)}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1 text-[15px]">
        {say('kit.at')}
        <input
          className={FIELD}
          inputMode="numeric"
          placeholder="06:30"
          value={value.time}
          aria-invalid={faulty}
          onChange={(event) => onChange({ ...value, time: event.target.value })}
        />
      </label>
    </div>
  );
}
