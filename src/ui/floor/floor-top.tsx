'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Recording } from '@/core/record/events';
import type { Board } from '@/core/wire/board';
import type { Trouble } from '@/core/wire/trouble';
import { CatchUpBand } from './catch-up-band';
import { FloorTabs } from './floor-tabs';

// Fetched when something is wrong; without a line the service worker has it.
const TroubleSheet = dynamic(() => import('./trouble-sheet').then((module) => module.TroubleSheet), {
  ssr: false,
});

const TroubleBand = dynamic(() => import('./trouble-band').then((module) => module.TroubleBand), {
  ssr: false,
});
const LoadRescue = dynamic(() => import('./load-rescue').then((module) => module.LoadRescue), { ssr: false });

/** The screens of the floor, how to report that something is wrong, and what is out now. */
export function FloorTop({
  board,
  doughs,
  onRecord,
}: {
  board: Board;
  doughs: readonly DoughForecast[];
  onRecord: (recording: Recording, at?: number) => void;
}) {
  const [reporting, setReporting] = useState(false);
  const nameOf = ({ machineId, personId }: Trouble) =>
    (machineId === null
      ? board.people.find(({ id }) => id === personId)?.name
      : board.machines.find(({ id }) => id === machineId)?.label) ?? '';
  return (
    <>
      <FloorTabs onTrouble={() => setReporting(true)} />
      {board.calls.troubles.length > 0 && (
        <TroubleBand troubles={board.calls.troubles} nameOf={nameOf} zone={board.house.zone} />
      )}
      {board.calls.troubles.length > 0 && <LoadRescue {...{ board, onRecord }} />}
      <CatchUpBand {...{ board, doughs, onRecord }} />
      {reporting && (
        <TroubleSheet
          machines={board.machines}
          people={board.people}
          doughs={board.doughs.flatMap(({ id, name, outputs }) => {
            const state = doughs.find((dough) => dough.id === id)?.state;
            return state?.started && !state.finished ? [{ id, name, outputs, losses: state.losses }] : [];
          })}
          onRecord={onRecord}
          onClose={() => setReporting(false)}
        />
      )}
    </>
  );
}
