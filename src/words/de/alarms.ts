import type { Catalog } from '../message';

export const alarms: Catalog['alarms'] = {
  ofStep: '{dough}, {step}: {message}',
  stepOf: '{dough}: {step}',
  heatTheOvenToGoes: 'Ofen auf {celsius} aufheizen. {name} kommt um {time} hinein.',
  mixTheWashIsBrushed: 'Eistreiche für {name} anrühren, {when}. Kalt halten.',
  butterOutOfTheCold: 'Butter für {name} herausnehmen, {when}.',
  forRipeStarterYeastFlour:
    '{label} für {name}, {when}: {isLevain, select, true {reifes Anstellgut} other {Hefe}}, Mehl und Wasser bereitstellen.',
  lookAtTheColour: '{name}: Farbe prüfen. Tür nur kurz öffnen.',
  turnTheTraysRoundSwap: '{name}: Bleche drehen, Ebenen tauschen.',
  shouldBeDoneColourCore: '{name} müsste fertig sein. Farbe und Kern prüfen, dann ausbacken.',
  shouldBeReadyIsIt: '{name} müsste reif sein. Prüfen.',
  shouldBeReadyLook: '{name} müsste so weit sein. Prüfen.',
  outOfTheFreezerFor:
    '{pieces} {product} für {time} aus dem Froster nehmen. Über Nacht zugedeckt in der Kälte auftauen.',
  noWordFromTheProbe:
    'Seit {duration} kein Messwert von {names}. Batterie und Gateway prüfen; Thermometerwert unter Räume eintragen.',
  forAboveBelowDoorFan:
    '{label} seit {held} bei {shown}, {isAbove, select, true {über} other {unter}} {bound}. Tür, Lüfter und Beladung prüfen.',
  judgedButEnteredLate: '{judged} Eine Temperatur wurde nachgetragen, um {time}.',
  stopItWasNotAt: 'Halt: um {time} nicht auf {celsius} gekühlt. Wegwerfen und neu ansetzen.',
  itShouldHaveBeenAt: 'Fällig mit {celsius} um {time}, nicht gemessen. Jetzt messen.',
  atOrColderByMeasure: 'Muss um {time} auf {celsius} oder kälter sein. Messen und eintragen.',
  coldInTimeKeepIt: 'Rechtzeitig kalt. Bei {celsius} oder kälter halten und in 3 Tagen verbrauchen.',
};
