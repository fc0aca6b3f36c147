import type { Catalog } from '../message';

export const signIn: Catalog['signIn'] = {
  thisDevice: 'Dieses Gerät',
  hefeteig: 'Hefeteig',
  oneMoment: 'Einen Moment.',
  letThisDeviceIn: 'Dieses Gerät hinzufügen',
  thisDeviceIsNewHere:
    'Dieses Gerät ist hier neu. Die Planung nach einem Code fragen: Betrieb, Geräte, Gerät hinzufügen.',
  code: 'Code',
  nameOfThisDevice: 'Name dieses Geräts',
  benchTablet: 'Tablet am Tisch',
  letItIn: 'Gerät hinzufügen',
  aScreenOnTheWall: 'Wandbildschirm',
  onShift: 'in der Schicht',
  yourPINConfirms: 'Mit Ihrer PIN bestätigen',
  recordedHere: 'hier eingetragen',
  untickWhatIsNotYours: 'Haken entfernen, wo es nicht von Ihnen ist.',
  deleteLastDigit: 'Letzte Ziffer löschen',
  signIn: 'Anmelden',
  youWereSignedOutWhat:
    'Sie wurden abgemeldet. Was Sie seither eingetragen haben, ist auf diesem Tablet; Ihre PIN sendet es.',
  whoAreYou: 'Wer sind Sie',
  tapYourNameThenPIN: 'Auf Ihren Namen tippen, dann Ihre PIN.',
  planner: 'Planung',
  helper: 'Hilfe',
};
