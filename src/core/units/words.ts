/** The languages in which an amount may be written; the same text can mean different things: `1.500 g`, `2 cc`. */
export type AmountLanguage = 'en' | 'de' | 'fr';

/** Matches one of the alternatives at the head of a text, as a whole word whatever its accents and case. */
export const word = (alternatives: string): RegExp => new RegExp(`^(?:${alternatives})(?![\\p{L}\\d])`, 'iu');

/** "About" in front of an amount, and "or so" behind it. */
export const ABOUT =
  /^(?:(?:about|around|approx|approximately|roughly|circa|ca|etwa|ungefähr|rund|environ|à peu près|env)(?![\p{L}])\.?|~|≈)\s*/iu;
export const OR_SO = /^\s*(?:or so|about)(?![\p{L}])/iu;

/** What is not weighed: to taste, as needed, for dusting. */
export const UNCOUNTED = new RegExp(
  [
    // Whatever it is for, where no number is said.
    '^(?:for|zum|zur|für|pour)\\s[^\\d½¼¾⅓⅔]*$',
    '^(?:to taste|as needed|as required|as desired|q\\.?\\s?s\\.?|some|a (?:little|bit)(?: bit)?(?: of)?|enough|uncounted|n\\/a)(?![\\p{L}\\d])',
    '^(?:nach (?:geschmack|bedarf|belieben|gefühl|wunsch)|n\\.\\s?b\\.|etwas|ein wenig|wenig)(?![\\p{L}\\d])',
    "^(?:à (?:volonté|convenance|discrétion)|selon (?:le )?(?:goût|besoin)|au (?:goût|besoin)|un peu(?: d(?:e|['’]))?|du|de la)(?![\\p{L}\\d])",
  ].join('|'),
  'iu',
);

/** Number words, whole ones first in the order of their length so that "eighteen" is not "eight". */
export const NUMBER_WORDS: [RegExp, number][] = [
  [word('dreiviertel|three[- ](?:quarter|fourth)s?|trois[- ]quarts'), 0.75],
  [word('(?:ein )?viertel|(?:a |one[- ])?(?:quarter|fourth)|(?:un )?quart'), 0.25],
  [word('two[- ]thirds?|zwei[- ]?drittel|deux[- ]tiers'), 2 / 3],
  [word('(?:a |one[- ])?third|(?:ein )?drittel|(?:un )?tiers'), 1 / 3],
  [word('(?:a |an |one[- ])?half|(?:ein(?:e|en|er|es)? )?halb(?:e|en|er|es)?|(?:un |une )?demie?'), 0.5],
  [word('anderthalb|ein(?:und)?einhalb|eineinhalb|ein(?:und)?halb'), 1.5],
  [word('zwei(?:und)?einhalb'), 2.5],
  [word('drei(?:und)?einhalb'), 3.5],
  [word('vier(?:und)?einhalb'), 4.5],
  [word('a couple(?: of)?|a pair of|ein paar (?=stück)'), 2],
  [word('(?:a |one )?hundred|(?:ein)?hundert|cent'), 100],
  [word('an|a|one|ein(?:e|en|er|em|es)?|une?'), 1],
  [word('two|zwei|deux'), 2],
  [word('three|drei|trois'), 3],
  [word('four|vier|quatre'), 4],
  [word('five|fünf|cinq'), 5],
  [word('six|sechs'), 6],
  [word('seven|sieben|sept'), 7],
  [word('eight|acht|huit'), 8],
  [word('nine|neun|neuf'), 9],
  [word('ten|zehn|dix'), 10],
  [word('eleven|elf|onze'), 11],
  [word('twelve|zwölf|douze'), 12],
  [word('fifteen|fünfzehn|quinze'), 15],
  [word('twenty|zwanzig|vingt'), 20],
  [word('fifty|fünfzig|cinquante'), 50],
];

