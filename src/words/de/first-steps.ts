import type { Catalog } from '../message';

export const firstSteps: Catalog['firstSteps'] = {
  title: 'Erste Schritte',
  welcome: 'Willkommen, {name}. Drei Dinge vorweg.',
  nth: '{nth} von {of}',
  planThreads:
    'Jede Linie ist ein Teig über die Zeit: Sie steigt, wo er wärmer wird, Punkte sind Arbeit. Eine Linie antippen zeigt ihre Schritte.',
  planPanel:
    'Hier stehen die Schritte des angetippten Teigs mit Zeiten und Leuten. Öffnen zeigt den Knetzettel, Entfernen nimmt ihn heraus.',
  navOrders:
    'Bestellungen zeigt, was noch keinen Teig hat, und schlägt Teige vor. Angenommene stehen sofort in diesem Plan.',
  benchNow:
    'Das ist der nächste Schritt. Beim Anfangen den gelben Knopf tippen und noch einmal, wenn er erledigt ist. Danach richtet sich alles Weitere.',
  benchNext: 'Was als Nächstes kommt, der Reihe nach. Übernehmen setzt einen Schritt auf den eigenen Namen.',
  floorTabs:
    'Gare zeigt, welcher Teig wann zu prüfen ist, Ofen, was als Nächstes hineinkommt. Bei Problemen Störung tippen.',
  floorTrouble: 'Etwas kaputt, verschüttet oder aus? Störung tippen, dann sehen es alle.',
  skip: 'Überspringen',
  next: 'Weiter',
  begin: 'Anfangen',
};
