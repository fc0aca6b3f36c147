import type { Catalog } from '../message';

export const remarks: Catalog['remarks'] = {
  atTheCoreDoesNot: 'Bei {celsius} erreicht der Kern {celsius2} nicht.',
  atItDoesNotRise: 'Bei {celsius} geht er nicht innerhalb von {duration} auf.',
  itHasRisenAlreadyIn: 'Er ist in den früheren Wartezeiten schon gegangen.',
};
