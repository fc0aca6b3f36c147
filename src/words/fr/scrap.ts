import type { Catalog } from '../message';

export const scrap: Catalog['scrap'] = {
  typeAWeightSuchAs: 'Saisir un poids, par exemple 640 g ou 1 lb 6 oz.',
  trimmings: 'Rognures',
  howMuch: 'poids',
  howItIsKnown: 'Comment mesuré',
  whatBecomesOfIt: 'Quel usage ?',
  rolledLoaf: 'pain roulé',
  keepTheLayersFlat400: 'garder les feuillets à plat, 400 g par moule, apprêt et cuisson avec les croissants',
  tinSwirls: 'escargots en moule',
  stripsOf2CmRolled: 'bandes de 2 cm roulées au sucre, 60 g par moule, beurré et sucré',
  intoTheNextDough: 'dans la pâte suivante',
  chilledFlatChoppedInAt: 'refroidies à plat, hachées, ajoutées en fin de pétrissage',
  weighedAllTheSameIt: 'peser quand même : cela compte au rendement',
  hOldMoreThanToo: '{hours} h d’âge, plus de {mostHours} h : trop aigre.',
  noMoreThanOfA: 'Au plus {share} % d’une pâte.',
  waste: 'perte',
};
