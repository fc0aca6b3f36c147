import type { Catalog } from '../message';

export const names: Catalog['names'] = {
  allergen:
    '{allergen, select, gluten {gluten} crustaceans {crustacés} egg {œuf} fish {poisson} peanut {arachide} soya {soja} milk {lait} nuts {fruits à coque} celery {céleri} mustard {moutarde} sesame {sésame} sulphites {sulfites} lupin {lupin} other {mollusques}}',
  stage:
    '{stage, select, levain {levain} stiff_levain {levain dur} sponge {levain-levure} poolish {poolish} autolyse {autolyse} dough {pâte} roll_in {beurre de tourage} filling {garniture} other {finition}}',
  ingredientKind:
    '{kind, select, flour {farine} water {eau} dairy {produit laitier} egg {œuf} fat {matière grasse} sugar {sucre} salt {sel} yeast {levure} starter {levain chef} other {autre}}',
  mark: '{mark, select, rise {Volume} layers {Feuilletage} crumb {Mie} colour {Couleur} shape {Forme} other {Goût}}',
  skill:
    '{skill, select, mix {pétrissage} laminate {tourage} shape {façonnage} bake {cuisson} other {finition}}',
  known: '{how, select, weighed {pesé} other {estimé}}',
  choose: 'Choisir …',
  strength: '{strength, select, weak {faible} medium {moyenne} other {forte}}',
  settingUnit:
    '{unit, select, bowls {cuves} characters {caractères} days {jours} length_width {long./larg.} per_minute {par minute} share {part} other {{shown}}}',
};
