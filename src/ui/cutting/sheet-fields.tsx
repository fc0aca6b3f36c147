'use client';

import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import { Choice, Field } from '../kit/field';
import { unless, wants } from '../workbench/use-typed';
import type { Measure } from '@/core/units/measure';

const forms = (say: Say) => [
  { id: 'rectangle', name: say('cutPlan.rectangular') },
  { id: 'round', name: say('cutPlan.round') },
];

interface SheetFieldsProps {
  typed: Record<'mm' | 'form' | 'length' | 'width' | 'density', string>;
  set: (
    part: Partial<{
      mm: string | Measure;
      density: string;
      length: string | Measure;
      width: string | Measure;
      form: string;
    }>,
  ) => void;
  field: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => {
    value: string;
    onType: (text: string) => void;
  };
  read: {
    celsius: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => number;
    difference: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => number;
    mm: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => number;
    cm: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => number;
    grams: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => number;
    number: (name: 'mm' | 'form' | 'length' | 'width' | 'density') => number;
  };
}

/** The sheet's measures, typed. */
export function SheetFields({ typed, set, field, read }: SheetFieldsProps) {
  const say = useWords();
  const [length, width, mm, density] = [
    read.cm('length'),
    read.cm('width'),
    read.mm('mm'),
    read.number('density'),
  ];
  const round = typed.form === 'round';
  return (
    <div className="grid max-w-4xl grid-cols-2 gap-2 sm:grid-cols-5">
      <Choice
        label={say('cutPlan.sheet')}
        value={typed.form}
        options={forms(say)}
        onChoose={(form) => set({ form })}
      />
      <Field
        label={round ? say('cutPlan.sheetAcross') : say('cutPlan.sheetLong')}
        {...field('length')}
        trouble={unless(length, wants(say, 'cm'))}
      />
      {!round && (
        <Field
          label={say('cutPlan.sheetWide')}
          {...field('width')}
          trouble={unless(width, wants(say, 'cm'))}
        />
      )}
      <Field label={say('cutPlan.sheetThick')} {...field('mm')} trouble={unless(mm, wants(say, 'mm'))} />
      <Field
        label={say('cutPlan.densityGCm')}
        {...field('density')}
        trouble={unless(density, say('cutPlan.suchAs107'))}
      />
    </div>
  );
}
