import type { Catalog } from '../message';

export const signIn: Catalog['signIn'] = {
  thisDevice: 'Cet appareil',
  hefeteig: 'Hefeteig',
  oneMoment: 'Un instant.',
  letThisDeviceIn: 'Ajouter cet appareil',
  thisDeviceIsNewHere:
    'Cet appareil est nouveau ici. Demander un code à la planification : Maison, Appareils, Ajouter un appareil.',
  code: 'Code',
  nameOfThisDevice: 'Nom de cet appareil',
  benchTablet: 'Tablette de la table',
  letItIn: 'Ajouter l’appareil',
  aScreenOnTheWall: 'écran mural',
  onShift: 'en service',
  yourPINConfirms: 'Confirmer avec votre code',
  recordedHere: 'enregistré ici',
  untickWhatIsNotYours: 'Décocher ce qui n’est pas de vous.',
  deleteLastDigit: 'Effacer le dernier chiffre',
  signIn: 'Se connecter',
  youWereSignedOutWhat:
    'Vous avez été déconnecté. Vos saisies depuis sont sur cette tablette ; votre code les envoie.',
  whoAreYou: 'Qui êtes-vous',
  tapYourNameThenPIN: 'Toucher votre nom, puis votre code.',
  planner: 'planification',
  helper: 'aide',
  demo: 'Fournil de démo',
  demoIsMadeUp: 'Tout est inventé ici, on peut tout essayer sans risque.',
  demoPlan: 'Entrer comme {name}, PIN {pin} : regarder le planning et ajouter une pâte.',
  demoBench: 'Entrer comme {name}, PIN {pin} : faire la prochaine étape à la table.',
  demoClock: 'Toucher l’horloge en haut pour accélérer la nuit ou provoquer une panne.',
  demoPin: 'PIN de démo : {pin}',
};
