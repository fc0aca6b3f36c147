import type { Catalog } from '../message';

export const turns: Catalog['turns'] = {
  underWay:
    'tour {nth} sur {of} en cours{each}{more, plural, =0 {} other {, # de plus que prévu}}{less, plural, =0 {} other {, # omis}}',
  none: 'pas encore de tour, {of} à faire{each}{more, plural, =0 {} other {, # de plus que prévu}}{less, plural, =0 {} other {, # omis}}',
  done: 'tour {done} sur {of} fait{each}{more, plural, =0 {} other {, # de plus que prévu}}{less, plural, =0 {} other {, # omis}}',
};
