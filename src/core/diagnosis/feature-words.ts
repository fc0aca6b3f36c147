import { coded, type Coded, type Quantity } from '../codes/coded';
import { type FeatureId, FEATURES } from './features';

/** Each feature by its name. */
export const FEATURE_NAMES: Readonly<Record<FeatureId, Coded>> = {
  mixed: coded('compare.mixed'),
  mixedOff: coded('compare.mixedOff'),
  retardMinutes: coded('compare.retardMinutes'),
  retardCelsius: coded('compare.retardCelsius'),
  butter: coded('compare.butter'),
  rolledWarmest: coded('compare.rolledWarmest'),
  restShortest: coded('compare.restShortest'),
  weightSpread: coded('compare.weightSpread'),
  proofMinutes: coded('compare.proofMinutes'),
  proofProgress: coded('compare.proofProgress'),
  proofCelsius: coded('compare.proofCelsius'),
  proofOff: coded('compare.proofOff'),
  proofHumidity: coded('compare.proofHumidity'),
  proofLate: coded('compare.proofLate'),
  bakeShare: coded('compare.bakeShare'),
  ovenOff: coded('compare.ovenOff'),
};

/** A value of a feature as it is shown. */
export function featureQuantity(feature: FeatureId, value: number): Quantity {
  switch (FEATURES[feature].unit) {
    case 'celsius':
      return { celsius: Math.round(value * 10) / 10 };
    case 'difference':
      return { difference: Math.round(value * 10) / 10 };
    case 'minutes':
      return { minutes: Math.round(value) };
    case 'share':
      return { percent: Math.round(value * 100) };
    case 'percent':
      return { percent: Math.round(value) };
  }
}
