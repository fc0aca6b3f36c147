import type { Catalog } from '../message';

export const names: Catalog['names'] = {
  allergen:
    '{allergen, select, gluten {Gluten} crustaceans {Krebstiere} egg {Ei} fish {Fisch} peanut {Erdnuss} soya {Soja} milk {Milch} nuts {Schalenfrüchte} celery {Sellerie} mustard {Senf} sesame {Sesam} sulphites {Sulfite} lupin {Lupine} other {Weichtiere}}',
  stage:
    '{stage, select, levain {Sauerteig} stiff_levain {fester Sauerteig} sponge {Vorteig} poolish {Poolish} autolyse {Autolyse} dough {Teig} roll_in {Butterplatte} filling {Füllung} other {Finish}}',
  ingredientKind:
    '{kind, select, flour {Mehl} water {Wasser} dairy {Milchprodukt} egg {Ei} fat {Fett} sugar {Zucker} salt {Salz} yeast {Hefe} starter {Anstellgut} other {Sonstiges}}',
  mark: '{mark, select, rise {Volumen} layers {Lagen} crumb {Krume} colour {Farbe} shape {Form} other {Geschmack}}',
  skill:
    '{skill, select, mix {Kneten} laminate {Tourieren} shape {Formen} bake {Backen} other {Fertigstellen}}',
  known: '{how, select, weighed {gewogen} other {geschätzt}}',
  choose: 'Wählen …',
  strength: '{strength, select, weak {kleberschwach} medium {mittelstark} other {kleberstark}}',
  settingUnit:
    '{unit, select, bowls {Kessel} characters {Zeichen} days {Tage} length_width {Länge/Breite} per_minute {je Minute} share {Anteil} other {{shown}}}',
};
