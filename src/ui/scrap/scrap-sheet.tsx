'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { SCRAP_WAYS } from '@/core/record/scrap';
import { SCRAP_USES, type Scrap, type ScrapUse } from '@/core/record/events';
import { showMass } from '@/core/units/reader';
import { typedGrams } from '@/core/units/typed-grams';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useUnits } from '../live/units';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** Grams that the scale shows, where it does. */
  scale: number | null;
  onTell: (scrap: Scrap) => void;
}

/** Trimmings: how much, weighed or by eye, and what becomes of them. */
export function ScrapSheet({ open, onOpenChange, scale, onTell }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const [typed, setTyped] = useState('');
  const [how, setHow] = useState<Scrap['how']>('weighed');
  const [trouble, setTrouble] = useState<string | null>(null);
  const tell = (use: ScrapUse) => {
    const grams = typedGrams(typed, units);
    if (grams === null || grams < 1) return setTrouble(say('scrap.typeAWeightSuchAs'));
    setTrouble(null);
    onTell({ kind: 'scrap', grams: Math.round(grams), how, use });
    setTyped('');
    onOpenChange(false);
  };
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={say('scrap.trimmings')}>
      <div className="grid gap-4">
        <div className="flex flex-wrap items-end gap-3">
          <Field
            label={say('scrap.howMuch')}
            size="floor"
            value={typed}
            onType={setTyped}
            trouble={trouble}
          />
          {scale !== null && (
            <Button
              floor
              onClick={() => {
                setTyped(`${Math.round(scale)} g`);
                setHow('weighed');
              }}
            >
              {say('common.fromTheScale', { mass: showMass(scale, units) })}
            </Button>
          )}
          <div role="group" aria-label={say('scrap.howItIsKnown')} className="flex gap-2">
            {(['weighed', 'estimated'] as const).map((one) => (
              <Button key={one} floor aria-pressed={how === one} onClick={() => setHow(one)}>
                {say('names.known', { how: one })}
              </Button>
            ))}
          </div>
        </div>
        <p className="text-lg">{say('scrap.whatBecomesOfIt')}</p>
        {SCRAP_USES.map((use) => (
          <Button key={use} floor className="py-2 text-left" onClick={() => tell(use)}>
            <span className="block font-bold">{say.coded(SCRAP_WAYS[use].label)}</span>
            <span className="block text-base text-quiet">{say.coded(SCRAP_WAYS[use].takes)}</span>
          </Button>
        ))}
      </div>
    </Sheet>
  );
}
