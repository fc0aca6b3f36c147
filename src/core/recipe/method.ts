import { coded } from '../codes/coded';
import type { LockIn } from '../lamination/stack';
import type { StepKind } from '../process/route';
import type { Clause, Cue, Sentence } from './clauses';
import type { Duration } from './durations';
import type { Ask, Mark, Range, RecipeBake, Span } from './reading';
import type { Temperature } from './temperatures';
import type { RunStep } from './turn-runs';
import { PHASE_AFTER, type Phase, RETARD_FROM, waitKind, WAITS } from './waits';
import type { Act, RecipeWords } from './words/recipe-words';

/** What a method comes to, sentence by sentence. */
export interface MethodReading {
  steps: RunStep[];
  bake: RecipeBake[];
  lockIn: LockIn | null;
  doughCelsius: number | null;
  marks: Mark[];
  asks: Ask[];
}

/** Steps of hands that a word names by itself. */
const HANDS: Partial<Record<Act, StepKind>> = {
  ...{ mix: 'mix', knead: 'knead', butter: 'butter', 'lock-in': 'lock-in', degas: 'degas', fold: 'fold' },
  ...{ divide: 'divide', sheet: 'sheet', shape: 'shape', fill: 'filling', wash: 'wash', finish: 'finish' },
};
/** Of these, the minutes are the baker's own. */
const TIMED: readonly Act[] = ['mix', 'knead', 'bake', 'preheat'];
const OVEN_FROM = 100;
/** No baker's oven is hotter, °C. */
const OVEN_MOST = 300;
/** Yeast in a laminated dough is not proofed warmer, °C. */
const PROOF_MOST = 35;

interface Told {
  cue: Cue | null;
  durations: Duration[];
  temperatures: Temperature[];
}

/** Reads a method: what is done in order, each step with its place in the text. */
export function readMethod(text: string, sentences: readonly Sentence[], words: RecipeWords): MethodReading {
  const reader = new MethodReader(text, words);
  for (const sentence of sentences) reader.read(sentence);
  return reader.result();
}

/** Where the work stands while it is read: the same word means another thing before and after shaping. */
class MethodReader {
  private readonly out: MethodReading = {
    steps: [],
    bake: [],
    lockIn: null,
    doughCelsius: null,
    marks: [],
    asks: [],
  };
  private phase: Phase = 'start';
  private making: 'levain' | 'sponge' | null = null;
  private preferments = new Set<string>();
  private oven: Temperature | null = null;

  constructor(
    private readonly text: string,
    private readonly words: RecipeWords,
  ) {}

  result(): MethodReading {
    const { bake } = this.out;
    const oven = this.oven?.celsius[0] ?? null;
    return { ...this.out, bake: bake.map((one) => (one.celsius === null ? { ...one, celsius: oven } : one)) };
  }

  read(sentence: Sentence): void {
    const said = this.text.slice(sentence.from, sentence.to);
    const isOven = sentence.clauses.some(({ temperatures }) => temperatures.some(isForOven));
    if (this.words.filling.test(said) && this.words.cook.test(said) && !isOven) {
      this.push({ kind: 'filling', from: sentence.from, to: sentence.to });
      return this.mark(sentence, 'step');
    }
    this.beginPreferment(sentence, said);
    for (const clause of sentence.clauses) this.readClause(clause, sentence);
  }

  private beginPreferment(sentence: Sentence, said: string): void {
    if (this.phase !== 'start') return;
    const found = this.words.preferments.find(([, expression]) => expression.test(said))?.[0];
    if (!found || this.preferments.has(found)) return;
    this.preferments.add(found);
    this.making = found;
    this.push({ kind: found, from: sentence.from, to: sentence.to });
  }

  private readClause(clause: Clause, sentence: Sentence): void {
    for (const told of toldIn(this.withoutDoughs(clause))) {
      for (const temperature of told.temperatures)
        if (temperature.isUnclear) this.ask(temperature, 'recipe.valuesDisagree');
      if (this.take(told, clause, sentence)) this.mark(clause, markOf(told, this.phase));
    }
  }

  /** A clause without the temperature that the dough is to have after mixing. */
  private withoutDoughs(clause: Clause): Clause {
    const { from } = clause;
    const isDoughs = (one: Temperature) => this.words.doughTemperature.test(this.text.slice(from, one.from));
    const own = clause.temperatures.find(isDoughs);
    if (!own) return clause;
    this.out.doughCelsius ??= rounded(own.celsius[0]);
    this.mark(own, 'step');
    return { ...clause, temperatures: clause.temperatures.filter((one) => one !== own) };
  }

