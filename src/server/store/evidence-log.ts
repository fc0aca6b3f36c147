import { type EvidenceKind } from './evidence';
import { type Db, rowOf, write } from '../db/rows';

/** Writes down whether evidence counts, and who said so. */
export async function insertEvidenceWord(
  db: Db,
  {
    evidenceId,
    declined,
    now,
    personId,
  }: { evidenceId: number; declined: boolean; now: number; personId: number },
): Promise<void> {
  await write(db, 'INSERT INTO evidence_word (evidence_id, declined, at, person_id) VALUES (?, ?, ?, ?)', [
    ...[evidenceId, declined, new Date(now), personId],
  ]);
}

/** The evidence of this id. */
export function evidenceById(db: Db, evidenceId: number) {
  return rowOf<{ id: number }>(db, 'SELECT id FROM evidence WHERE id = ?', [evidenceId]);
}

/** Writes down what an event taught. */
export function insertEvidence(
  db: Db,
  {
    eventId,
    kind,
    subject,
    value,
    verdict,
    taken,
    doughId,
    at,
  }: {
    eventId: string;
    kind: EvidenceKind;
    subject: string;
    value: number;
    verdict: string | null;
    /** Of a rise: how long it was, and how warm in the mean. */
    taken: { minutes: number; celsius: number } | null;
    doughId: number;
    at: number;
  },
) {
  return write(
    db,
    `INSERT INTO evidence (event_id, kind, subject, value, verdict, minutes, celsius, dough_id, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      eventId,
      kind,
      subject,
      value,
      verdict,
      taken?.minutes ?? null,
      taken?.celsius ?? null,
      doughId,
      new Date(at),
    ],
  );
}

/** The product of a dough's output, or of its first. */
export function productOfDough(db: Db, doughId: number, outputId: number | null) {
  return rowOf<{ productId: number }>(
    db,
    `SELECT v.product_id AS productId FROM dough_output o JOIN product_version v ON v.id = o.product_version_id
     WHERE o.dough_id = ? AND (o.id = ? OR ? IS NULL) ORDER BY o.id LIMIT 1`,
    [doughId, outputId, outputId],
  );
}

/** Marks the evidence of a dough as taken back, but for that of the events that count. */
export async function setUndone(db: Db, doughId: number, counting: readonly string[]): Promise<void> {
  await write(
    db,
    'UPDATE evidence SET undone = event_id NOT IN (?) WHERE dough_id = ? AND event_id IS NOT NULL',
    [['', ...counting], doughId],
  );
}
