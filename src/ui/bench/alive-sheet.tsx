'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { AliveAnswer } from '@/core/record/events';
import { parseNumber } from '@/core/units/number';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { Sheet } from '../kit/sheet';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  of: 'yeast' | 'sponge' | 'levain';
  signs: readonly string[];
  onAnswer: (answer: AliveAnswer) => void;
}

const AGAIN: Record<Props['of'], number[]> = { yeast: [5, 10], sponge: [10, 20], levain: [30, 60, 120] };

/** What yeast, sponge or levain looks like, and the answers to it. */
export function AliveSheet(props: Props) {
  const say = useWords();
  return (
    <Sheet
      open={props.open}
      onOpenChange={props.onOpenChange}
      title={say('bench.isTheAlive', { of: props.of })}
    >
      <Answers {...props} />
    </Sheet>
  );
}

function Answers({ onOpenChange, of, signs, onAnswer }: Props) {
  const say = useWords();
  const [sign, setSign] = useState<string | null>(null);
  const [grams, setGrams] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const answer = (part: Omit<AliveAnswer, 'kind' | 'sign'>) => {
    onAnswer({ kind: 'alive', sign, ...part });
    onOpenChange(false);
  };
  return (
    <div className="grid gap-5">
      <fieldset>
        <legend className="mb-2 text-lg">{say('bench.whatDoYouSee')}</legend>
        <div className="flex flex-wrap gap-2">
          {signs.map((one) => (
            <Button
              key={one}
              floor
              aria-pressed={sign === one}
              look={sign === one ? 'act' : 'plain'}
              onClick={() => setSign(one)}
            >
              {say.named(one)}
            </Button>
          ))}
        </div>
      </fieldset>
      <div className="grid gap-3 sm:grid-cols-2">
        <Button look="act" floor className="text-2xl" onClick={() => answer({ answer: 'ready' })}>
          {say('bench.readyTakeIt')}
        </Button>
        <Button floor onClick={() => answer({ answer: 'anew' })}>
          {say('bench.deadStartAnew')}
        </Button>
      </div>
      <fieldset>
        <legend className="mb-2 text-lg">{say('bench.notYetLookAgainIn')}</legend>
        <div className="flex flex-wrap gap-2">
          {AGAIN[of].map((minutes) => (
            <Button key={minutes} floor onClick={() => answer({ answer: 'wait', minutes })}>
              {say('bench.min', { minutes })}
            </Button>
          ))}
        </div>
      </fieldset>
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const value = parseNumber(grams.replace(/g$/i, ''));
          if (value === null || value <= 0) setTrouble(say('common.howManyGramsOfYeast'));
          else answer({ answer: 'add-yeast', grams: value });
        }}
      >
        <Field
          label={say('bench.useItAndAddYeast')}
          size="floor"
          inputMode="decimal"
          value={grams}
          onType={setGrams}
          trouble={trouble}
        />
        <Button type="submit" floor>
          {say('bench.addYeast')}
        </Button>
      </form>
    </div>
  );
}