  /** Takes what a cue says into the steps; whether it meant anything. */
  private take(told: Told, clause: Clause, sentence: Sentence): boolean {
    const { cue } = told;
    if (cue === null) return this.takeImplied(told, clause);
    if (WAITS.has(cue.act)) return this.takeWait(told, clause);
    if (cue.act === 'preheat') {
      this.oven = told.temperatures[0] ?? this.oven;
      return told.temperatures.length > 0;
    }
    if (cue.act === 'bake') return this.takeBake(told, clause);
    if (this.making !== null) return cue.act === 'mix' || cue.act === 'knead';
    if (cue.act === 'repeat') {
      // "Repeat with a letter fold" is that fold.
      if (clause.cues.some(({ act, fold }) => act === 'turn' && fold !== undefined)) return true;
      this.push({ kind: 'turn', again: cue.times ?? 1, ...spanOf(cue) });
      return true;
    }
    if (cue.act === 'times') {
      // "Fold in three, 30 min in the fridge, three times": so often in all.
      if (clause.cues.length > 1 || (cue.times ?? 1) < 2) return false;
      this.push({ kind: 'turn', again: (cue.times ?? 1) - 1, ...spanOf(cue) });
      return true;
    }
    if (cue.act === 'turn') {
      const last = this.out.steps.findLast(({ kind }) => kind === 'turn')?.fold;
      const isAgain = cue.isMore === true && last !== undefined;
      if (cue.fold === undefined && !isAgain) this.ask(cue, 'recipe.whichFold');
      const { isEach, isBetween } = sentence;
      this.push({
        kind: 'turn',
        fold: cue.fold ?? (isAgain ? last : 'letter'),
        times: cue.times ?? 1,
        isEach,
        isBetween,
        ...spanOf(cue),
      });
      this.phase = 'laminating';
      return true;
    }
    if (cue.act === 'lock-in') {
      const said = this.text.slice(sentence.from, sentence.to);
      this.out.lockIn ??= this.words.lockIns.find(([, expression]) => expression.test(said))?.[0] ?? null;
    }
    if (cue.act === 'cut') {
      this.phase = 'cut';
      return true;
    }
    const kind = this.handsOf(cue.act, clause);
    if (!kind) return false;
    const [first, ...more] = told.durations;
    this.push({ kind, ...spanOf(clause), ...minutesOf(first) });
    for (const next of more) this.push({ kind: 'knead', ...spanOf(next), minutes: next.minutes });
    this.phase = PHASE_AFTER[kind] ?? this.phase;
    return true;
  }

  private handsOf(act: Act, { isSlow, isFast, durations }: Clause): StepKind | null {
    if (act === 'wash' && this.phase === 'baked') return 'finish';
    if ((act === 'mix' || act === 'knead') && durations.length > 0) {
      if (isSlow) return 'mix';
      if (isFast) return 'knead';
    }
    if ((act === 'mix' || act === 'knead') && this.phase !== 'start' && this.phase !== 'dough') return null;
    return HANDS[act] ?? null;
  }

  private takeWait({ cue, durations, temperatures }: Told, clause: Clause): boolean {
    // "Overnight, 12 to 16 h": the hours that are said count.
    const duration = durations.find(({ isUsual }) => !isUsual) ?? durations[0];
    const temperature = temperatures.find((one) => !isForOven(one));
    const acts = clause.cues.filter(({ act }) => WAITS.has(act)).map(({ act }) => act);
    const hasHands = clause.cues.some(({ act }) => !WAITS.has(act));
    const found = waitKind({
      ...{ acts, phase: this.phase, making: this.making, hasHands, isRoom: clause.isRoom },
      ...{ minutes: duration?.minutes ?? null, celsius: temperature?.celsius[0] ?? null },
    });
    if (!found || !cue) return false;
    // The butter is chilled, and not the dough.
    if (!duration && found.isCold && this.out.steps.at(-1)?.kind === 'butter') return false;
    const { kind, isCold } = found;
    if (this.making !== null && kind === this.making) this.endPreferment({ duration, temperature });
    else
      this.push({
        ...{ kind, ...spanOf(clause), ...minutesOf(duration), ...celsiusOf(temperature) },
        ...(isCold ? { isCold } : {}),
        ...(clause.isLast ? { isLast: true } : {}),
      });
    if (temperature && kind === 'proof' && temperature.celsius[1] > PROOF_MOST)
      this.ask(temperature, 'recipe.proofTooWarm');
    this.phase = PHASE_AFTER[kind] ?? this.phase;
    return true;
  }

