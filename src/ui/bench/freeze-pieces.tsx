'use client';

import { useState } from 'react';
import type { EventBody } from '@/core/record/events';
import type { OutputRecord } from '@/core/record/dough';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useWords } from '../kit/words';

/** Puts shaped pieces into the freezer: as many as are bagged, whatever was planned. */
export function FreezePieces({
  item: { dough, step },
  outputs,
  tell,
}: {
  item: AgendaItem;
  outputs: readonly OutputRecord[];
  tell: (part: EventBody) => void;
}) {
  const say = useWords();
  const output = outputs.find(({ id }) => id === step.outputId);
  const [typed, setTyped] = useState<string | null>(null);
  if (!output) return null;
  const most = step.load?.pieces ?? output.pieces;
  const frozen = dough.state.frozen.get(output.id) ?? null;
  const planned = output.way === 'to-freezer' ? most : 0;
  const text = typed ?? String(frozen ?? planned);
  const pieces = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
  const fits = pieces >= 0 && pieces <= most;
  return (
    <form
      aria-label={say('bench.toTheFreezer')}
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!fits) return;
        tell({ kind: 'bag', data: { kind: 'frozen', pieces } });
        setTyped(null);
      }}
    >
      <Field
        label={say('bench.piecesToTheFreezer', { most })}
        size="floor"
        inputMode="numeric"
        className="max-w-40"
        value={text}
        trouble={fits ? null : say('bench.piecesFromTo', { most })}
        onType={setTyped}
      />
      <Button type="submit" floor disabled={!fits || pieces === (frozen ?? planned)}>
        {say('bench.recordFrozen')}
      </Button>
      {frozen !== null && frozen > 0 && (
        <p role="status" className="text-lg">
          {say('bench.ofThemFrozen', { frozen, left: Math.max(0, most - frozen) })}{' '}
          <a href={`/dough/${dough.id}/labels`} className="underline">
            {say('bench.printLabels')}
          </a>
        </p>
      )}
    </form>
  );
}
