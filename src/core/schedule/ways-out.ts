import { coded, type Coded } from '../codes/coded';
import { COOLER, risesInRoom, type DoughChange } from '../process/changes';
import type { Presence } from '../time/shifts';
import type { Instant } from '../time/local';
import { stateOf, type DoughRecord } from '../record/dough';
import type { Person } from '../bakery/people';

/** What could be given so that a promise is kept after all. */
export type WayKind =
  'later' | 'frozen' | 'hands' | 'night' | 'longer' | 'room-proof' | 'cooler-room' | 'split-bake' | 'unpin';

/** What each way is called. */
export const WAY_NAMES: Record<WayKind, Coded> = {
  later: coded('waysOut.later'),
  frozen: coded('waysOut.frozen'),
  hands: coded('waysOut.hands'),
  night: coded('waysOut.night'),
  longer: coded('waysOut.longer'),
  'room-proof': coded('waysOut.roomProof'),
  'cooler-room': coded('waysOut.coolerRoom', { celsius: { difference: COOLER } }),
  'split-bake': coded('waysOut.splitBake'),
  unpin: coded('waysOut.unpin'),
};

/** How a dough may leave its route on a way; nothing where its route has no such step any more. */
export function changesOnWay(dough: DoughRecord, kind: WayKind): DoughChange[] {
  const state = stateOf(dough);
  const isOpen = (key: string) => state.steps.get(key)?.status === 'open';
  if (kind === 'longer') {
    return dough.steps
      .filter(({ key, step }) => step.kind === 'retard' && step.branch === undefined && isOpen(key))
      .map(({ key }) => ({ kind, target: key }));
  }
  if (kind === 'cooler-room')
    return dough.steps
      .filter((one) => risesInRoom(one) && isOpen(one.key))
      .map(({ key }) => ({ kind, target: key }));
  if (kind !== 'room-proof' && kind !== 'split-bake') return [];
  const own = (outputId: number) => dough.steps.filter((step) => step.outputId === outputId);
  return dough.outputs
    .filter(({ id }) => own(id).every(({ key }) => isOpen(key)))
    .filter(({ id }) =>
      kind === 'room-proof'
        ? own(id).some(
            ({ step, uses }) => step.kind === 'proof' && uses.some(({ setting }) => setting !== undefined),
          )
        : own(id).some(({ load }) => load !== null && load.trays > 1),
    )
    .map(({ id }) => ({ kind, target: String(id) }));
}

/** The ways that a dough has. */
export function waysFor(dough: DoughRecord, pinned: boolean): WayKind[] {
  const always: WayKind[] = ['later', 'frozen', 'hands', 'night'];
  const own = (['longer', 'room-proof', 'cooler-room', 'split-bake'] as const).filter(
    (kind) => changesOnWay(dough, kind).length > 0,
  );
  return [...always, ...own, ...(pinned ? (['unpin'] as const) : [])];
}

/** Somebody who is not there then, whose own shift is nearest. */
export function whoCouldCome(
  people: readonly Person[],
  presences: readonly Presence[],
  { start, end }: { start: Instant; end: Instant },
): Person | null {
  const far = (person: Person): number => {
    const own = presences.filter(({ personId }) => personId === person.id);
    if (own.some((there) => there.start < end && there.end > start)) return Infinity;
    return Math.min(...own.map((there) => Math.max(there.start - end, start - there.end)));
  };
  const free = people.filter((person) => Number.isFinite(far(person))).sort((a, b) => far(a) - far(b));
  return free[0] ?? null;
}
