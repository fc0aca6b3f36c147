import type { Catalog } from '../message';

export const heat: Catalog['heat'] = {
  theCoreDoesNotCome: 'Der Kern erreicht {celsius} nicht in {duration}; dann hat er {celsius2}.',
  coreAtIn: 'Kern bei {celsius} in {duration}.',
  byThenTheSkinIs:
    'Dann hat die Oberfläche {celsius}, und die Butter reißt an den Rändern. Früher herausnehmen und ausgleichen lassen.',
  byThenTheSkinIs2: 'Dann hat die Oberfläche {celsius}: einige Minuten ausgleichen lassen.',
  room: 'Raum',
  fridgeStillAir: 'Kühlschrank, ruhende Luft',
  retarderWithFan: 'Kühlraum mit Umluft',
  freezer: 'Froster',
  blastFreezer: 'Schockfroster',
  prooferWithFan: 'Gärschrank mit Umluft',
  oven: 'Ofen',
  onAMetalTray: 'auf einem Blech',
  onARack: 'auf einem Gitter',
  onAWoodenBoard: 'auf einem Holzbrett',
  inATubWithLid: 'in einer Wanne mit Deckel',
  inAStack: 'gestapelt',
  wrappedInFilm: 'in Folie',
};
