import { ahead, anywhere, somewhere, type RecipeWords } from './recipe-words';

const COUNT = '(?:\\d{1,2}|eine?n?|zwei|drei|vier|fünf|sechs)';
const TIMES = '(?:einmal|zweimal|dreimal|viermal|\\d\\s?(?:x|×|mal))';
const KIND = '(?:einfache?n?|doppelte?n?|halbe?n?)';

/** Rezepte auf Deutsch. */
export const DE: RecipeWords = {
  short: /(?:^|[\s(\d])(?:min|std|stk?|ca|geh|gestr|z\.\s?b|d\.\s?h)\.$/iu,
  common: anywhere(
    'und|der|die|das|den|mit|bei|im|in den|zum|für|mehl|zucker|salz|wasser|milch|teig|minuten|stunden?|stück|lassen|dann|nach',
  ),
  hour: ahead('h|std\\.?|stunden?'),
  minute: ahead("min\\.?|minuten?|['′’]"),
  day: ahead('tage?n?'),
  overnight: anywhere('über nacht|die nacht über|übernacht'),
  upTo: /^\s*(?:[-–—]|(?:bis(?: zu)?|oder)(?![\p{L}]))\s*/iu,
  degrees: /^\s*(?:(?:°|º)\s*([CF])?|grad(?: celsius| c)?|([CF])(?![\p{L}\d]))(?![\p{L}\d])/iu,
  gas: anywhere('gas(?:\\s*stufe)?\\s*(\\d)'),
  fan: somewhere('umluft|heißluft'),
  headings: [
    ['stiff levain', somewhere('fester sauerteig|lievito madre')],
    ['levain', somewhere('sauerteig|anstellgut')],
    ['poolish', somewhere('poolish')],
    ['sponge', somewhere('vorteig|dampfl|hefestück')],
    ['autolyse', somewhere('autolyse(?:teig)?')],
    [
      'roll-in',
      somewhere('zum (?:ein)?tourieren|tourier(?:butter|en)?|(?:zum )?einschlagen|butterplatte|ziehbutter'),
    ],
    ['filling', somewhere('füllung|pudding|creme|vanillecreme|remonce|belag')],
    ['finish', somewhere('glasur|guss|zum bestreichen|streiche|dekor|fertigstellen')],
    ['dough', somewhere('(?:grund|haupt|hefe|plunder)?teig')],
    ['method', somewhere('zubereitung|anleitung|arbeitsschritte|herstellung|so geht.s')],
    ['ingredients', somewhere('zutaten')],
  ],
  rollIn: somewhere(
    '(?:zum )?(?:ein)?tourieren|tourierbutter|ziehbutter|(?:zum )?einschlagen|butterplatte|zum einziehen|gerieben|platte',
  ),
  finishing: somewhere(
    'zum (?:bestreichen|bestreuen|bestäuben|garnieren|glasieren)|für (?:die streiche|den guss)',
  ),
  beside: anywhere(
    'kalte?[rsn]?|zerlassene?[rsn]?|zerlassen|gekühlt|gut|zerbröckelt|gewürfelt|eiskalte?[rsn]?|handwarme?[rsn]?|bio|ca\\.?|raumtemperatur|zimmertemperatur|feine?[rsn]?|arbeitsfläche|weiche?[rsn]?|lauwarme?[rsn]?|warme?[rsn]?|flüssige?[rsn]?|zimmerwarme?[rsn]?|gefrorene?[rsn]?|geriebene?[rsn]?|gerieben|feine?[rsn]?|zum|für|den|das|die|der|tourieren|einschlagen|einziehen|butterplatte|die butterplatte|ausrollen|bestreichen|bestäuben|etwas|mehr|und|größe|m|l|s|gemahlene?[rsn]?|geschmolzene?[rsn]?|würfel|päckchen|große?|kleine?|frische?[rsn]?|ganze?[rsn]?|reife?[rsn]?|aktive?[rsn]?|platte|in|stücken',
  ),
  acts: [
    [
      'butter',
      anywhere(
        'butter[^.;,]*?zu einer? (?:platte|ziegel|block)[^.;,]*?(?:klopfen|rollen|formen|schlagen)|butterplatte (?:klopfen|herstellen|formen|ausrollen)',
      ),
    ],
    [
      'lock-in',
      anywhere(
        '(?:butter[^.;,]{0,30}?)?einschlagen|eingeschlagen|einziehen|(?:teig)?(?:ecken|seiten|lappen)[^.;,]*(?:darüber|über die butter)\\p{L}*',
      ),
    ],
    ['turn', anywhere(`(?:(?<n>${COUNT})\\s+)?${KIND}(?=\\s+und\\s+(?:${COUNT}\\s+)?${KIND}\\s+tour)`)],
    [
      'turn',
      anywhere(
        '(?:in (?:drei|vier) (?:lagen|schichten|teile[n]?)|dreifach|vierfach)[^.;,]*?(?:legen|zusammenlegen|falten|zusammenfalten|schlagen)',
      ),
    ],
    ['turn', anywhere(`(?:(?<n>${COUNT})\\s+)?(?:weitere\\s+)?${KIND}\\s+tour(?:en)?`)],
    ['turn', anywhere(`(?:noch\\s+)?(?<n>${TIMES})\\s+(?:einfach|doppelt)\\s+(?:ein)?tourieren`)],
    ['turn', anywhere(`(?<n>${TIMES})\\s+(?:einfach|doppelt)`)],
    ['turn', anywhere('(?:einfach|doppelt)\\s+(?:ein)?tourieren')],
    ['turn', anywhere('(?:erste|zweite|dritte|vierte|[1-4]\\.)\\s+(?:einfache\\s+|doppelte\\s+)?tour')],
    ['turn', anywhere(`(?<n>${COUNT})\\s+touren`)],
    ['fold', anywhere('aufziehen|dehnen und falten|gefaltet')],
    ['thaw', anywhere('auftauen|tauen')],
    ['freeze', anywhere('einfrieren|eingefroren|frosten|schockfrosten')],
    ['freezer', anywhere('froster|gefrierschrank|gefrierfach|tiefkühler')],
    ['retard', anywhere('kühlgare|gärverzögerung')],
    [
      'cold',
      anywhere('kühlschrank|kühlung|kühlraum|kühlen|kalt ?stellen|kühl ?stellen|in die kälte|gekühlt'),
    ],
    ['bulk', anywhere('stockgare|erste gare')],
    ['degas', anywhere('entgasen|zusammenschlagen|ausstoßen|durchstoßen')],
    ['proof', anywhere('stückgare|endgare')],
    ['rise', anywhere('gehen|aufgehen|anspringen|akklimatisieren|angehen|gare|reifen|verdoppel\\w+')],
    ['rest', anywhere('ruhen|ruhe|ruhezeit|teigruhe|stehen|entspannen|rasten|ballengare|quellen')],
    ['mix', anywhere('mischen|vermischen|vermengen|verrühren|anrühren|rühren|mischzeit')],
    ['knead', anywhere('kneten|verkneten|auskneten|knetzeit')],
    ['divide', anywhere('teilen|abwiegen|portionieren')],
    ['sheet', anywhere('ausrollen|ausgerollt|auf [\\d,.]+ ?mm(?: dick)?')],
    ['cut', anywhere('schneiden|ausschneiden|geschnitten|ausstechen')],
    [
      'shape',
      anywhere(
        'formen|zu (?:windmühlen|taschen|hörnchen|knoten|zöpfen|brezeln)|aufrollen|aufgerollt|flechten|wickeln|einrollen|aufarbeiten|ecken[^.;,]*falten|schlingen',
      ),
    ],
    [
      'fill',
      anywhere(
        'in die mitte (?:setzen|geben)|mit der füllung (?:bestreichen|füllen)|(?:pudding|creme|füllung|konfitüre)[^.;,]*?(?:geben|daraufgeben|setzen|verteilen|verstreichen|aufspritzen)|füllen',
      ),
    ],
    ['wash', anywhere('bestreichen|abstreichen|eistreiche|abglänzen')],
    ['finish', anywhere('aprikotieren|glasieren|bestäuben|abzuckern|zuckerguss')],
    ['preheat', anywhere('(?:ofen|backofen)[^.;,]*?vorheizen|vorheizen')],
    ['bake', anywhere('backen|gebacken|abbacken|im vorgeheizten ofen|backofen')],
    ['cool', anywhere('abkühlen|auskühlen')],
    ['times', anywhere('(?:insgesamt |das ganze )(?<n>dreimal|viermal|zweimal)')],
    ['repeat', anywhere(`(?:noch\\s+)?(?<n>${TIMES})\\s+wiederholen|wiederholen`)],
  ],
  folds: [
    ['book', somewhere('doppelte?n?|doppelt|vier|vierfach')],
    ['half', somewhere('halbe?n?')],
    ['letter', somewhere('einfache?n?|einfach|drei|dreifach')],
  ],
  lockIns: [
    ['envelope', somewhere('briefumschlag|ecken der butter|diagonal')],
    ['cross', somewhere('lappen|kreuz')],
    ['two-thirds', somewhere('zwei drittel')],
    ['middle', somewhere('zur mitte|von beiden seiten')],
    ['half-lock', somewhere('eine hälfte|hälfte des teigs')],
  ],
  times: [
    [1, somewhere('eine?n?|einmal|1|1\\s?(?:x|×|mal)')],
    [2, somewhere('zwei|zweimal|2|2\\s?(?:x|×|mal)')],
    [3, somewhere('drei|dreimal|3|3\\s?(?:x|×|mal)')],
    [4, somewhere('vier|viermal|4|4\\s?(?:x|×|mal)')],
    [5, somewhere('fünf|5')],
    [6, somewhere('sechs|6')],
  ],
  each: somewhere('nach jeder(?: tour)?|jeweils|mit je|je(?=\\s+\\d)|dazwischen|zwischen (?:den|jeder)'),
  between: somewhere('dazwischen|zwischen (?:den|jeder)'),
  last: somewhere('nach der letzten(?: tour)?|zuletzt|danach|am schluss'),
  inARow: somewhere('hintereinander|direkt nacheinander|ohne ruhe|in einem zug'),
  room: somewhere('(?:bei )?(?:zimmer|raum)temperatur'),
  doughTemperature: /(?<!\p{L})(?:t\.?t\.?|teigtemperatur)\s*(?:of|von|de|:|=|~|ca\.)?\s*$/iu,
  slow: somewhere('langsam|1\\. gang|erster gang'),
  fast: somewhere('schnell|2\\. gang|zweiter gang'),
  steam: somewhere('dampf|schwaden'),
  vent: somewhere('zug|zug offen'),
  filling: somewhere('füllung|pudding|creme|vanillecreme|konfitüre|mohnmasse'),
  cook: somewhere('kochen|aufkochen|köcheln|erhitzen'),
  preferments: [
    ['levain', somewhere('sauerteig[^.;]*(?:ansetzen|auffrischen|füttern|anrühren)')],
    ['sponge', somewhere('(?:vorteig|poolish)[^.;]*(?:anrühren|ansetzen|mischen|rühren)')],
  ],
  shapes: [
    ['triangle', somewhere('dreiecke?n?')],
    ['slice', somewhere('scheiben|schnecken')],
    ['square', somewhere('quadrate?n?')],
    ['rectangle', somewhere('rechtecke?n?')],
    ['strip', somewhere('streifen')],
  ],
  tins: [
    ['holes', anywhere('muffinblech(?:e|s)?|muffinform(?:en)?')],
    ['loaf', anywhere('kasten(?:back)?form(?:en)?|kastenbackformen|toastbrotform(?:en)?')],
    [
      'round',
      anywhere(
        'springform(?:en)?|gugelhupfform(?:en)?|kranzform(?:en)?|runde[nr]? (?:back)?form(?:en)?|briocheförmchen|briocheform(?:en)?',
      ),
    ],
    ['pan', anywhere('auflaufform(?:en)?|backform(?:en)?|(?:gebutterten?|gefetteten?|eckigen?) form(?:en)?')],
  ],
  makes:
    /(?:ergibt|für|reicht für|x)\s*(?:etwa|ca\.?)?\s*(\d{1,4})(?!\s*(?:g|kg|ml|min|h|cm|mm|%|[.,]\d))(?![\p{L}\d])|(\d{1,4})\s*(?:stück|stk\.?|st\.|hörnchen|kipferl|brötchen)(?![\p{L}])/iu,
  gives: /(?<!\p{L})ergibt\s+(?:etwa\s+|ca\.\s+)?(\d{1,4})|(?<![\d.,])(\d{1,4})\s+Stück(?!\p{L})/iu,
  pieces:
    /(?<![\d.,/])(\d{1,4})(?![.,]\d|\s*(?:%|°|(?:cm|mm|inch(?:es)?|in|min|h|g|kg)(?!\p{L})|x\s*\d+\s*(?:cm|mm)))(?:\s*x\s*(\d+)\s*g)?\s*(?:\p{L}+ ){0,1}?(?:dreiecke|rechtecke|quadrate|scheiben|stücke?n?|hörnchen|kipferl|brötchen|teile|kugeln|streifen|weckchen|knoten|schnecken)/iu,
  then: /[,;–—]\s+|\s+(?:und )?(?:dann|danach|anschließend)\s+|\s+und\s+/giu,
};
