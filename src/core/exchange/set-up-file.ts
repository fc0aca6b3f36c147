import type { HousePlace } from '../bakery/house-book';
import type { Machine } from '../bakery/machines';
import type { Person, Skill } from '../bakery/people';
import type { SettingName } from '../bakery/settings';
import type { Allergen, Ingredient } from '../formula/ingredient';
import type { ReaderUnits } from '../units/reader';
import type { Shift } from '../time/shifts';
import type { FileProduct, ProductsFile } from './products-file';

export const SET_UP_FORMAT = 'hefeteig-set-up/1';

/** Somebody in a file: without a PIN, which no file holds. */
export interface FilePerson extends Pick<Person, 'name' | 'role' | 'team'> {
  /** Left out: everything. */
  skills?: Skill[];
  shifts: Omit<Shift, 'personId'>[];
}

/** A machine in a file; `place` is the inside of it, by its id there. */
export type FileMachine = Omit<Machine, 'outages' | 'unit'>;

/** A place in a file. */
export type FilePlace = Pick<HousePlace, 'id' | 'label' | 'kind' | 'usual' | 'lowest' | 'highest'> &
  Partial<Pick<HousePlace, 'purpose' | 'inDough'>>;

/** A whole bakery as one file: what it has, who works there, what it reckons with and what it makes. */
export interface SetUpFile extends Omit<ProductsFile, 'format'> {
  format: typeof SET_UP_FORMAT;
  name: string;
  zone: string;
  units?: ReaderUnits;
  /** Allergens that are kept apart. */
  apart?: Allergen[];
  places: FilePlace[];
  machines: FileMachine[];
  people: FilePerson[];
  /** Only what is not as usual. */
  values: Partial<Record<SettingName, number>>;
  /** Ingredients of its own, beside those that every bakery begins with. */
  ingredients: Omit<Ingredient, 'id'>[];
  /** Products of the shelf, by name, that are taken as they are there. */
  beginnings?: string[];
}

/**
 * A product of a file with the machines that it names by the ids that they have in this house; one that the house does not
 * have is left out.
 */
export function onHouseMachines(product: FileProduct, idOf: ReadonlyMap<string, string>): FileProduct {
  const own = (ids: readonly string[]) => ids.flatMap((id) => idOf.get(id) ?? []);
  const threads = (all: FileProduct['dough']): FileProduct['dough'] =>
    all.map((thread) => ({
      ...thread,
      steps: thread.steps.map((step) => ({
        ...step,
        ...(step.holds
          ? {
              holds: step.holds.map(({ only, ...hold }) => ({
                ...hold,
                ...(only && own(only).length > 0 ? { only: own(only) } : {}),
              })),
            }
          : {}),
      })),
    }));
  const { tinKinds, ...piece } = product.piece;
  return {
    ...product,
    piece: { ...piece, ...(tinKinds && own(tinKinds).length > 0 ? { tinKinds: own(tinKinds) } : {}) },
    ...{ dough: threads(product.dough), output: threads(product.output) },
  };
}
