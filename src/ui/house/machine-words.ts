import type { MachineKind } from '@/core/bakery/machines';
import type { Say } from '@/words/say';

/** What each kind of machine takes, of several. */
export const unitWords = (say: Say, count = 2): Record<MachineKind, string> => {
  const tables = say('house.tables', { count });
  const shelves = say('house.shelves', { count });
  const trays = say('house.trays', { count });
  return {
    ...{ mixer: say('house.bowls', { count }), bench: tables, divider: tables, sheeter: tables },
    ...{ retarder: shelves, freezer: shelves, blast: shelves, proofer: trays, oven: trays, tray: trays },
    rack: trays,
    tin: say('house.tins', { count }),
  };
};
