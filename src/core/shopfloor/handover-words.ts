import type { Instant } from '../time/local';

/** What one shift says to the next, and who has signed that they read it. */
export interface HandoverWords {
  /** Below 0 as long as they have not arrived. */
  id: number;
  at: Instant;
  by: string;
  words: string;
  readBy: string[];
}

/** Most characters of them. */
export const LONGEST_WORDS = 2000;

/** Words left, or a reading signed, that have not arrived yet. */
export type PendingWords =
  { kind: 'words'; words: string; by: string; at: Instant } | { kind: 'read'; handover: number; by: string };

/** The words as they will be when what was said here has arrived, the newest first. */
export function wordsWith(kept: readonly HandoverWords[], here: readonly PendingWords[]): HandoverWords[] {
  const signed = kept.map((one) => {
    const more = here.flatMap((said) => (said.kind === 'read' && said.handover === one.id ? [said.by] : []));
    return { ...one, readBy: [...new Set([...one.readBy, ...more])] };
  });
  const left = here.flatMap((said, nth): HandoverWords[] =>
    said.kind === 'words' ? [{ id: -1 - nth, at: said.at, by: said.by, words: said.words, readBy: [] }] : [],
  );
  return [...left.reverse(), ...signed];
}
