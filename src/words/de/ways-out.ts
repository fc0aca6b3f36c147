import type { Catalog } from '../message';

export const waysOut: Catalog['waysOut'] = {
  later: 'Später liefern',
  frozen: 'Aus dem Froster liefern, später backen',
  hands: 'Eine Person mehr am Tag',
  night: 'Außerhalb der besetzten Stunden arbeiten',
  longer: 'Längere Kühlgare',
  roomProof: 'Stückgare bei Raumtemperatur',
  coolerRoom: 'Stückgare {celsius} kühler',
  splitBake: 'Eine Beschickung mehr',
  unpin: 'Schritte lösen',
};
