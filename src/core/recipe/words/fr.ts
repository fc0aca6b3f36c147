import { ahead, anywhere, somewhere, type RecipeWords } from './recipe-words';

const COUNT = '(?:\\d{1,2}|une?|deux|trois|quatre|cinq|six)';
const KIND = '(?:simples?|doubles?)';

/** Recettes en français. */
export const FR: RecipeWords = {
  short: /(?:^|[\s(\d])(?:env|th|c|s|mn)\.$/iu,
  common: anywhere(
    'de|et|le|la|les|du|des|au|aux|farine|sucre|sel|beurre|eau|lait|heures?|pâte|puis|dans|pour|laisser|pétrir|œufs?',
  ),
  hour: ahead('h|heures?'),
  minute: ahead("min\\.?|mn|minutes?|['′’]"),
  day: ahead('jours?|j'),
  overnight: anywhere('(?:toute )?(?:une|la) nuit|du jour au lendemain'),
  upTo: /^\s*(?:[-–—]|(?:à|ou)(?![\p{L}]))\s*/iu,
  degrees: /^\s*(?:(?:°|º)\s*([CF])?|degrés?(?: celsius)?|([CF])(?![\p{L}\d]|\.?\s*à))(?![\p{L}\d])/iu,
  gas: anywhere('th(?:ermostat)?\\.?\\s*(\\d)'),
  fan: somewhere('chaleur tournante|ventilé'),
  headings: [
    ['stiff levain', somewhere('levain dur')],
    ['levain', somewhere('levain')],
    ['poolish', somewhere('poolish')],
    ['sponge', somewhere('levain-levure|éponge')],
    ['autolyse', somewhere('autolyse')],
    ['roll-in', somewhere('tourage|feuilletage|beurre de tourage|pour tourer')],
    ['filling', somewhere('garniture|crème(?: pâtissière)?|fourrage')],
    ['finish', somewhere('glaçage|dorure|finition|nappage|sirop')],
    ['dough', somewhere('détrempe|pâte')],
    ['method', somewhere('préparation|réalisation|étapes|méthode|instructions|marche à suivre')],
    ['ingredients', somewhere('ingrédients')],
  ],
  rollIn: somewhere('tourage|feuilletage|pour (?:le )?tour(?:er|age)|à tourer|pommade pour|râpé'),
  finishing: somewhere('pour (?:la dorure|dorer|saupoudrer|le glaçage|la finition|décorer)'),
  beside: anywhere(
    'aop|aoc|extra|bio|émiettée?s?|battue?s?|bien|très|froide?s?|moue?s?|mou|tièdes?|fondue?s?|pommade|ramollie?s?|râpée?s?|congelée?s?|pour|le|la|les|l|du|de|d|tourage|feuilletage|tourer|fine?s?|entière?s?|moyens?|gros|petits?|et|ou|à|température|ambiante|en|morceaux|dés|fraîche?s?|bien|actif|dorure|plan|travail|un|une|peu|rafraîchi',
  ),
  acts: [
    ['butter', anywhere('(?:façonner|taper|étaler|abaisser) le beurre[^.;,]*?(?:carré|plaque|rectangle)')],
    [
      'lock-in',
      anywhere(
        'enchâss\\w+(?:[^.;,]{0,12}?beurre)?|enferme[rz] le beurre|enchâssage|beurrage|(?:rabatt|referm)\\p{L}*[^.;,]*(?:par-dessus|sur le beurre|le beurre)',
      ),
    ],
    ['turn', anywhere(`(?:(?<n>${COUNT})\\s+)?(?:autres?\\s+|deuxième\\s+|troisième\\s+)?tours?\\s+${KIND}`)],
    ['turn', anywhere('plier en (?:trois|quatre|deux)')],
    ['turn', anywhere(`(?<n>${COUNT})\\s+tours`)],
    ['fold', anywhere('rabats?|replis?')],
    ['thaw', anywhere('décongel\\w+')],
    ['freeze', anywhere('surgel\\w+|congele[rz]')],
    ['freezer', anywhere('congélateur|surgélateur')],
    ['retard', anywhere('pousse (?:lente )?au froid|bloque[rz]')],
    ['cold', anywhere('réfrigérateur|frigo|au frais|au froid|chambre froide|réserve[rz]')],
    ['bulk', anywhere('pointage|pointer')],
    ['degas', anywhere('dégaz\\w+|rabattre|rompre')],
    ['proof', anywhere('apprêt')],
    ['rise', anywhere('leve[rz]?|lever|gonfler|pousser|pousse|fermenter|doubler')],
    ['rest', anywhere('repos|reposer|détente|détendre|patienter')],
    ['mix', anywhere('mélange[rz]|frasage|fraser|incorporer|délayer|préparer la poolish')],
    ['knead', anywhere('pétri(?:r|ssez|ssage)')],
    ['divide', anywhere('divise[rz]|peser|détailler en pâtons')],
    ['sheet', anywhere('abaisse[rz]|étale[rz](?! la (?:crème|garniture))|laminer')],
    ['cut', anywhere('coupe[rz]|détaille[rz]|découpe[rz]|tranche[rz]')],
    ['shape', anywhere('façonn\\w+|roule[rz]|tresse[rz]')],
    [
      'fill',
      anywhere(
        'tartine[rz] (?:de|la) (?:garniture|crème)|étale[rz] la (?:crème|garniture)|garni(?:r|ssez)|parseme[rz] les|dépose[rz]',
      ),
    ],
    ['wash', anywhere('dore[rz]|dorure|badigeonne[rz]')],
    ['finish', anywhere('glace[rz]|nappe[rz]|saupoudre[rz]|sirop')],
    ['preheat', anywhere('préchauffe[rz]')],
    ['bake', anywhere('cuire|cuisson|enfourne[rz]|four(?! éteint)')],
    ['cool', anywhere('refroidir|ressuer|ressuage')],
    ['times', anywhere('(?<n>deux|trois|quatre|\\d) fois')],
    ['repeat', anywhere('recommence[rz]|répéte[rz]|renouvele[rz]')],
  ],
  folds: [
    ['book', somewhere('doubles?|en quatre')],
    ['half', somewhere('en deux')],
    ['letter', somewhere('simples?|en trois')],
  ],
  lockIns: [
    ['envelope', somewhere('enveloppe|diagonale')],
    ['cross', somewhere('croix')],
    ['two-thirds', somewhere('deux tiers')],
    ['middle', somewhere('au milieu|au centre')],
    ['half-lock', somewhere('moitié de la pâte')],
  ],
  times: [
    [1, somewhere('une?|une fois')],
    [2, somewhere('deux|2|deux fois')],
    [3, somewhere('trois|3|trois fois')],
    [4, somewhere('quatre|4')],
    [5, somewhere('cinq|5')],
    [6, somewhere('six|6')],
  ],
  each: somewhere(
    'entre les deux|après chaque(?: tour)?|après chacun|entre chaque|chaque fois|entre les tours',
  ),
  between: somewhere('entre les deux|entre chaque|entre les tours'),
  last: somewhere('après le dernier(?: tour)?|à la fin'),
  inARow: somewhere("d['’]affilée|à la suite|sans repos|coup sur coup"),
  room: somewhere('(?:à )?température ambiante'),
  doughTemperature:
    /(?<!\p{L})(?:t\.?p\.?|température (?:de |de la )?pâte)\s*(?:of|von|de|:|=|~|ca\.)?\s*$/iu,
  slow: somewhere('lentement|petite vitesse|1re vitesse|première vitesse'),
  fast: somewhere('vite|2e vitesse|deuxième vitesse|grande vitesse'),
  steam: somewhere('buée|vapeur'),
  vent: somewhere('oura(?:s)? ouverte?s?|oura'),
  filling: somewhere('crème(?: pâtissière)?|garniture|compote|confiture'),
  cook: somewhere('cuire|bouillir|chauffer|faire épaissir'),
  preferments: [
    ['levain', somewhere('rafraîchi\\w*[^.;]*levain|préparer le levain')],
    ['sponge', somewhere('préparer (?:la|le) (?:poolish|levain-levure)')],
  ],
  shapes: [
    ['triangle', somewhere('triangles?')],
    ['slice', somewhere('tranches?|tranchez|trancher|escargots')],
    ['square', somewhere('carrés')],
    ['rectangle', somewhere('rectangles(?! de pâte)')],
    ['strip', somewhere('bandes|lanières')],
  ],
  tins: [
    ['holes', anywhere('moules? à muffins|plaques? à muffins')],
    ['loaf', anywhere('moules? à cake|moules? à pain(?: de mie)?')],
    [
      'round',
      anywhere(
        'moules? (?:ronds?|à manqué|à brioches?|à charnière|à kouglof|à savarin)|cercles? à entremets',
      ),
    ],
    [
      'pan',
      anywhere('moules? (?:carrés?|rectangulaires?|beurrés?)|plats? (?:à four|à gratin)|moules?(?= de \\d)'),
    ],
  ],
  makes:
    /(?:pour|donne|x)\s*(?:environ\s*)?(\d{1,4})(?!\s*(?:g|kg|ml|cl|min|h|cm|mm|%|[.,]\d))(?![\p{L}\d])|\((\d{1,4})(?:\s*(?:pièces|p\.))?\)\s*$|(\d{1,4})\s*(?:pièces|p\.)/iu,
  gives: /(?<!\p{L})donne\s+(?:environ\s+)?(\d{1,4})|(?<![\d.,])(\d{1,4})\s+pièces(?!\p{L})/iu,
  pieces:
    /(?<![\d.,/])(\d{1,4})(?![.,]\d|\s*(?:%|°|(?:cm|mm|inch(?:es)?|in|min|h|g|kg)(?!\p{L})|x\s*\d+\s*(?:cm|mm)))(?:\s*x\s*(\d+)\s*g)?\s*(?:(?:\p{L}+ ){0,1}?(?:triangles|rectangles|carrés|tranches|pièces|croissants|pâtons|escargots|boules|bandes)|(?=[.,;]|$))/iu,
  then: /[,;–—]\s+|\s+puis\s+|\s+et\s+/giu,
};
