import { useRef, type PointerEvent } from 'react';
import type { TimeScale } from '../thread/geometry';
import type { MovingHand } from './use-moving';

/** What a pointer has taken hold of: a step, or (`whole`) its thread, and when it was to start. */
export interface Grip {
  doughId: number;
  key: string;
  whole: boolean;
  start: number;
}

/** A pointer that moves by less than this has tapped, px. */
const DRAG = 4;

/** Takes along with the pointer what it has taken hold of; release keeps it. Nothing without a hand to plan. */
export function useDrag(
  scale: TimeScale,
  hand: MovingHand | null,
  gripAt: (event: PointerEvent<HTMLButtonElement>) => Grip | null,
) {
  const grip = useRef<(Grip & { x: number; held: boolean }) | null>(null);
  const perPx = (scale.to - scale.from) / Math.max(1, scale.width);
  if (!hand) return {};
  return {
    onPointerDown(event: PointerEvent<HTMLButtonElement>) {
      const found = event.button === 0 ? gripAt(event) : null;
      grip.current = found && { ...found, x: event.clientX, held: false };
    },
    onPointerMove(event: PointerEvent<HTMLButtonElement>) {
      const own = grip.current;
      if (!own) return;
      const by = event.clientX - own.x;
      if (!own.held) {
        if (Math.abs(by) < DRAG) return;
        own.held = true;
        event.currentTarget.setPointerCapture(event.pointerId);
        hand.begin(own.doughId, own.key, own.whole);
        return;
      }
      hand.to(own.start + by * perPx);
    },
    onPointerUp() {
      if (grip.current?.held) void hand.keep();
      grip.current = null;
    },
    onPointerCancel() {
      if (grip.current?.held) hand.drop();
      grip.current = null;
    },
  };
}
