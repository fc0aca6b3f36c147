'use client';

import { useEffect } from 'react';
import { AGAIN, type AlarmSound, TONES } from '@/core/shopfloor/alarm-sounds';
import { useKept } from './kept';

/** A tablet that nobody has asked to sound stays silent: a browser plays nothing before it is touched. */
const KEPT = 'hefeteig-sound';
/** Loudness of a tone, and how fast it comes and goes so that it does not crackle, s. */
const LOUD = 0.5;
const [SILENT, SWELL] = [0.0001, 0.03];

function playIn(context: AudioContext, sound: AlarmSound): void {
  const begin = context.currentTime;
  for (const { hertz, at, lasts } of TONES[sound]) {
    const tone = context.createOscillator();
    const loudness = context.createGain();
    const [from, to] = [begin + at, begin + at + lasts];
    tone.frequency.value = hertz;
    loudness.gain.setValueAtTime(SILENT, from);
    loudness.gain.exponentialRampToValueAtTime(LOUD, from + SWELL);
    loudness.gain.exponentialRampToValueAtTime(SILENT, to);
    tone.connect(loudness).connect(context.destination);
    tone.start(from);
    tone.stop(to + 0.01);
  }
}

/** Plays a sound once, for whoever wants to know it. */
export async function hear(sound: AlarmSound): Promise<void> {
  const context = new AudioContext();
  await context.resume();
  playIn(context, sound);
  const length = Math.max(...TONES[sound].map(({ at, lasts }) => at + lasts));
  setTimeout(() => void context.close(), (length + 0.2) * 1000);
}

/** Whether alarms sound on this device: its own choice, which outlives the page. */
export function useSoundChoice(): [on: boolean, choose: (on: boolean) => void] {
  const [kept, keep] = useKept(KEPT);
  return [kept === 'on', (on) => keep(on ? 'on' : 'off')];
}

/** Sounds as long as something is open, again and again; null: nothing is. */
export function useSound(ringing: AlarmSound | null): void {
  const [on] = useSoundChoice();
  useEffect(() => {
    if (!on || !ringing) return;
    const context = new AudioContext();
    const ring = () => void context.resume().then(() => playIn(context, ringing));
    ring();
    const timer = setInterval(ring, AGAIN[ringing] * 1000);
    return () => {
      clearInterval(timer);
      void context.close();
    };
  }, [on, ringing]);
}
