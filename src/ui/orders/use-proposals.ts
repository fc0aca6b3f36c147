'use client';

import { useMemo, useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import {
  makeTheSame,
  mergeDoughs,
  outputsToPlan,
  type ProposedDough,
  roomForFreezer,
  splitDough,
  withSpare,
} from '@/core/demand/propose';
import { useWords } from '../kit/words';
import { send } from '../live/command';

/** Pieces of a product that a house likes to have in the freezer. */
const KEPT_FROZEN = 48;

/** What became of a proposal that was to be planned. */
type Outcome = { message: string; late: boolean };

/** Two proposals with the same outputs are the same. */
export const proposalKey = ({ outputs }: ProposedDough): string => JSON.stringify(outputs);

/** The proposed doughs of a house, and what a planner does to them. */
export function useProposals(book: OrderBook, zone: string, onPlanned: () => void) {
  const { makers, making } = book;
  const [edited, setDoughs] = useState(book.proposals);
  const { busy, outcomes, report, planDough } = usePlanning(zone);
  // What was merged and split by hand stays as long as it makes what is wanted.
  const doughs = makeTheSame(edited, book.proposals) ? edited : book.proposals;
  // Each is a dough that has to be rolled and cut once more: not at every look.
  const rooms = useMemo(() => {
    const missing = (id: number) =>
      KEPT_FROZEN -
      (book.stock.find(({ kind, makes }) => kind === 'pieces' && makes.includes(id))?.amount ?? 0);
    return doughs.map((dough) =>
      dough.outputs.some(({ spare }) => spare > 0) ? null : roomForFreezer(dough, makers, making, missing),
    );
  }, [doughs, makers, making, book.stock]);
  const replace = (dough: ProposedDough, by: readonly ProposedDough[]) =>
    setDoughs(doughs.flatMap((one) => (one === dough ? by : [one])));

  return {
    doughs,
    busy,
    outcomeOf: (dough: ProposedDough) => outcomes.get(proposalKey(dough)) ?? null,
    roomOf: (dough: ProposedDough) => rooms[doughs.indexOf(dough)] ?? null,
    hasNext: (dough: ProposedDough) => dough !== doughs.at(-1),
    plan: async (chosen: readonly ProposedDough[], late = false): Promise<void> => {
      const planned = new Set<ProposedDough>();
      for (const dough of chosen) if (await planDough(dough, late)) planned.add(dough);
      if (planned.size === 0) return;
      setDoughs(doughs.filter((dough) => !planned.has(dough)));
      onPlanned();
    },
    merge: (dough: ProposedDough): void => {
      const next = doughs[doughs.indexOf(dough) + 1];
      if (!next) return;
      const merged = mergeDoughs(dough, next, makers, making);
      if ('refused' in merged) report(dough, merged.refused);
      else setDoughs(doughs.flatMap((one) => (one === next ? [] : one === dough ? [merged] : [one])));
    },
    split: (dough: ProposedDough): void => {
      const parts = splitDough(dough, makers, making);
      if ('refused' in parts) report(dough, parts.refused);
      else replace(dough, parts);
    },
    /** Fills the bowl with pieces for the freezer. */
    fill: (dough: ProposedDough, room: NonNullable<(typeof rooms)[number]>): void => {
      replace(dough, [withSpare(dough, room, makers, making)]);
    },
  };
}

/** What a planner is shown of proposals and may do to them. */
export type ProposalDesk = ReturnType<typeof useProposals>;

/** Plans one proposal at a time, and keeps what was refused beside it. */
function usePlanning(zone: string) {
  const say = useWords();
  const [ids] = useState(() => new Map<string, string>());
  const [busy, setBusy] = useState<string | null>(null);
  const [outcomes, setOutcomes] = useState<ReadonlyMap<string, Outcome>>(new Map());
  const keep = (dough: ProposedDough, outcome: Outcome | null) =>
    setOutcomes((before) => {
      const next = new Map(before);
      if (outcome) next.set(proposalKey(dough), outcome);
      else next.delete(proposalKey(dough));
      return next;
    });
  return {
    busy,
    outcomes,
    report: (dough: ProposedDough, refused: Parameters<typeof say.coded>[0]) =>
      keep(dough, { message: say.coded(refused), late: false }),
    planDough: async (dough: ProposedDough, late: boolean): Promise<boolean> => {
      const key = proposalKey(dough);
      setBusy(key);
      const outputs = outputsToPlan(dough, zone);
      // A proposal that is planned twice, by a second tap, is one dough.
      const id = ids.get(key) ?? crypto.randomUUID();
      ids.set(key, id);
      const answer = await send('add-dough', { clientId: id, outputs, ...(late ? { late } : {}) });
      setBusy(null);
      keep(dough, answer.ok ? null : { message: answer.message, late: answer.offer !== null });
      return answer.ok;
    },
  };
}
