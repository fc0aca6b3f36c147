import type { Catalog } from '../message';

export const racks: Catalog['racks'] = {
  noRoom:
    'Kein Platz: {held} von {capacity} Blechen sind in {oven}, und diese Beschickung hat {trays}. Trotzdem einschießen?',
  otherHeat: '{oven} hat {celsius} für {dough}; diese Beschickung braucht {wanted}. Trotzdem einschießen?',
  learntCorrection:
    '{percent} % {isLonger, select, true {länger} other {kürzer}}, aus {bakes, plural, one {# Backgang} other {# Backgängen}}',
  howManyCameOutWell: '{name}: Wie viele sind gut geworden?',
  goodOf: '{good} gut <span>von {all}</span>',
  cameOut: 'Gut',
  secondQuality: 'B-Ware',
  waste: 'Ausschuss',
  keepTheCount: 'Zählung speichern',
  oneLess: '{label}: eins weniger',
  oneMore: '{label}: eins mehr',
};
