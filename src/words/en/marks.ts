export const marks = {
  notToBeSold: 'not for sale',
  poor: 'poor',
  fair: 'fair',
  good: 'good',
  asItShouldBe: 'excellent',
  isNoPictureThatCan: '{name} is not a picture that can be shown. Choose a JPEG, PNG or WebP.',
  photoKept: 'Photo saved.',
  offlineThePhotoWaitsOn: 'Offline. The photo is on this tablet and will be sent later.',
  photo: 'Photo',
} as const;
