import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { minuteReached, progressAlong } from './ferment/progress';
import { BAKERS_YEAST, fermentationRate } from './ferment/rate';
import { slowerBy } from './forecast/judgement';
import { doughForPieces } from './formula/scale';
import { DOUGH } from './heat/material';
import { firstMode, minutesToCore } from './heat/mode';
import { meanFilm } from './heat/places';
import { factorRule, liquidCelsius, WATER_HEAT } from './heat/water';
import { fatFraction, foldsMultiplied, layersOf, type Operation } from './lamination/stack';

const page = readFileSync('docs/trade.md', 'utf8').replace(/\s+/g, ' ').replaceAll(' > ', ' ');
const says = (words: string) => expect(page).toContain(words);

describe('the page about the sums of the trade says', () => {
  it('how much dough pieces need', () =>
    says(`need **${(doughForPieces(120, 60, 0.08) / 1000).toFixed(2)} kg** of dough`));

  it('how warm water has to be, by heat and by the quick rule', () => {
    const parts = [
      { kg: 10, heat: 1.8, celsius: 22 },
      { kg: 1.2, heat: 1.25, celsius: 22 },
      { kg: 0.8, heat: 4.3, celsius: 6 },
    ];
    const liquid = { kg: 4.9, heat: WATER_HEAT, isWater: true };
    says(`must have **${liquidCelsius({ parts, liquid, target: 24, rise: 6 }).toFixed(1)} °C**`);
    says(`water for 24 °C has **${factorRule(24, [22, 20], 12)} °C**`);
  });

  it('how long a sheet takes in the cold', () => {
    const mode = firstMode({ shape: 'slab', mm: 24 }, DOUGH, meanFilm('retarder', 'tray'), 4);
    says(`settles in **${mode.settling.toFixed(0)} min**`);
    says(`at 8 °C after **${minutesToCore(mode, 16, 4, 8)?.toFixed(0)} min**`);
    says(`at 6 °C after **${minutesToCore(mode, 16, 4, 6)?.toFixed(0)} min**`);
    expect(minutesToCore(mode, 16, 4, 4)).toBeNull();
  });

  it('how a rise goes at other temperatures, and after a night in the cold', () => {
    const rate = (celsius: number) => fermentationRate(BAKERS_YEAST, celsius).toFixed(2);
    says(`at 26 °C works at ${rate(26)} of its best, at 19 °C at ${rate(19)}, at 4 °C at ${rate(4)}.`);
    const proof = { cardinal: BAKERS_YEAST, celsius: 26, minutes: 130 };
    const at = (celsius: number) => [{ minute: 0, celsius }];
    const night = progressAlong(proof, at(4), 600);
    says(`takes **${minuteReached(proof, at(19))?.toFixed(0)} min** at 19 °C`);
    says(`has done **${night.toFixed(2)}** of its way`);
    says(`need only **${minuteReached(proof, at(26), { before: night })?.toFixed(0)} min** more`);
  });

  it('what a look changes', () => {
    says(`not ready after 87 takes ${slowerBy(90, 87).toFixed(2)} times as long`);
    says(`after 120 it takes ${slowerBy(90, 120).toFixed(2)} times as long`);
    expect(slowerBy(90, 40)).toBeCloseTo(1, 4);
  });

  it('how many layers there are, and how thick', () => {
    const folds: Operation[] = ['envelope', 'letter', 'letter', 'letter'];
    const { fatLayers, layers, meanFat } = layersOf(folds, 900, 3000, 4);
    says(
      `**${fatLayers}** layers of fat and ${layers - fatLayers} of dough, ${layers} in all. People who multiply folds say ${foldsMultiplied(folds)}.`,
    );
    says(`**${(100 * fatFraction(900, 3000)).toFixed(0)} %** of the volume`);
    says(`each of the ${fatLayers} layers is **${meanFat.toFixed(0)} µm**`);
  });
});
