import type { Catalog } from '../message';

export const alarms: Catalog['alarms'] = {
  ofStep: '{dough}, {step} : {message}',
  stepOf: '{dough} : {step}',
  heatTheOvenToGoes: 'Chauffer le four à {celsius}. {name} y entre à {time}.',
  mixTheWashIsBrushed: 'Préparer la dorure pour {name}, {when}. La garder au froid.',
  butterOutOfTheCold: 'Sortir le beurre pour {name}, {when}.',
  forRipeStarterYeastFlour:
    '{label} pour {name}, {when} : préparer {isLevain, select, true {le levain chef mûr} other {la levure}}, la farine et l’eau.',
  lookAtTheColour: '{name} : contrôler la couleur. N’ouvrir la porte que brièvement.',
  turnTheTraysRoundSwap: '{name} : tourner les plaques, changer d’étage.',
  shouldBeDoneColourCore: '{name} devrait être cuit. Contrôler la couleur et le cœur, puis défourner.',
  shouldBeReadyIsIt: '{name} devrait être mûr. Contrôler.',
  shouldBeReadyLook: '{name} devrait être prêt. Contrôler.',
  outOfTheFreezerFor:
    'Sortir {pieces} {product} du congélateur pour {time}. Décongeler une nuit au froid, à couvert.',
  noWordFromTheProbe:
    'Aucune mesure de {names} depuis {duration}. Vérifier pile et passerelle ; saisir une température dans Locaux.',
  forAboveBelowDoorFan:
    '{label} à {shown} depuis {held}, {isAbove, select, true {au-dessus de} other {au-dessous de}} {bound}. Vérifier porte, ventilation et charge.',
  judgedButEnteredLate: '{judged} Une température a été saisie après coup, à {time}.',
  stopItWasNotAt: 'Arrêt : pas refroidi à {celsius} à {time}. Jeter et refaire.',
  itShouldHaveBeenAt: 'À {celsius} au plus tard à {time}, non mesuré. Mesurer maintenant.',
  atOrColderByMeasure: 'Doit être à {celsius} ou moins à {time}. Mesurer et enregistrer.',
  coldInTimeKeepIt: 'Refroidi à temps. Garder à {celsius} ou moins et utiliser sous 3 jours.',
};
