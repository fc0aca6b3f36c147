import type { Fold } from '../lamination/stack';
import { type Duration, durationsIn } from './durations';
import type { Span } from './reading';
import { overlap, split } from './spans';
import { type Temperature, temperaturesIn } from './temperatures';
import type { Act, RecipeWords } from './words/recipe-words';

/** A word of a method that says what is done. */
export interface Cue extends Span {
  act: Act;
  /** Of turns: how many, where that is said, and which. */
  times?: number;
  fold?: Fold;
  /** One more of the kind before. */
  isMore?: true;
}

/** A part of a sentence with what is done in it, for how long and how warm. */
export interface Clause extends Span {
  cues: Cue[];
  durations: Duration[];
  temperatures: Temperature[];
  isLast: boolean;
  /** It stands at room temperature, though no degrees are given. */
  isRoom: boolean;
  isSlow: boolean;
  isFast: boolean;
}

/** What a sentence says of all rests between its turns. */
export interface TurnTalk {
  isEach: boolean;
  /** Between turns, and none after the last. */
  isBetween: boolean;
}

export interface Sentence extends Span, TurnTalk {
  clauses: Clause[];
}

/** A sentence taken apart. */
export function sentenceOf(text: string, span: Span, words: RecipeWords): Sentence {
  const body = text.slice(span.from, span.to);
  const at = <T extends Span>(part: T): T => ({
    ...part,
    from: part.from + span.from,
    to: part.to + span.from,
  });
  const durations = durationsIn(body, words).map(at);
  // The 30 of "1 h 30 at 26 °C" is no temperature.
  const untimed = durations.reduce(
    (left, { from, to }) => blanked(left, from - span.from, to - span.from),
    body,
  );
  const temperatures = temperaturesIn(untimed, words).map(at);
  const cues = cuesIn(body, words).map(at);
  const whole = [...durations, ...temperatures, ...cues];
  const clauses = joined(split(text, span, words.then), whole).map((clause): Clause => {
    const said = text.slice(clause.from, clause.to);
    const within = <T extends Span>(all: T[]) =>
      all.filter((one) => one.from >= clause.from && one.from < clause.to);
    return {
      ...clause,
      cues: within(cues),
      durations: within(durations),
      temperatures: within(temperatures),
      isLast: words.last.test(said),
      isRoom: words.room.test(said),
      isSlow: words.slow.test(said),
      isFast: words.fast.test(said),
    };
  });
  const lastHasTime = clauses.some(({ isLast, durations: own }) => isLast && own.length > 0);
  return {
    ...{ ...span, clauses },
    isEach: words.each.test(body) && !words.inARow.test(body),
    isBetween: words.between.test(body) && !(words.last.test(body) && !lastHasTime),
  };
}

const blanked = (text: string, from: number, to: number) =>
  text.slice(0, from) + '_'.repeat(to - from) + text.slice(to);

/** Clauses between which no time, temperature or cue is cut in two. */
function joined(clauses: Span[], whole: readonly Span[]): Span[] {
  return clauses.reduce<Span[]>((done, clause) => {
    const before = done.at(-1);
    const isCut =
      before &&
      whole.some((one) => overlap(one, { from: before.to - 1, to: before.to }) && one.to > clause.from);
    if (before && isCut) return [...done.slice(0, -1), { from: before.from, to: clause.to }];
    return [...done, clause];
  }, []);
}

/** Words that say what is done, in order; of two that overlap, the one that the language names first. */
export function cuesIn(text: string, words: RecipeWords): Cue[] {
  const found: Cue[] = [];
  for (const [act, expression] of words.acts) {
    for (const match of text.matchAll(expression)) {
      const cue = { act, from: match.index, to: match.index + match[0].length };
      if (found.some((other) => overlap(other, cue))) continue;
      found.push(
        act === 'turn' || act === 'repeat' || act === 'times'
          ? { ...cue, ...countedIn(act, match, { text, words }) }
          : cue,
      );
    }
  }
  return mergedTurns(
    text,
    found.sort((a, b) => a.from - b.from),
  );
}

const MORE = /(?<!\p{L})(?:more|further|another|again|noch|weitere|autres?|encore)(?!\p{L})/iu;

/** How often, and which fold, as said in a match or right behind it. */
function countedIn(
  act: Act,
  match: RegExpExecArray,
  { text, words }: { text: string; words: RecipeWords },
): Pick<Cue, 'times' | 'fold' | 'isMore'> {
  const fold = words.folds.find(([, expression]) => expression.test(match[0]))?.[0];
  const behind = text.slice(match.index + match[0].length).split(/[,.;]/u)[0] ?? '';
  const counted = match.groups?.n ?? (act === 'repeat' ? behind : undefined);
  const times =
    counted === undefined ? undefined : words.times.find(([, expression]) => expression.test(counted))?.[0];
  const isMore = MORE.test(match[0]);
  return {
    ...(times === undefined ? {} : { times }),
    ...(fold === undefined ? {} : { fold }),
    ...(isMore ? { isMore } : {}),
  };
}

/** "Two turns (letter folds)", "1st turn: fold in three": one turn, said twice. */
function mergedTurns(text: string, cues: readonly Cue[]): Cue[] {
  return cues.reduce<Cue[]>((done, cue) => {
    const before = done.at(-1);
    const between = before && text.slice(before.to, cue.from);
    const isSame =
      before?.act === 'turn' &&
      cue.act === 'turn' &&
      (before.fold === undefined || cue.fold === undefined
        ? /^\s*[:(–-]\s*$/u.test(between ?? '')
        : before.fold === cue.fold && /^\s*\(\s*$/u.test(between ?? ''));
    return isSame
      ? [
          ...done.slice(0, -1),
          {
            ...cue,
            ...before,
            to: cue.to,
            ...((before.fold ?? cue.fold) ? { fold: before.fold ?? cue.fold } : {}),
          },
        ]
      : [...done, cue];
  }, []);
}
