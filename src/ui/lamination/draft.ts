import type { Say } from '@/words/say';
import type { LaminationKind } from '@/core/lamination/kinds';
import { type Beginning, type Scheme, schemeFault, type Turn, USUAL_TEMPER } from '@/core/lamination/scheme';
import { type Fold, LOCK_INS, type LockIn } from '@/core/lamination/stack';
import { LOCK_IN_WORDS } from '@/core/lamination/words';
import { measure, readMeasure, showMeasure } from '@/core/units/measure';
import { parseNumber } from '@/core/units/number';
import type { ReaderUnits } from '@/core/units/reader';

/** A scheme as it is typed: every number a text, so that nothing is lost while it is not one yet. */
export interface SchemeDraft {
  kind: LaminationKind;
  beginning: string;
  /** Thickness of the butter block or its length × width, number of discs, or how often butter goes on. */
  amount: string;
  flour: string;
  turns: TurnDraft[];
  /** Minutes for which a block tempers; kept while another beginning is tried. */
  temper: string;
  lockInMinutes: string;
  perKg: number;
}

export interface TurnDraft {
  fold: Fold;
  mm: string;
  minutes: string;
  rest: string;
}

type Length = ReaderUnits;

/** About how thick a block in a template is, mm, for how long it takes to chill. */
const USUAL_BLOCK = 10;

/** Ways to begin: an enclosed block in each style, butter spread or grated, a stack. */
export const beginnings = (say: Say): { id: string; name: string }[] => [
  ...LOCK_INS.map((style) => ({
    id: style,
    name: say('schemes.block', { style: say.coded(LOCK_IN_WORDS[style]) }),
  })),
  { id: 'spread', name: say('schemes.softButterSpread') },
  { id: 'grated', name: say('schemes.frozenButterGrated') },
  { id: 'discs', name: say('schemes.discsStacked') },
];

/** What the amount beside a beginning is. */
export function amountLabel(say: Say, beginning: string): string {
  if (beginning === 'discs') return 'discs';
  return beginning === 'spread' || beginning === 'grated'
    ? say('schemes.timesButter')
    : say('schemes.thicknessOrSize');
}

/** An amount that fits a beginning that was just chosen. */
export function usualAmount(beginning: string, turns: number, units: Length): string {
  if (beginning === 'discs') return '8';
  if (beginning === 'spread' || beginning === 'grated')
    return String(Math.max(1, Math.min(turns, beginning === 'grated' ? 4 : 1)));
  return thickness(beginning === 'two-thirds' ? 6 : 10, units);
}

const thickness = (mm: number, units: Length) => showMeasure(measure('mm', mm), units);

const across = (cm: number, units: Length) => showMeasure(measure('cm', cm), units);

export function draftOf(scheme: Scheme, units: Length): SchemeDraft {
  const { beginning, flourInFat, turns, kind, lockInMinutes, perKg, temper = USUAL_TEMPER } = scheme;
  return {
    ...{ kind, perKg, lockInMinutes: String(lockInMinutes), temper: String(temper) },
    beginning: beginning.way === 'block' ? beginning.style : beginning.way,
    amount:
      beginning.way === 'block'
        ? beginning.template
          ? `${across(beginning.template.length, units)} × ${across(beginning.template.width, units)}`
          : thickness(beginning.blockMm, units)
        : String(beginning.way === 'discs' ? beginning.discs : beginning.additions),
    flour: String(Math.round(flourInFat * 1000) / 10),
    turns: turns.map(({ fold, mm, minutes, rest }) => ({
      fold,
      mm: thickness(mm, units),
      minutes: String(minutes),
      rest: String(rest),
    })),
  };
}

/** Reads a draft; `fault` is a sentence where it is no scheme that can be worked. */
export function readDraft(
  say: Say,
  draft: SchemeDraft,
  units: Length,
): { scheme: Scheme; fault: null } | { scheme: null; fault: string } {
  const mm = (text: string) => {
    const value = readMeasure('mm', text, units);
    return Number.isNaN(value) ? null : value;
  };
  const number = (text: string) => parseNumber(text.replace(/%|min\b/g, '').trim());
  const turns: Turn[] = [];
  for (const [i, turn] of draft.turns.entries()) {
    const [sheet, minutes, rest] = [mm(turn.mm), number(turn.minutes), number(turn.rest)];
    if (sheet === null) return faulty(say('schemes.turnASheetSThickness', { i: i + 1 }));
    if (minutes === null) return faulty(say('schemes.turnHowManyMinutesOf', { i: i + 1 }));
    if (rest === null) return faulty(say('schemes.turnHowManyMinutesOf2', { i: i + 1 }));
    turns.push({ fold: turn.fold, mm: sheet, minutes, rest });
  }
  const beginning = readBeginning(say, draft, { mm, number, units });
  if (typeof beginning === 'string') return faulty(beginning);
  const [flour, lockInMinutes] = [number(draft.flour), number(draft.lockInMinutes)];
  if (flour === null) return faulty(say('schemes.flourInTheButterIs'));
  if (lockInMinutes === null) return faulty(say('schemes.howManyMinutesDoesThe'));
  const temper = beginning.way === 'block' ? number(draft.temper) : undefined;
  if (temper === null) return faulty(say('schemes.howManyMinutesOfTemper'));
  const scheme: Scheme = {
    ...(temper === undefined || temper === USUAL_TEMPER ? {} : { temper }),
    ...{ kind: draft.kind, beginning, flourInFat: flour / 100, turns, lockInMinutes, perKg: draft.perKg },
  };
  const fault = schemeFault(scheme);
  return fault ? faulty(say.coded(fault)) : { scheme, fault: null };
}

const faulty = (fault: string) => ({ scheme: null, fault });

interface ReadNumbers {
  mm: (text: string) => number | null;
  number: (text: string) => number | null;
  units: Length;
}

function readBeginning(
  say: Say,
  { beginning, amount }: SchemeDraft,
  { mm, number, units }: ReadNumbers,
): Beginning | string {
  if (beginning === 'discs' || beginning === 'spread' || beginning === 'grated') {
    const count = number(amount);
    if (count === null || !Number.isInteger(count))
      return beginning === 'discs' ? say('schemes.howManyDiscsAWhole') : say('schemes.howOftenDoesButterGo');
    return beginning === 'discs' ? { way: 'discs', discs: count } : { way: beginning, additions: count };
  }
  const [long, wide, ...more] = amount.split(/[x×*]/i);
  if (wide !== undefined) {
    // One unit may be written for both.
    const unit = /[a-z"]+\s*$/i.exec(wide)?.[0] ?? '';
    const sides = [/[a-z"]\s*$/i.test(long ?? '') ? (long ?? '') : `${long}${unit}`, wide];
    const [length, width] = sides.map((text) => readMeasure('cm', text, units));
    if (more.length > 0 || !(length && width) || Number.isNaN(length) || Number.isNaN(width))
      return say('schemes.aButterTemplateIsA');
    return { way: 'block', style: beginning as LockIn, blockMm: USUAL_BLOCK, template: { length, width } };
  }
  const blockMm = mm(amount);
  if (blockMm === null) return say('schemes.aButterBlockIsSo');
  return { way: 'block', style: beginning as LockIn, blockMm };
}
