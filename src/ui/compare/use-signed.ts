import { FEATURES, type FeatureId } from '@/core/diagnosis/features';
import { featureQuantity } from '@/core/diagnosis/feature-words';
import type { Say } from '@/words/say';
import { useWords } from '../kit/words';

/** Whether a feature is how far something is off: it has a sign, and nothing off is a word. */
const isOff = (feature: FeatureId) => FEATURES[feature].unit === 'difference' || feature === 'proofLate';

/** The words for a value that is exactly as it should be. */
const exact = (say: Say, feature: FeatureId) =>
  feature === 'proofLate' ? say('compare.toTheMinute') : say('compare.asMeant');

/** Shows a value of a feature; how far something is off has its sign: "+1.2 °C", "−6 min". */
export function useSigned(): (feature: FeatureId, value: number) => string {
  const say = useWords();
  return (feature, value) => {
    if (!isOff(feature)) return say.shown(featureQuantity(feature, value));
    const rounded = feature === 'proofLate' ? Math.round(value) : Math.round(value * 10) / 10;
    if (rounded === 0) return exact(say, feature);
    const quantity = featureQuantity(feature, Math.abs(rounded));
    return say('compare.signed', { isUp: rounded > 0, value: say.shown(quantity) });
  };
}
