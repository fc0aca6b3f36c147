import { type Machine, type MachineKind, ownDetails } from '@/core/bakery/machines';
import type { PlaceKind } from '@/core/heat/places';
import { unitWords } from '@/core/bakery/machine-words';
import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import type { Db } from '../db/rows';
import { insertPlace } from '../store/house-places';
import { freePlace, insertMachines, machineCount } from '../store/machines';

/** A machine as it is added: the house gives it an id, a unit and its inside. */
export type NewMachine = Pick<
  Machine,
  'kind' | 'label' | 'capacity' | 'changeover' | 'decks' | 'kgLeast' | 'kgAtOnce' | 'details'
>;

/** The inside of machines that have a temperature of their own: °C as usual, and between which a reading can be true. */
const INSIDES: Partial<
  Record<MachineKind, { kinds: PlaceKind[]; usual: number; lowest: number; highest: number }>
> = {
  retarder: { kinds: ['retarder', 'fridge'], usual: 4, lowest: -8, highest: 25 },
  freezer: { kinds: ['freezer'], usual: -18, lowest: -45, highest: 12 },
  blast: { kinds: ['blast'], usual: -30, lowest: -50, highest: 15 },
  proofer: { kinds: ['proofer'], usual: 26, lowest: 5, highest: 60 },
  oven: { kinds: ['oven'], usual: 185, lowest: 5, highest: 320 },
};

/**
 * Adds a machine at the end of the house's order, and the place inside it where it has a temperature of its own.
 *
 * @returns its id
 */
export async function addMachine(
  db: Db,
  { kind, label, capacity, changeover, decks, kgLeast, kgAtOnce, details: all = {} }: NewMachine,
  language: Language,
): Promise<string> {
  const { ids, next } = await machineCount(db);
  const id = [kind, ...ids.map((_, i) => `${kind}-${i + 2}`)].find((one) => !ids.includes(one)) ?? kind;
  const inside = INSIDES[kind];
  const free = inside ? await freePlace(db, inside.kinds) : null;
  if (inside && free === null) {
    const { kinds, usual, lowest, highest } = inside;
    await insertPlace(db, { id, label, kind: kinds[0] ?? 'room', usual, lowest, highest });
  }
  const place = inside ? (free ?? id) : null;
  const unit = unitOf(kind, capacity, language);
  const isMixer = kind === 'mixer';
  await insertMachines(
    db,
    [
      {
        ...{ id, kind, label, capacity, unit, changeover, decks: decks ?? 1, place },
        ...{ kgLeast: isMixer ? kgLeast : null, kgAtOnce: isMixer ? kgAtOnce : null },
        details: ownDetails(kind, all),
      },
    ],
    next,
  );
  return id;
}

/** What a kind of machine takes, in the house's words. */
export const unitOf = (kind: MachineKind, count: number, language: Language): string =>
  wordsIn(language).coded(unitWords(kind, count));
