'use client';

import { useWords } from '../kit/words';
import { useEffect } from 'react';
import { useKept } from '../live/kept';

/** A tablet that nobody has told stays silent: a browser plays nothing before it is touched. */
const KEPT = 'hefeteig-sound';
const EVERY = 20_000;

/** Two short tones, the second higher: heard over a mixer, not like a telephone. */
function chime(context: AudioContext): void {
  const begin = context.currentTime;
  for (const [nth, hertz] of [660, 990].entries()) {
    const tone = context.createOscillator();
    const loudness = context.createGain();
    const at = begin + nth * 0.28;
    tone.frequency.value = hertz;
    loudness.gain.setValueAtTime(0.0001, at);
    loudness.gain.exponentialRampToValueAtTime(0.5, at + 0.03);
    loudness.gain.exponentialRampToValueAtTime(0.0001, at + 0.25);
    tone.connect(loudness).connect(context.destination);
    tone.start(at);
    tone.stop(at + 0.26);
  }
}

/** Sounds as long as something is open, again and again; `on` is this tablet's own choice and outlives the page. */
export function useSound(ringing: boolean) {
  const say = useWords();
  const [kept, keep] = useKept(KEPT);
  const on = kept === 'on';
  useEffect(() => {
    if (!on || !ringing) return;
    const context = new AudioContext();
    const ring = () => void context.resume().then(() => chime(context));
    ring();
    const timer = setInterval(ring, EVERY);
    return () => {
      clearInterval(timer);
      void context.close();
    };
  }, [on, ringing]);
  return { on, toggle: () => keep(on ? say('floor.off') : say('floor.on')) };
}
