import type { Catalog } from '../message';

export const racks: Catalog['racks'] = {
  noRoom:
    'Pas de place : {held} plaques sur {capacity} sont dans {oven}, et cet enfournement en a {trays}. Enfourner quand même ?',
  otherHeat:
    '{oven} est à {celsius} pour {dough} ; cet enfournement demande {wanted}. Enfourner quand même ?',
  learntCorrection:
    '{percent} % plus {isLonger, select, true {long} other {court}}, sur {bakes, plural, one {# cuisson} other {# cuissons}}',
  howManyCameOutWell: '{name} : combien sont réussis ?',
  goodOf: '{good} conformes <span>sur {all}</span>',
  cameOut: 'Conforme',
  secondQuality: 'Second choix',
  waste: 'Perte',
  keepTheCount: 'Enregistrer le compte',
  oneLess: '{label} : un de moins',
  oneMore: '{label} : un de plus',
};
