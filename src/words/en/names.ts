/** What codes are called that are chosen from lists and shown by themselves. */
export const names = {
  allergen:
    '{allergen, select, gluten {gluten} crustaceans {crustaceans} egg {egg} fish {fish} peanut {peanut} soya {soya} milk {milk} nuts {nuts} celery {celery} mustard {mustard} sesame {sesame} sulphites {sulphites} lupin {lupin} other {molluscs}}',
  stage:
    '{stage, select, levain {levain} stiff_levain {stiff levain} sponge {sponge} poolish {poolish} autolyse {autolyse} dough {dough} roll_in {butter block} filling {filling} other {finish}}',
  ingredientKind:
    '{kind, select, flour {flour} water {water} dairy {dairy} egg {egg} fat {fat} sugar {sugar} salt {salt} yeast {yeast} starter {starter} other {other}}',
  mark: '{mark, select, rise {Rise} layers {Layers} crumb {Crumb} colour {Colour} shape {Shape} other {Taste}}',
  skill:
    '{skill, select, mix {mixing} laminate {lamination} shape {shaping} bake {baking} other {finishing}}',
  known: '{how, select, weighed {weighed} other {estimated}}',
  choose: 'Choose …',
  strength: '{strength, select, weak {weak} medium {medium} other {strong}}',
  settingUnit:
    '{unit, select, bowls {bowls} characters {characters} days {days} length_width {length/width} per_minute {per minute} share {share} other {{shown}}}',
} as const;
