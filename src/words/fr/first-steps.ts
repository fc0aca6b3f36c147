import type { Catalog } from '../message';

export const firstSteps: Catalog['firstSteps'] = {
  title: 'Premiers pas',
  welcome: 'Bienvenue, {name}. Trois choses à savoir.',
  nth: '{nth} sur {of}',
  planThreads:
    'Chaque ligne est une pâte dans le temps : elle monte quand la pâte se réchauffe, les points sont du travail. Toucher une ligne montre ses étapes.',
  planPanel:
    'Voici les étapes de la pâte touchée, avec heures et personnes. L’ouvrir montre la fiche de pétrissage ; on peut aussi la retirer.',
  navOrders:
    'Commandes montre ce qui n’a pas encore de pâte et propose des pâtes. Une proposition acceptée entre dans ce planning.',
  benchNow:
    'Voici la prochaine étape. Toucher le bouton jaune en commençant, puis encore une fois quand c’est fait. Toute la suite en dépend.',
  benchNext: 'La suite, dans l’ordre. Prendre met une étape à son nom.',
  floorTabs:
    'Apprêts dit quelle pâte contrôler et quand, Four ce qui entre ensuite. En cas de problème, toucher Incident.',
  floorTrouble: 'Quelque chose est cassé, renversé ou épuisé ? Toucher Incident : tout le monde le voit.',
  skip: 'Passer',
  next: 'Suivant',
  begin: 'Commencer',
};
