'use client';

import { useKeys } from '../kit/use-keys';
import { go } from '../live/go';
import type { Group } from './plan-bar';
import type { PlanSheet } from './plan-sheets';
import { homeWindow, moved, zoomed } from './time-window';
import type { PlanScene } from './use-plan-scene';
import type { Shown } from './use-shown';
import { movable } from './words';

const GROUPS: readonly Group[] = ['dough', 'station', 'person'];

/** The plan by keyboard: arrows go through doughs and days, or move what is in the hand. */
export function usePlanKeys(
  { hand }: PlanScene,
  { view, setView, group, setGroup, selected, step, pickNext }: Shown,
  { mayPlan, now, zone }: { mayPlan: boolean; now: number; zone: string },
  { onSheet, onTakeOut }: { onSheet: (sheet: PlanSheet) => void; onTakeOut: () => void },
) {
  const inHand = hand.moving !== null;
  const takeUp = (all: boolean) => {
    if (!mayPlan || !selected) return;
    const open = movable(selected);
    const found = open.find(({ key }) => key === step) ?? open[0];
    if (found) hand.begin(selected.id, found.key, all);
  };
  useKeys({
    ArrowDown: () => !inHand && pickNext(1),
    ArrowUp: () => !inHand && pickNext(-1),
    ArrowLeft: () => (inHand ? hand.by(-5) : setView(moved(view, -1))),
    ArrowRight: () => (inHand ? hand.by(5) : setView(moved(view, 1))),
    'Shift+ArrowLeft': () => inHand && hand.by(-30),
    'Shift+ArrowRight': () => inHand && hand.by(30),
    '+': () => setView(zoomed(view, -1)),
    '-': () => setView(zoomed(view, 1)),
    g: () => setGroup(GROUPS[(GROUPS.indexOf(group) + 1) % GROUPS.length] ?? 'dough'),
    h: () => setView(homeWindow(now, view.hours, zone)),
    f: () => onSheet('files'),
    a: () => mayPlan && onSheet('add'),
    t: () => mayPlan && onTakeOut(),
    m: () => takeUp(false),
    w: () => takeUp(true),
    u: () => mayPlan && void hand.act('undo-plan'),
    r: () => mayPlan && void hand.act('redo-plan'),
    Escape: () => hand.drop(),
    Enter: () => (inHand ? void hand.keep() : selected && go(`/dough/${selected.id}`)),
    '?': () => onSheet('keys'),
  });
}