/** "… and a half" behind a number or its unit, with what it adds. */
export const AND_A_PART: [RegExp, number][] = [
  [word('(?:and |&\\s*)(?:a |one[- ])?half|und (?:ein(?:e|en|er|es)? )?halb(?:e|en|er|es)?|et demie?'), 0.5],
  [word('(?:and |&\\s*)(?:a |one[- ])?quarter|und ein viertel|et (?:un )?quart'), 0.25],
  [word('(?:and |&\\s*)three[- ]quarters|und dreiviertel|et trois[- ]quarts'), 0.75],
  [word('(?:and |&\\s*)(?:a |one[- ])?third|und ein drittel|et (?:un )?tiers'), 1 / 3],
];
export const DOZEN = word('dozen|dutzend|douzaines?');

/** How something is, which changes what is done with it and not how much of it there is. */
export const STATE = word(
  [
    'luke-?warm|warm|tepid|hot|boiling|ice[- ]cold|cold|cool|chilled|iced|frozen|thawed|soft|softened|melted|browned|creamed|clarified|cubed|diced|sliced|chopped|crushed|ground|grated|zested|toasted|roasted|blanched|peeled|drained|rinsed|soaked|sifted|beaten|whisked|separated|well|lightly|finely|coarsely|roughly|freshly|gently|firmly|loosely|packed|heaped|heaping|level|levelled|rounded|scant|generous|good|whole|organic|free[- ]range|ripe|active|fed|mature|divided|optional|unwaxed|seeds removed|at room temp(?:erature)?|room[- ]temperature|(?:plus|and|\\+) ?(?:some )?(?:more|extra|a little more|a bit more)(?: .*)?|for (?:the|dusting|brushing|rolling|sprinkling|greasing|finishing)(?: .*)?',
    'lauwarm(?:e|er|es|en)?|warm(?:e|er|es|en)|heiß(?:e|er|es|en)?|kalt(?:e|er|es|en)?|eiskalt(?:e|er|es|en)?|kühl(?:e|er|es|en)?|gekühlt(?:e|er|es|en)?|tiefgekühlt(?:e|er|es|en)?|weich(?:e|er|es|en)?|zimmerwarm(?:e|er|es|en)?|geschmolzen(?:e|er|es|en)?|flüssig(?:e|er|es|en)?|verquirlt(?:e|er|es|en)?|geschlagen(?:e|er|es|en)?|gesiebt(?:e|er|es|en)?|gehäuft(?:e|er|es|en)?|gestrichen(?:e|er|es|en)?|gestr\\.|geh\\.|unbehandelt(?:e|er|es|en)?|knapp(?:e|er|es|en)?|gut(?:e|er|es|en)?|gerieben(?:e|er|es|en)?|abgerieben(?:e|er|es|en)?|gehackt(?:e|er|es|en)?|gemahlen(?:e|er|es|en)?|gewürfelt(?:e|er|es|en)?|geröstet(?:e|er|es|en)?|aufgetaut(?:e|er|es|en)?|ganz(?:e|er|es|en)?|frisch(?:e|er|es|en)?(?= )|bio|reif(?:e|er|es|en)?|aktiv(?:e|er|es|en)?|(?:und|plus|\\+) ?(?:etwas )?(?:mehr|extra|etwas)(?: .*)?|zum (?:bestäuben|bestreichen|bestreuen|ausrollen)',
    'tièdes?|chaude?s?|bouillante?s?|froide?s?|glacée?s?|congelée?s?|molle?s?|mou|ramollie?s?|pommade|fondue?s?|noisette|battue?s?|fouettée?s?|tamisée?s?|bombée?s?|rase?s?|bonnes?|bien|légèrement|finement|râpée?s?|hachée?s?|moulue?s?|concassée?s?|grillée?s?|torréfiée?s?|entiers?|entières?|bio|à température ambiante|non traitée?s?|active?s?|mûre?s?|facultatif|(?:et|plus|\\+) ?un peu(?: plus)?(?: .*)?|pour (?:saupoudrer|dorer|fleurer|le (?:moule|plan de travail))',
  ].join('|'),
);

