'use client';

import { useState, type ComponentProps } from 'react';
import { METRIC } from '@/core/units/reader';
import { readMeasure, showMeasure, withUnit, type MeasureKind } from '@/core/units/measure';
import { useUnits } from '../live/units';
import { Field } from './field';

/**
 * A field for a measurement. `text` says its unit; it is shown in this reader's units until somebody types over it, and
 * what is typed comes back with the unit that it was meant in.
 */
export function MeasureField({
  kind,
  text,
  onText,
  ...more
}: { kind: MeasureKind; text: string; onText: (text: string) => void } & Omit<
  ComponentProps<typeof Field>,
  'value' | 'onType'
>) {
  const [units] = useUnits();
  const [typed, setTyped] = useState<{ shown: string; text: string } | null>(null);
  const value = readMeasure(kind, text, METRIC);
  const shown =
    typed?.text === text ? typed.shown : Number.isNaN(value) ? text : showMeasure({ kind, value }, units);
  return (
    <Field
      {...more}
      value={shown}
      onType={(now) => {
        const whole = withUnit(kind, now, units);
        setTyped({ shown: now, text: whole });
        onText(whole);
      }}
    />
  );
}
