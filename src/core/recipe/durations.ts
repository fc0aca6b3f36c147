import { headQuantity } from '../units/number';
import type { Range, Span } from './reading';
import type { RecipeWords } from './words/recipe-words';

/** A length of time in a text. */
export interface Duration extends Span {
  minutes: Range;
  /** Said as a word, whose hours are usual ones. */
  isUsual?: true;
}

/** What "overnight" is: from the evening's last hands to the morning's first, minutes. */
const OVERNIGHT: Range = [480, 720];
/** Where a number, in digits or words, may begin. */
const WORD_START = /(?<![\p{L}\d.,/])[\p{L}\d½¼¾⅓⅔]/gu;

/**
 * Every length of time in a text: `45 min`, `1 h 30`, `2-2.5 h`, `an hour and a half`, `eine Dreiviertelstunde`, `une
 * demi-heure`, `overnight`.
 */
export function durationsIn(text: string, words: RecipeWords): Duration[] {
  const found: Duration[] = [...text.matchAll(words.overnight)].map(({ 0: match, index }) => ({
    from: index,
    to: index + match.length,
    minutes: OVERNIGHT,
    isUsual: true,
  }));
  for (const { index } of text.matchAll(WORD_START)) {
    if (found.some(({ from, to }) => index >= from && index < to)) continue;
    const one = durationAt(text, index, words);
    if (one) found.push(one);
  }
  return found.sort((a, b) => a.from - b.from);
}

/** "Another hour" is one. */
const ANOTHER = /^(?:another|a further|noch eine|eine weitere|encore une)(?=\s+\p{L})/iu;

function durationAt(text: string, from: number, words: RecipeWords): Duration | null {
  const body = text.slice(from);
  const another = ANOTHER.exec(body);
  const low = another ? { value: 1, rest: body.slice(another[0].length) } : headQuantity(body);
  if (!low) return null;
  const lowUnit = unitAt(low.rest, words);
  const upTo = words.upTo.exec(lowUnit?.rest ?? low.rest);
  const high = upTo && headQuantity((lowUnit?.rest ?? low.rest).slice(upTo[0].length));
  const highUnit = high && unitAt(high.rest, words);
  if (high && highUnit) {
    const more = isHour(highUnit) ? minutesBehind(highUnit.rest, words) : null;
    return {
      from,
      to: text.length - (more?.rest ?? highUnit.rest).length,
      minutes: [
        low.value * (lowUnit ?? highUnit).minutes,
        high.value * highUnit.minutes + (more?.minutes ?? 0),
      ],
    };
  }
  if (!lowUnit) return null;
  const more = isHour(lowUnit) ? minutesBehind(lowUnit.rest, words) : null;
  const minutes = low.value * lowUnit.minutes + (more?.minutes ?? 0);
  const rest = more?.rest ?? lowUnit.rest;
  const upToAll = more && words.upTo.exec(rest);
  const highAll = upToAll && durationAt(rest.slice(upToAll[0].length), 0, words);
  const end = highAll ? rest.slice(upToAll[0].length + highAll.to) : rest;
  return { from, to: text.length - end.length, minutes: [minutes, highAll ? highAll.minutes[1] : minutes] };
}

interface TimeUnit {
  minutes: number;
  rest: string;
}

const isHour = ({ minutes }: TimeUnit) => minutes === 60;

/** A unit of time at the head of a text; between it and its number there may be "of an". */
function unitAt(text: string, { minute, hour, day }: RecipeWords): TimeUnit | null {
  const body = text.replace(/^(?:\s+of)?\s+an?(?=\s)/iu, '');
  for (const [unit, minutes] of [[minute, 1] as const, [hour, 60] as const, [day, 1440] as const]) {
    const match = unit.exec(body);
    if (match) return { minutes, rest: body.slice(match[0].length) };
  }
  return null;
}

const HALF_MORE = /^\s*(?:and a half|und eine halbe|et demie?)(?![\p{L}])/iu;
const QUARTER_MORE = /^\s*(?:and a quarter|et quart)(?![\p{L}])/iu;
const MINUTES_MORE =
  /^\s*(?:(?:and|und|et)\s+)?(\d{1,2})(?=\s*(?:min|mn|['′’]|[^\d\s%°.,gkmcx/-]|[.,;)]|\s*$|\s+[\p{L}(]))(?!\s*(?:°|[cfg](?!\p{L})|kg|ml|cm|mm|grad|pieces|x))/iu;

/** What is added behind hours: `1 h 30`, `an hour and a half`, `1 h 15 min`. */
function minutesBehind(text: string, words: RecipeWords): TimeUnit | null {
  for (const [more, minutes] of [[HALF_MORE, 30] as const, [QUARTER_MORE, 15] as const]) {
    const match = more.exec(text);
    if (match) return { minutes, rest: text.slice(match[0].length) };
  }
  const match = MINUTES_MORE.exec(text);
  if (!match) return null;
  const rest = text.slice(match[0].length);
  const unit = words.minute.exec(rest);
  // "1 h 30" has its minutes right behind the hours; "1 h and 20" says no unit and is something else.
  if (!unit && !/^\s*\d/.test(match[0])) return null;
  return { minutes: Number(match[1]), rest: unit ? rest.slice(unit[0].length) : rest };
}
