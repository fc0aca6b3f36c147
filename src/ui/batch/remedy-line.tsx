'use client';

import { useState } from 'react';
import type { CauseId } from '@/core/diagnosis/causes';
import { type RemediedProduct, remedyFor, remedyWords } from '@/core/diagnosis/remedy';
import type { BatchTrace } from '@/core/diagnosis/trace';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { send } from '../live/command';

/** A product as it is now, in its newest version. */
export interface ProductNow extends RemediedProduct {
  versionId: number;
}

/** What of the product a cause asks to be changed, and one tap that does it. */
export function RemedyLine({
  cause,
  trace,
  product,
  doughId,
  outputId,
}: {
  cause: CauseId;
  trace: BatchTrace;
  product: ProductNow;
  doughId: number;
  outputId: number;
}) {
  const say = useWords();
  const [told, setTold] = useState<{ message: string; isDone: boolean } | null>(null);
  const remedy = remedyFor(cause, trace, product);
  if (!remedy) return null;
  const change = say.coded(remedyWords(remedy));
  const apply = async () => {
    const answer = await send('apply-remedy', { doughId, outputId, cause, from: product.versionId });
    if (!answer.ok) return setTold({ message: answer.message, isDone: false });
    const { version } = answer.result as { version: number };
    setTold({ message: say('causes.changedProduct', { version }), isDone: true });
  };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-3">
      <p>{change}</p>
      {!told?.isDone && (
        <Button floor aria-label={say('causes.changeProductTo', { change })} onClick={() => void apply()}>
          {say('causes.changeProduct')}
        </Button>
      )}
      {told && (
        <p role={told.isDone ? 'status' : 'alert'} className={told.isDone ? 'text-quiet' : 'text-warn'}>
          {told.message}
        </p>
      )}
    </div>
  );
}
