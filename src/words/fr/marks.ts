import type { Catalog } from '../message';

export const marks: Catalog['marks'] = {
  notToBeSold: 'invendable',
  poor: 'faible',
  fair: 'passable',
  good: 'bon',
  asItShouldBe: 'excellent',
  isNoPictureThatCan: '{name} n’est pas une image affichable. Choisir un fichier JPEG, PNG ou WebP.',
  photoKept: 'Photo enregistrée.',
  offlineThePhotoWaitsOn: 'Hors ligne. La photo est sur cette tablette et sera envoyée plus tard.',
  photo: 'Photo',
};