/** Words that only join an amount to what it is of. */
export const JOINING =
  /^(?:of|the|from|de|du|des|d|la|le|les|l|von|vom|der|die|das|à|je|each|in all|total|insgesamt|en tout)$/iu;

/** Between two ends of a range; `or` only between bare numbers. */
export const UP_TO = /^\s*(?:[-–—]|(?:to|bis(?: zu)?|à|jusqu['’]à)(?![\p{L}]))\s*/iu;
export const OR = /^\s*(?:or|oder|ou)(?![\p{L}])\s*/iu;
export const BETWEEN = /^(?:between|from|zwischen|entre|de)(?![\p{L}])\s+(?=[\d½¼¾⅓⅔.,])/iu;
export const AND = /^\s*(?:[+&]|(?:plus|and|und|et|sowie)(?![\p{L}]))\s*/iu;
export const LESS = /^\s*(?:−|(?:minus|less|weniger|abzüglich|moins)(?![\p{L}]))\s*/iu;
export const TIMES = /^\s*[x×*]\s*(?=\d)/iu;
/** "of 400 g", "à 7 g": what each one of several holds. */
export const EACH_OF = /^\s*(?:of|à|a|je|zu|de|@)(?![\p{L}])\s*(?=\d)/iu;
export const EACH_AFTER = /^\s*(?:each|apiece|per tin|je|chacune?|pièce)(?![\p{L}])/iu;

/** A temperature beside an amount says how warm it is to be. */
export const WARMTH =
  /^\(?\s*(?:(?:at|about|bei|ca|à|env)(?!\p{L})\.?\s*)?\d[\d.,]*(?:\s*(?:to|-|–|bis|à)\s*\d[\d.,]*)?\s*(?:°\s*[CF]?|degrees?(?: [CF])?|Grad)(?!\p{L})\s*\)?/iu;

/** Zest and juice, in front of the fruit they are of. */
export const PART_OF: [RegExp, 'zest' | 'juice'][] = [
  [
    /^(?:the )?(?:(?:finely )?grated )?(?:zests?|rind)(?: of)?(?!\p{L})|^(?:(?:fein )?abgeriebene )?(?:schale|abrieb)(?: von)?(?!\p{L})|^(?:les? )?zestes?(?: râpée?s?)?(?: d[eu](?!\p{L})| d[’'])?/iu,
    'zest',
  ],
  [
    /^(?:the )?juice(?: of)?(?!\p{L})|^(?:der )?saft(?: von)?(?!\p{L})|^(?:le )?jus(?: d[eu](?!\p{L})| d[’'])?/iu,
    'juice',
  ],
];
/** What is scraped out of a pod. */
export const SEEDS_OF =
  /^(?:the )?(?:seeds|scrapings) (?:of|from)(?!\p{L})|^(?:das )?mark(?: von)?(?!\p{L})|^(?:les )?graines d(?:e(?!\p{L})|[’'])/iu;
/** Yolks and whites by the eggs they are of: `yolks of 2 eggs`. */
export const OF_EGGS: [RegExp, 'yolk' | 'white'][] = [
  [/^(?:the )?yolks? (?:of|from)(?!\p{L})|^(?:das )?eigelb von(?!\p{L})|^les? jaunes? de(?!\p{L})/iu, 'yolk'],
  [
    /^(?:the )?whites? (?:of|from)(?!\p{L})|^(?:das )?eiweiß von(?!\p{L})|^les? blancs? de(?!\p{L})/iu,
    'white',
  ],
];
/** Said without a number, one is meant. */
export const ONE_OF = /^(?=(?:pinch|dash|prise|pincée|messerspitze|msp)(?![\p{L}]))/iu;