  private endPreferment({ duration, temperature }: { duration?: Duration; temperature?: Temperature }): void {
    const step = this.out.steps.findLast(({ kind }) => kind === this.making);
    if (step) Object.assign(step, minutesOf(duration), celsiusOf(temperature));
    this.making = null;
  }

  private takeBake({ durations, temperatures }: Told, clause: Clause): boolean {
    const [temperature] = temperatures;
    const [duration] = durations;
    if (!duration && !temperature && this.out.steps.at(-1)?.kind === 'bake') return true;
    return this.addBake(clause, { temperature, duration });
  }

  private addBake(
    clause: Clause,
    { temperature, duration }: { temperature?: Temperature; duration?: Duration },
  ): boolean {
    const isTooHot = temperature !== undefined && temperature.celsius[0] > OVEN_MOST;
    if (isTooHot) this.ask(temperature, 'recipe.ovenTooHot');
    const said = this.text.slice(clause.from, clause.to);
    const open = this.out.bake.at(-1);
    const isOpen =
      this.out.steps.at(-1)?.kind === 'bake' && open && (open.celsius === null || open.minutes === null);
    const phase: RecipeBake = {
      ...spanOf(clause),
      // What the oven was heated to, unless the bake says otherwise.
      celsius:
        temperature && !isTooHot
          ? Math.round(temperature.celsius[0])
          : duration && !isTooHot && this.oven
            ? Math.round(this.oven.celsius[0])
            : null,
      minutes: duration?.minutes ?? null,
      ...(temperature?.isFan ? { isFan: true } : {}),
      ...(this.words.steam.test(said) ? { steam: true } : {}),
      ...(this.words.vent.test(said) ? { vent: true } : {}),
    };
    if (
      isOpen &&
      (open.minutes === null || duration === undefined) &&
      (open.celsius === null || temperature === undefined)
    ) {
      open.celsius ??= phase.celsius;
      open.minutes ??= phase.minutes;
      Object.assign(this.out.steps.at(-1) ?? {}, minutesOf(duration));
    } else {
      if (!isTooHot || duration) this.out.bake.push(phase);
      this.push({ kind: 'bake', ...spanOf(clause), ...minutesOf(duration) });
    }
    this.phase = 'baked';
    return true;
  }

  /** A time or temperature without a word for what is done. */
  private takeImplied({ durations, temperatures }: Told, clause: Clause): boolean {
    const [duration] = durations;
    const [temperature] = temperatures;
    const last = this.out.steps.at(-1);
    if (temperature && isForOven(temperature)) return this.addBake(clause, { temperature, duration });
    if (duration && (clause.isFast || clause.isSlow) && !temperature) {
      this.push({ kind: clause.isFast ? 'knead' : 'mix', ...spanOf(clause), minutes: duration.minutes });
      return true;
    }
    if (duration && clause.isLast) {
      this.push({
        kind: 'rest',
        ...spanOf(clause),
        minutes: duration.minutes,
        isLast: true,
        ...celsiusOf(temperature),
      });
      return true;
    }
    if (
      last &&
      last.kind !== 'turn' &&
      last.again === undefined &&
      !last.minutes &&
      duration &&
      !isHandsWithoutTime(last.kind)
    ) {
      Object.assign(last, minutesOf(duration), celsiusOf(temperature));
      if (last.kind === 'rest' && last.isCold && this.phase === 'dough' && duration.minutes[0] >= RETARD_FROM)
        last.kind = 'retard';
      if (last.kind === 'bake') Object.assign(this.out.bake.at(-1) ?? {}, { minutes: duration.minutes });
      if (last.kind === this.making) this.making = null;
      return true;
    }
    if (!duration) {
      if (!temperature || !last?.minutes || last.celsius) return false;
      Object.assign(last, celsiusOf(temperature));
      return true;
    }
    const found = waitKind({
      ...{ acts: [], phase: this.phase, making: this.making, hasHands: false, isRoom: clause.isRoom },
      ...{ minutes: duration.minutes, celsius: temperature?.celsius[0] ?? null },
    });
    if (!found) return false;
    this.push({
      ...{ kind: found.kind, ...spanOf(clause), minutes: duration.minutes, ...celsiusOf(temperature) },
      ...(found.isCold ? { isCold: true } : {}),
    });
    return true;
  }

