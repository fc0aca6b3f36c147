import { ahead, anywhere, somewhere, type RecipeWords } from './recipe-words';

const COUNT = '(?:\\d{1,2}|one|two|three|four|five|six|once|twice|a|an)';
const FOLD = '(?:turns?|folds?)';
const KIND = '(?:single|simple|letter|book|double|half)';

/** Recipes in English. */
export const EN: RecipeWords = {
  short: /(?:^|[\s(\d])(?:approx|ca|inst|no|e\.g|i\.e)\.$/iu,
  common: anywhere(
    'the|and|of|with|into|flour|sugar|salt|water|milk|minutes?|hours?|dough|yeast|until|then|for',
  ),
  hour: ahead('h|hrs?\\.?|hours?'),
  minute: ahead("min\\.?|mins\\.?|minutes?|['′’]"),
  day: ahead('days?'),
  overnight: anywhere('overnight|over night'),
  upTo: /^\s*(?:[-–—]|(?:to|or)(?![\p{L}]))\s*/iu,
  degrees: /^\s*(?:(?:°|º|degrees?|deg\.?)\s*)?([CF])(?:elsius|ahrenheit)?(?![\p{L}\d])/iu,
  gas: anywhere('gas(?: mark)?\\s*(\\d)'),
  fan: somewhere('fan|convection|fan[- ]assisted'),
  headings: [
    ['stiff levain', somewhere('stiff levain|stiff starter')],
    ['levain', somewhere('levain|starter|leaven')],
    ['poolish', somewhere('poolish')],
    ['sponge', somewhere('sponge|pre-?ferment')],
    ['autolyse', somewhere('autolyse')],
    [
      'roll-in',
      somewhere(
        'laminat(?:ion|ing)|roll(?:ing)?[- ]in|butter (?:block|layer|sheet)|butter|beurrage|to roll in',
      ),
    ],
    ['filling', somewhere('filling|custard|cream|frangipane|paste|soaker')],
    ['finish', somewhere('glaze|icing|finish|finishing|topping|syrup|egg wash|wash')],
    ['dough', somewhere('dough|d[ée]trempe')],
    ['method', somewhere('method|directions|instructions|preparation|procedure|steps|to make|process')],
    ['ingredients', somewhere('ingredients|you will need|shopping list')],
  ],
  rollIn: somewhere(
    'roll(?:ing|ed)?[- ]in|to roll in|laminat\\w+|to laminate|for the (?:butter )?(?:block|layer)|(?:to )?fold(?:ing)? in|butter (?:block|layer|sheet)|block of(?: \\w+)? butter|grated|lock(?:ing)?[- ]in',
  ),
  finishing: somewhere(
    'egg ?wash|for (?:the )?(?:wash|glaze|brushing|sprinkling|topping|finishing)|to (?:finish|glaze|brush|sprinkle|decorate)',
  ),
  beside: anywhere(
    'cold|very|crumbled|european(?:-style)?|good-quality|organic|free-range|unbleached|liquid|crushed|strained|sliced|toasted|thawed|soft|softened|plus|extra|melted|lukewarm|warm|tepid|hot|fine|finely|freshly|ground|cubed|diced|pliable|chilled|frozen|grated|for|rolling|in|laminating|lamination|to|laminate|roll|the|a|an|of|block|layer|butter block|dusting|brushing|room|temperature|at|or|and|more|as|needed|large|medium|small|beaten|lightly|sifted|good|quality|roll-in|fold|sachet|packet|sticks?|ripe|active|folding|weighed|about|piece',
  ),
  acts: [
    [
      'butter',
      anywhere(
        '(?:beat|pound|hammer|tap|bash|press|roll|shape|form)(?=[^.;]*\\bbutter\\b)(?=[^.;]*\\b(?:block|sheet|square|slab|rectangle|flat)\\b)[^.;,]*?\\bbutter\\b[^.;,]*?(?:block|sheet|square|slab|rectangle)|make the butter block|pound the butter|pound (?:them|it)[^.;]*?(?:block|square|slab|sheet)',
      ),
    ],
    [
      'lock-in',
      anywhere(
        'lock(?:ed|ing)?(?:[- ]in|\\s+(?:it|the[^.;,]{0,30}?butter(?: block)?)(?: in)?)|enclos\\w+|close[^.;,]*over (?:it|the butter)|fold (?:the |both |all )?(?:two |four )?(?:sides|corners|flaps)[^.;,]*over (?:it|the butter)|wrap the butter|seal the butter|encase\\w*|stack the (?:discs|rounds)',
      ),
    ],
    ['turn', anywhere(`(?<n>${COUNT})\\s*x\\s*${KIND}(?:\\s+${FOLD})?`)],
    [
      'turn',
      anywhere(
        `(?:(?<n>${COUNT})\\s+)?${KIND}(?=(?:\\s*,\\s*(?:${COUNT}\\s+)?${KIND})*,?\\s+and\\s+(?:${COUNT}\\s+)?${KIND}\\s+${FOLD})`,
      ),
    ],
    ['turn', anywhere(`(?:(?<n>${COUNT})\\s+)?(?:more\\s+|further\\s+)?${KIND}\\s+${FOLD}`)],
    [
      'turn',
      anywhere(
        'fold(?:ed|ing)?\\s+(?:it\\s+|the dough\\s+)?(?:again\\s+)?(?:in|into)\\s+(?:three|thirds|four|half|two)(?:\\s+again)?',
      ),
    ],
    [
      'turn',
      anywhere(
        `(?<n>${COUNT})\\s+(?:more\\s+|further\\s+)?(?:turns|folds)(?:\\s+in\\s+(?:three|thirds|four|half))?`,
      ),
    ],
    [
      'turn',
      anywhere('(?<!after (?:the|your) )(?:1st|2nd|3rd|4th|first|second|third|fourth)\\s+(?:turn|fold)'),
    ],
    [
      'fold',
      anywhere(
        'stretch(?:es)? and folds?|folds?(?= at \\d| after \\d| every \\d)|coil folds?|fold in the bowl',
      ),
    ],
    ['turn', anywhere(`(?<n>${COUNT})\\s+(?:more|further)\\s+(?:turn|fold)`)],
    ['retard', anywhere('retard(?:ed|ing|s)?')],
    ['thaw', anywhere('thaw(?:ed|ing)?|defrost(?:ed|ing)?')],
    ['freeze', anywhere('freeze|frozen on|bag them')],
    ['freezer', anywhere('freezer')],
    ['cold', anywhere('fridge|refrigerat\\w+|chill(?:ed|ing)?|in the cold|cold room|retarder')],
    ['bulk', anywhere('bulk(?: ferment(?:ation|s)?)?|first (?:rise|proof|prove)|floor time')],
    [
      'degas',
      anywhere(
        'knock(?:ed)? (?:it |the dough )?(?:back|down)|punch(?:ed)? (?:it |the dough )?down|deflate\\w*|degas(?:sed)?',
      ),
    ],
    ['proof', anywhere('(?:final|second|last) (?:proof|prove|rise)')],
    [
      'rise',
      anywhere(
        'proof(?:s|ed|ing)?|prov(?:e|es|ing)|ris(?:e|es|ing)|rose|puff(?:y| up)?|ferment(?:s|ed|ing|ation)?|doubled?|swell',
      ),
    ],
    ['rest', anywhere('(?<!the )rest(?:s|ed|ing)?(?! of)|stands?|leave|wait|relax(?:es)?|bench rest')],
    ['mix', anywhere('mix(?:ed|ing)?|combine|stir|whisk|blend|bring together')],
    ['knead', anywhere('knead(?:ed|ing)?')],
    ['divide', anywhere('divid(?:e|ed|ing)|scale (?=\\d)|portion')],
    ['cut', anywhere('cut(?:ting)?(?! the butter)|slice(?:d)?(?= into| it into)')],
    [
      'shape',
      anywhere(
        '(?<!the )shap(?:e|ed|ing)(?! (?:it |the dough )?into an? (?:\\w+ )?(?:ball|disc|block|rectangle|round|square))|roll(?:ed)?(?: \\w+){0,3}? up|roll up|roll each (?:one |piece )?(?:around|up)|form(?:ed)? (?:into|balls|knots)|tie(?: into)?|braid(?:ed)?|plait(?:ed)?|twist|fold the corners|fold (?:every|each|the)[^.;,]*(?:point|corner|tip)s?|make up',
      ),
    ],
    [
      'sheet',
      anywhere(
        'roll(?:ed|ing)?(?: it| the dough| the block)?(?: out| again| to| into a)|roll out|roll (?:each|every|one) (?:half|piece|part|disc)[^.;,]*?(?:to|into|out)|sheet(?: it)?(?= to|\\s+\\d)|pin out|flatten out',
      ),
    ],
    [
      'fill',
      anywhere(
        'spread(?=[^.;,]*(?:filling|custard|cream|paste|jam))|(?:put|place|drop|dollop)[^.;,]*?(?:custard|filling|jam)|pipe|spoon[^.;,]*(?:filling|custard|jam)|fill(?: with)?(?! the)',
      ),
    ],
    [
      'wash',
      anywhere(
        'egg ?wash|wash(?= with|\\b(?! up))|brush(?! (?:off|the flour|away))|glaze with(?= (?:beaten )?egg)|paint with',
      ),
    ],
    [
      'finish',
      anywhere(
        'glaze(?! with (?:beaten )?egg)|dust with|ice(?= when| with| them)|syrup|toss in|apricot glaze',
      ),
    ],
    [
      'preheat',
      anywhere('(?:pre-?)?heat (?:the |your )?oven|oven (?:pre)?(?:heats|is heating)(?: up)?(?: to)?'),
    ],
    ['bake', anywhere('(?<!before )(?:bake|bakes|baked|baking(?=:| (?:for|at|time|temperature)))|oven')],
    ['cool', anywhere('cool(?:s|ed|ing)?(?= on|\\b)')],
    ['times', anywhere('(?<n>three|four|five|\\d) times(?: in (?:all|total))?')],
    ['repeat', anywhere('repeat(?:ed)?|do (?:this|it|that) (?=again|twice|three|two)')],
  ],
  folds: [
    ['book', somewhere('book|double|(?:in|into) four')],
    ['half', somewhere('half|(?:in|into) (?:half|two)')],
    ['letter', somewhere('letter|single|simple|(?:in|into) (?:three|thirds)')],
  ],
  lockIns: [
    ['envelope', somewhere('diagonal(?:ly)?|envelope|corners')],
    ['cross', somewhere('flaps|cross')],
    ['two-thirds', somewhere('two[- ]thirds')],
    ['middle', somewhere('sides|middle')],
    ['half-lock', somewhere('half of the dough|one half')],
  ],
  times: [
    [1, somewhere('once|one|again|a|an')],
    [2, somewhere('twice|two|2')],
    [3, somewhere('three|3')],
    [4, somewhere('four|4')],
    [5, somewhere('five|5')],
    [6, somewhere('six|6')],
  ],
  each: somewhere(
    'after each(?! other)|after the first(?: and second)?|between (?:the two|them)|between each|each time|each followed|in between|between|after every|following each',
  ),
  between: somewhere('between(?: each| the two| them)?|in between'),
  last: somewhere(
    'after the (?:last|final|second|third|fourth)(?: \\w+)?|the last(?: one| time)?|and the last|at the end',
  ),
  inARow: somewhere('straight after|in a row|one after the other|in one go|without (?:a )?rest|back to back'),
  room: somewhere('room temperature|on the (?:bench|counter)|ambient'),
  doughTemperature:
    /(?<!\p{L})(?:d\.?d\.?t\.?|d\.?t\.?|(?:final |target )?dough temp(?:erature|\.)?)\s*(?:of|von|de|:|=|~|ca\.)?\s*$/iu,
  slow: somewhere('slow(?:ly)?|low|on first|1st(?! turn)|first speed|1st speed|speed 1'),
  fast: somewhere('fast|high|on second|2nd(?! turn)|second speed|2nd speed|speed 2'),
  steam: somewhere('steam'),
  vent: somewhere('vent(?: open)?'),
  filling: somewhere('filling|custard|pastry cream|frangipane|almond cream|jam|soaker'),
  cook: somewhere('boil|cook|simmer|bring to'),
  preferments: [
    ['levain', somewhere('(?:build|feed|refresh|make|prepare|mix)[^.;]*(?:levain|starter|leaven)(?! with)')],
    ['sponge', somewhere('sponge|poolish|pre-?ferment')],
  ],
  shapes: [
    ['triangle', somewhere('triangles?')],
    ['slice', somewhere('slices?|snails')],
    ['square', somewhere('squares?')],
    ['rectangle', somewhere('rectangles?')],
    ['sector', somewhere('wedges?|sectors?')],
    ['strip', somewhere('strips')],
  ],
  tins: [
    ['holes', anywhere('(?:muffin|bun|popover|cupcake) (?:tins?|pans?|trays?)|(?:tins?|moulds?) with holes')],
    ['loaf', anywhere('loaf (?:tins?|pans?)|bread (?:tins?|pans?)|pullman (?:tins?|pans?)')],
    [
      'round',
      anywhere(
        '(?:round|cake|springform|brioche|bundt|ring) (?:cake )?(?:tins?|pans?|moulds?|forms?)|springforms?',
      ),
    ],
    [
      'pan',
      anywhere(
        '(?:baking|roasting|square|rectangular|deep) (?:pans?|dish(?:es)?|tins?)|(?:buttered|greased|lined) (?:pans?|tins?|dish(?:es)?)|(?:tins?|pans?)(?= of \\d)',
      ),
    ],
  ],
  makes:
    /(?:makes|yields?|serves|for|gives|quantity|x)\s*(?:about\s*)?[:x]?\s*(\d{1,4})(?!\s*(?:g|kg|ml|min|h|cm|mm|in|hours?|minutes?|%|x|[.,]\d))(?![\p{L}\d])|\((\d{1,4})(?:\s*(?:pieces|pcs|rolls|crescents))?\)\s*$|(\d{1,4})\s*(?:pieces|pcs|rolls|crescents)(?![\p{L}])/iu,
  gives: /(?<!\p{L})(?:makes|yields)\s+(?:about\s+)?(\d{1,4})|(?<![\d.,])(\d{1,4})\s+pieces(?!\p{L})/iu,
  pieces:
    /(?<![\d.,/])(\d{1,4})(?![.,]\d|\s*(?:%|°|(?:cm|mm|inch(?:es)?|in|min|h|g|kg)(?!\p{L})|x\s*\d+\s*(?:cm|mm|in)))(?:\s*x\s*(\d+)\s*g)?\s*(?:g (?:balls|pieces)|(?:\p{L}+ ){0,1}?(?:triangles?|rectangles?|squares?|slices?|pieces?|crescents?|rolls?|strips|wedges?|balls?|knots?|snails?)|(?=[.,;]|$|\s+and roll|\s+equal))/iu,
  then: /[,;–—]\s+|\s+(?:and )?then\s+|\s+(?:and|but)\s+/giu,
};
