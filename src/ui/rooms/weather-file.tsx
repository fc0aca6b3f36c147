'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { LONGEST_WEATHER, readWeatherCsv } from '@/core/exchange/weather-csv';
import { showCelsius } from '@/core/units/reader';
import { Button } from '../kit/button';
import { FileIn } from '../kit/file-in';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { useUnits } from '../live/units';

/** A weather file of hours, shown before it is taken. */
export function WeatherFile({ zone, until }: { zone: string; until: number | null }) {
  const say = useWords();
  const [units] = useUnits();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const { hours, fault } = text.trim() === '' ? { hours: [], fault: null } : readWeatherCsv(text, zone);
  const [first, last] = [hours[0], hours.at(-1)];
  const temperatures = hours.map(({ celsius }) => celsius);
  const take = async () => {
    const answer = await send('take-weather', { hours });
    setTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setText('');
    setOpen(false);
    router.refresh();
  };
  return (
    <div className="grid gap-2">
      <p className="text-quiet">
        {until === null
          ? say('rooms.noWeather')
          : say('rooms.weatherUntil', { time: say.dayTime(until, zone) })}
      </p>
      {!open ? (
        <Button className="justify-self-start" onClick={() => setOpen(true)}>
          {say('rooms.readWeather')}
        </Button>
      ) : (
        <>
          <FileIn
            label={say('rooms.weatherFile')}
            accept=".csv,text/csv"
            longest={LONGEST_WEATHER}
            {...{ text }}
            trouble={fault ? say.coded(fault) : trouble}
            onText={setText}
          />
          {first && last && (
            <>
              <p role="status">
                {say('rooms.weatherRead', {
                  ...{
                    hours: hours.length,
                    from: say.dayTime(first.at, zone),
                    to: say.dayTime(last.at, zone),
                  },
                  coolest: showCelsius(Math.min(...temperatures), units),
                  warmest: showCelsius(Math.max(...temperatures), units),
                })}
              </p>
              <Button look="act" className="justify-self-start" onClick={() => void take()}>
                {say('rooms.takeWeather')}
              </Button>
            </>
          )}
        </>
      )}
    </div>
  );
}
