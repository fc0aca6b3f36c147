import { type SettingName, SETTINGS } from '@/core/bakery/settings';
import { SET_UP_FORMAT, type SetUpFile } from '@/core/exchange/set-up-file';
import type { Ingredient } from '@/core/formula/ingredient';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import type { Db } from './db/rows';
import { productsFile } from './products-out';
import { house, houseSettings, machines, people, shifts } from './store/house';
import { housePlaces } from './store/house-places';
import { ingredients } from './store/ingredients';

/** The whole set-up of the house as a file: no PIN, no token, no order, nothing of its doughs. */
export async function setUpFile(db: Db): Promise<SetUpFile> {
  const [
    { formulas, schemes, products },
    { name, zone, units, apart },
    places,
    pools,
    everybody,
    pattern,
    settings,
    book,
  ] = await Promise.all([
    productsFile(db),
    house(db),
    housePlaces(db),
    machines(db),
    people(db),
    shifts(db),
    houseSettings(db),
    ingredients(db),
  ]);
  const names = Object.keys(SETTINGS) as SettingName[];
  return {
    ...{ format: SET_UP_FORMAT, name, zone, units, apart: [...apart] },
    places: places.map(({ id, label, kind, purpose, usual, lowest, highest, inDough }) => ({
      ...{ id, label, kind, purpose, usual, lowest, highest, inDough },
    })),
    machines: pools.map(
      ({ id, kind, label, capacity, changeover, decks, kgLeast, kgAtOnce, place, details }) => ({
        ...{ id, kind, label, capacity, changeover, decks, place },
        ...(kind === 'mixer' ? { kgLeast, kgAtOnce } : {}),
        ...(details ? { details } : {}),
      }),
    ),
    people: everybody.map(({ id, name: called, role, team, skills }) => ({
      ...{ name: called, role, team },
      ...(skills ? { skills } : {}),
      shifts: pattern
        .filter(({ personId }) => personId === id)
        .map(({ weekday, startMinute, endMinute }) => ({ weekday, startMinute, endMinute })),
    })),
    values: Object.fromEntries(
      names.flatMap((one) => (settings[one] === SETTINGS[one].usual ? [] : [[one, settings[one]]])),
    ),
    ingredients: book.filter(({ id }) => !USUAL_INGREDIENTS.some((usual) => usual.id === id)).map(factsOf),
    ...{ formulas, schemes, products },
  };
}

function factsOf(ingredient: Ingredient): Omit<Ingredient, 'id'> {
  const facts: Partial<Ingredient> = { ...ingredient };
  delete facts.id;
  return facts as Omit<Ingredient, 'id'>;
}
