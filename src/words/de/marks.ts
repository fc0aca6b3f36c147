import type { Catalog } from '../message';

export const marks: Catalog['marks'] = {
  notToBeSold: 'nicht verkäuflich',
  poor: 'schwach',
  fair: 'mäßig',
  good: 'gut',
  asItShouldBe: 'sehr gut',
  isNoPictureThatCan: '{name} ist kein Bild, das angezeigt werden kann. JPEG, PNG oder WebP wählen.',
  photoKept: 'Foto gespeichert.',
  offlineThePhotoWaitsOn: 'Offline. Das Foto ist auf diesem Tablet und wird später gesendet.',
  photo: 'Foto',
};
