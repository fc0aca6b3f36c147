'use client';

import type { Machine, MachineDetails, MachineKind } from '@/core/bakery/machines';
import { MIXING_WAYS, type MixingWay } from '@/core/heat/friction';
import { readMeasure } from '@/core/units/measure';
import { parseNumber } from '@/core/units/number';
import { METRIC } from '@/core/units/reader';
import type { Say } from '@/words/say';
import type { MessageKey } from '@/words/message';
import { Choice, Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { typed } from '../kit/typed-form';
import { useWords } from '../kit/words';

/** Details of a machine as they are typed. */
export interface DetailTexts {
  mixing: MixingWay | '';
  fan: '' | 'yes' | 'no';
  correction: string;
  width: string;
  length: string;
  leastGap: string;
  reduction: string;
}

/** Details as their fields begin. */
export const beginDetails = ({ details = {} }: Partial<Pick<Machine, 'details'>>): DetailTexts => ({
  ...{ mixing: details.mixing ?? '', correction: typed(details.correction) },
  fan: details.fan === undefined ? '' : details.fan ? 'yes' : 'no',
  ...{ width: typed(details.width, 'cm'), length: typed(details.length, 'cm') },
  leastGap: typed(details.leastGap, 'mm'),
  reduction: typed(details.reduction === undefined ? undefined : details.reduction * 100),
});

/** What each kind is asked for, beside what every machine is. */
const ASKED: Partial<Record<MachineKind, readonly (keyof DetailTexts)[]>> = {
  mixer: ['mixing'],
  oven: ['fan', 'correction'],
  sheeter: ['width', 'length', 'leastGap', 'reduction'],
  bench: ['width', 'length'],
};

/** Details as they go to the house; what cannot be read goes as it was typed, which the house then says. */
export function readDetails(kind: MachineKind, texts: DetailTexts): Record<string, unknown> {
  const number = (text: string, share = 1): number | string => {
    const value = parseNumber(text);
    return value === null ? text : value / share;
  };
  const measured = (of: 'cm' | 'mm', text: string): number | string => {
    const value = readMeasure(of, text, METRIC);
    return Number.isNaN(value) ? text : value;
  };
  const read: Record<keyof DetailTexts, () => unknown> = {
    mixing: () => texts.mixing,
    fan: () => texts.fan === 'yes',
    correction: () => number(texts.correction),
    width: () => measured('cm', texts.width),
    length: () => measured('cm', texts.length),
    leastGap: () => measured('mm', texts.leastGap),
    reduction: () => number(texts.reduction, 100),
  };
  const told = (ASKED[kind] ?? []).filter((name) => texts[name].trim() !== '');
  return Object.fromEntries(told.map((name) => [name, read[name]()]));
}

const MIXING: Record<MixingWay, MessageKey> = {
  ...{ hand: 'house.byHand', planetary: 'house.planetary', spiral: 'house.spiral' },
};

const LABELS = (say: Say) => ({
  ...{ width: say('house.widestSheet'), length: say('house.longestSheet') },
  ...{ leastGap: say('house.smallestGap'), reduction: say('house.mostInAPass') },
  correction: say('house.ovenCorrection'),
});

interface Props {
  kind: MachineKind;
  texts: DetailTexts;
  /** What the house said is wrong with one of them. */
  trouble: (name: keyof MachineDetails) => string | null;
  onChange: (part: Partial<DetailTexts>) => void;
}

/** What is asked of a kind of machine alone: how it mixes, a fan, what it rolls out. */
export function DetailFields({ kind, texts, trouble, onChange }: Props) {
  const say = useWords();
  const labels = LABELS(say);
  return (ASKED[kind] ?? []).map((name) => {
    if (name === 'mixing')
      return (
        <Choice
          key={name}
          label={say('house.howItMixes')}
          value={texts.mixing}
          options={[
            { id: '', name: say('house.notSaid') },
            ...MIXING_WAYS.map((id) => ({ id, name: say(MIXING[id]) })),
          ]}
          onChoose={(id) => onChange({ mixing: id as MixingWay | '' })}
        />
      );
    if (name === 'fan')
      return (
        <Choice
          key={name}
          label={say('house.fan')}
          value={texts.fan}
          options={[
            { id: '', name: say('house.notSaid') },
            { id: 'yes', name: say('house.hasAFan') },
            { id: 'no', name: say('house.hasNoFan') },
          ]}
          onChoose={(id) => onChange({ fan: id as DetailTexts['fan'] })}
        />
      );
    const shared = { label: labels[name], trouble: trouble(name) };
    if (name === 'correction' || name === 'reduction')
      return (
        <Field key={name} {...shared} value={texts[name]} onType={(text) => onChange({ [name]: text })} />
      );
    return (
      <MeasureField
        key={name}
        {...shared}
        kind={name === 'leastGap' ? 'mm' : 'cm'}
        text={texts[name]}
        onText={(text) => onChange({ [name]: text })}
      />
    );
  });
}