  /** Adds a step; what is said of the same work twice is one step. */
  private push(step: RunStep): void {
    const last = this.out.steps.at(-1);
    const isSame = last?.kind === step.kind && step.kind !== 'turn' && last.kind !== 'rest';
    if (last && isSame && (!last.minutes || !step.minutes) && step.kind !== 'bake') {
      Object.assign(last, { ...step, from: last.from, minutes: step.minutes ?? last.minutes });
      if (!last.minutes) delete last.minutes;
    } else this.out.steps.push(step);
  }

  private mark(span: Span, as: Mark['as']): void {
    this.out.marks.push({ ...spanOf(span), as });
  }

  private ask(
    span: Span,
    code: 'recipe.valuesDisagree' | 'recipe.whichFold' | 'recipe.proofTooWarm' | 'recipe.ovenTooHot',
  ): void {
    this.out.asks.push({ ...spanOf(span), message: coded(code) });
  }
}

const isForOven = ({ celsius }: Temperature) => celsius[0] >= OVEN_FROM;
const spanOf = ({ from, to }: Span): Span => ({ from, to });
const minutesOf = (duration: Duration | undefined): { minutes?: Range } =>
  duration ? { minutes: duration.minutes } : {};
const rounded = (celsius: number) => Math.round(celsius * 10) / 10;
const celsiusOf = (temperature: Temperature | undefined): { celsius?: Range } =>
  temperature ? { celsius: [rounded(temperature.celsius[0]), rounded(temperature.celsius[1])] } : {};
/** Work whose length nobody writes down: a time behind it is of something else. */
const isHandsWithoutTime = (kind: StepKind) =>
  ['lock-in', 'butter', 'sheet', 'shape', 'divide', 'degas', 'fold', 'wash', 'finish', 'filling'].includes(
    kind,
  );

const markOf = ({ cue, temperatures }: Told, phase: Phase): Mark['as'] =>
  cue?.act === 'turn' || cue?.act === 'lock-in' || cue?.act === 'repeat'
    ? 'turn'
    : cue?.act === 'bake' || cue?.act === 'preheat' || (phase === 'baked' && temperatures.some(isForOven))
      ? 'bake'
      : cue?.act === 'cut'
        ? 'pieces'
        : 'step';

/** The cues of a clause, each with the times and temperatures that are said of it; all waits of a clause are one. */
function toldIn({ cues: all, durations, temperatures }: Clause): Told[] {
  // A cold oven with hot water in it is a place to rise.
  const isRise =
    all.some(({ act }) => WAITS.has(act)) && temperatures.length > 0 && !temperatures.some(isForOven);
  const cues = isRise ? all.filter(({ act }) => act !== 'bake') : all;
  const waits = cues.filter(({ act }) => WAITS.has(act));
  const heads = cues.filter((cue) => !WAITS.has(cue.act) || cue === waits[0]);
  if (heads.length === 0)
    return durations.length + temperatures.length > 0 ? [{ cue: null, durations, temperatures }] : [];
  const told = heads.map((cue): Told => ({ cue, durations: [], temperatures: [] }));
  const ownerOf = (span: Span): Told | undefined => {
    const before = cues.filter(({ from }) => from < span.from).at(-1) ?? cues[0];
    const own = before && WAITS.has(before.act) ? waits[0] : before;
    const isTimed = own && (TIMED.includes(own.act) || WAITS.has(own.act));
    const other = isTimed ? own : (waits[0] ?? cues.find(({ act }) => TIMED.includes(act)));
    return told.find(({ cue }) => cue === other);
  };
  const loose: Told = { cue: null, durations: [], temperatures: [] };
  for (const duration of durations) (ownerOf(duration) ?? loose).durations.push(duration);
  for (const temperature of temperatures) (ownerOf(temperature) ?? loose).temperatures.push(temperature);
  return loose.durations.length + loose.temperatures.length > 0 ? [...told, loose] : told;
}
