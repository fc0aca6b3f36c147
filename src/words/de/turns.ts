import type { Catalog } from '../message';

export const turns: Catalog['turns'] = {
  underWay:
    'Tour {nth} von {of} läuft{each}{more, plural, =0 {} other {, # mehr als geplant}}{less, plural, =0 {} other {, # ausgelassen}}',
  none: 'noch keine Tour, {of} zu tun{each}{more, plural, =0 {} other {, # mehr als geplant}}{less, plural, =0 {} other {, # ausgelassen}}',
  done: 'Tour {done} von {of} fertig{each}{more, plural, =0 {} other {, # mehr als geplant}}{less, plural, =0 {} other {, # ausgelassen}}',
};
