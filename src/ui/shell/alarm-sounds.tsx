'use client';

import { Volume2 } from 'lucide-react';
import { ALARM_SOUNDS, type AlarmSound } from '@/core/shopfloor/alarm-sounds';
import type { Say } from '@/words/say';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { hear, useSoundChoice } from '../live/sound';

const soundWords = (say: Say): Record<AlarmSound, string> => ({
  oven: say('shell.soundOven'),
  cold: say('shell.soundCold'),
  rise: say('shell.soundRise'),
  fetch: say('shell.soundFetch'),
});

/** Whether alarms sound on this device, and what each of them sounds like. */
export function AlarmSounds() {
  const say = useWords();
  const [on, choose] = useSoundChoice();
  const words = soundWords(say);
  return (
    <section aria-label={say('shell.alarmSounds')} className="mt-4 border-t border-edge pt-3">
      <h3 className="mb-2 text-lg text-quiet">{say('shell.alarmSounds')}</h3>
      <div className="flex flex-wrap gap-2">
        <Button floor aria-pressed={on} onClick={() => choose(!on)}>
          {on ? say('shell.soundOn') : say('shell.soundOff')}
        </Button>
        {ALARM_SOUNDS.map((sound) => (
          <Button
            key={sound}
            floor
            className="flex items-center gap-2"
            aria-label={say('shell.hearSound', { sound: words[sound] })}
            onClick={() => void hear(sound)}
          >
            <Volume2 aria-hidden size={20} />
            {words[sound]}
          </Button>
        ))}
      </div>
    </section>
  );
}
