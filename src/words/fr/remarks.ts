import type { Catalog } from '../message';

export const remarks: Catalog['remarks'] = {
  atTheCoreDoesNot: 'À {celsius}, le cœur n’atteint pas {celsius2}.',
  atItDoesNotRise: 'À {celsius}, elle ne lève pas en {duration}.',
  itHasRisenAlreadyIn: 'Elle a déjà levé pendant les attentes précédentes.',
};
