import { expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import { allMessages } from '../../../test-support/words';
import type { Mixing } from '@/core/heat/mixing';
import { METRIC } from '@/core/units/reader';
import { CalledProvider, WordsProvider } from '@/ui/kit/words';
import { usualIn } from '@/words/usual/usual';
import { WaterWords } from './water-words';

const mixing: Mixing = {
  question: {
    parts: [{ kg: 10, heat: 1.8, celsius: 24 }],
    liquid: { kg: 5, heat: 4.19, isWater: true },
    ...{ target: 24, rise: 6, coldest: 8, ice: -18, warmest: 45 },
  },
  groups: ['flour'],
  flour: 0,
  liquid: { ingredient: 'water', name: 'water', grams: 5000 },
  terms: [24, 22],
};

it.each([
  ['de', 'Wasser mit 12'],
  ['fr', 'Eau à 12'],
] as const)('names the liquid as the reader calls it: %s', (language, words) => {
  show(
    <CalledProvider called={usualIn(language)}>
      <WordsProvider language={language} packed={allMessages(language)}>
        <WaterWords mixing={mixing} factor={18} units={METRIC} />
      </WordsProvider>
    </CalledProvider>,
  );
  expect(document.body.textContent).toContain(words);
});
