'use client';

import { useState, type ReactNode } from 'react';
import { parseMinutes } from '@/core/units/duration';
import { METRIC } from '@/core/units/reader';
import { readMeasure, type MeasureKind } from '@/core/units/measure';
import { parseNumber } from '@/core/units/number';
import type { MessageKey } from '@/words/message';
import { Field } from './field';
import { MeasureField } from './measure-field';
import { useWords } from './words';

/** What a field of a form holds: words, a number, a length of time, or a measurement with its unit. */
export interface TypedField {
  kind: 'text' | 'number' | 'minutes' | MeasureKind;
  label: string;
  hint?: string;
  /** It may be left empty. */
  isOptional?: boolean;
}

/** What was typed, read: NaN where it is not what the field holds, undefined where it was left empty. */
function readTyped({ kind, isOptional }: TypedField, text: string): number | undefined {
  if (isOptional && text.trim() === '') return undefined;
  if (kind === 'number') return parseNumber(text) ?? NaN;
  if (kind === 'minutes') return parseMinutes(text) ?? NaN;
  return kind === 'text' ? 0 : readMeasure(kind, text, METRIC);
}

const ASKS: Partial<Record<TypedField['kind'], MessageKey>> = {
  number: 'kit.enterANumber',
  minutes: 'kit.enterATime',
};

/** Fields of one form, as they were typed. What cannot be read is said beside its field, and nothing typed is lost. */
export function useTypedForm<Name extends string>(
  fields: Readonly<Record<Name, TypedField>>,
  begin: Readonly<Record<Name, string>>,
) {
  const say = useWords();
  const [texts, setTexts] = useState<Record<Name, string>>(begin);
  const [wrong, setWrong] = useState<Name | null>(null);
  const set = (name: Name, text: string) => {
    setTexts((before) => ({ ...before, [name]: text }));
    if (wrong === name) setWrong(null);
  };
  const field = (name: Name): ReactNode => {
    const { kind, label, hint } = fields[name];
    const trouble = wrong === name ? say(ASKS[kind] ?? 'kit.enterAMeasure') : null;
    const shared = { key: name, label, hint, trouble };
    return kind === 'text' || kind === 'number' || kind === 'minutes' ? (
      <Field {...shared} key={name} value={texts[name]} onType={(text) => set(name, text)} />
    ) : (
      <MeasureField
        {...shared}
        key={name}
        kind={kind}
        text={texts[name]}
        onText={(text) => set(name, text)}
      />
    );
  };
  /** The numbers of these fields; null where one cannot be read, which then says so. */
  const read = <Some extends Name>(names: readonly Some[]): Record<Some, number | undefined> | null => {
    const values = names.map((name) => [name, readTyped(fields[name], texts[name])] as const);
    const bad = values.find(([, value]) => Number.isNaN(value));
    if (!bad) return Object.fromEntries(values) as Record<Some, number | undefined>;
    setWrong(bad[0]);
    return null;
  };
  return { texts, set, field, read };
}

/** A value as a field begins with it. */
export const typed = (value: number | undefined, unit = ''): string =>
  value === undefined ? '' : `${Number(value.toFixed(4))}${unit === '' ? '' : ` ${unit}`}`;
