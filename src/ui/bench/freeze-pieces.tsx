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
  const [where, setWhere] = useState<string | null>(null);
  if (!output) return null;
  const bagged = dough.state.bagged.get(step.key);
  const frozen = bagged?.pieces ?? null;
  // What was bagged is not among the load's pieces any more; where they are frozen by plan, it is.
  const gone = step.step.stock === 'in' ? 0 : (frozen ?? 0);
  const most = step.load ? step.load.pieces + gone : output.pieces;
  const planned = output.way === 'to-freezer' ? most : 0;
  const text = typed ?? String(frozen ?? planned);
  const pieces = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
  const fits = pieces >= 0 && pieces <= most;
  const place = (where ?? bagged?.where ?? '').trim();
  const isSame = pieces === (frozen ?? planned) && place === (bagged?.where ?? '');
  return (
    <form
      aria-label={say('bench.toTheFreezer')}
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!fits) return;
        tell({ kind: 'bag', data: { kind: 'frozen', pieces, ...(place === '' ? {} : { where: place }) } });
        setTyped(null);
        setWhere(null);
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
      <Field
        label={say('bench.whichTrays')}
        size="floor"
        className="max-w-64"
        maxLength={60}
        value={where ?? bagged?.where ?? ''}
        onType={setWhere}
      />
      <Button type="submit" floor disabled={!fits || isSame}>
        {say('bench.recordFrozen')}
      </Button>
      {frozen !== null && frozen > 0 && (
        <p role="status" className="text-lg">
          {say('bench.ofThemFrozen', {
            ...{ frozen, left: Math.max(0, most - frozen), where: bagged?.where ?? '' },
            hasPlace: Boolean(bagged?.where),
          })}{' '}
          <a href={`/dough/${dough.id}/labels`} className="underline">
            {say('bench.printLabels')}
          </a>
        </p>
      )}
    </form>
  );
}
