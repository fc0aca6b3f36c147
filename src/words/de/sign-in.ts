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
  demo: 'Demo-Bäckerei',
  demoIsMadeUp: 'Alles hier ist erfunden, und beim Ausprobieren geht nichts kaputt.',
  demoPlan: 'Als {name} anmelden, PIN {pin}: den Plan ansehen und einen Teig ansetzen.',
  demoBench: 'Als {name} anmelden, PIN {pin}: am Tisch den nächsten Schritt machen.',
  demoClock: 'Oben auf die Uhr tippen, um die Nacht zu beschleunigen oder etwas ausfallen zu lassen.',
  demoPin: 'Demo-PIN: {pin}',
};
