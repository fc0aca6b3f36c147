import type { Catalog } from '../message';

export const kit: Catalog['kit'] = {
  close: 'Fermer',
  drawing: 'Dessin …',
  hasMBAtMostAre: '{name} fait {megabytes} Mo ; la limite est de {megabytes2} Mo.',
  orPasteItHere: 'Ou coller ici',
  tooLongToBeShown: 'Trop long à afficher',
  at: 'à',
  enterANumber: 'Saisir un nombre, par exemple 12 ou 1,5.',
  enterATime: 'Saisir une durée, par exemple 45 min ou 1 h 30.',
  enterAMeasure: 'Saisir une quantité avec son unité.',
};
