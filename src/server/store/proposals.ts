import type { Proposal, ProposalBody } from '@/core/schedule/proposal';
import { keptWords } from '@/words/as-text';
import { json } from '../db/json';
import { type Db, rowsOf } from '../db/rows';

interface Row extends Omit<Proposal, 'madeAt' | 'title' | 'body'> {
  title: string;
  madeAt: Date;
  body: unknown;
}

const OPEN = `SELECT x.id, x.plan_version_id AS basis, x.kind, x.title, x.made_at AS madeAt, p.name AS madeBy, x.body
  FROM plan_proposal x JOIN person p ON p.id = x.made_by WHERE x.decision IS NULL`;

const read = ({ madeAt, title, body, ...row }: Row): Proposal => ({
  ...{ ...row, title: keptWords(title), madeAt: madeAt.getTime(), body: json<ProposalBody>(body) },
});

/** Proposals that wait for somebody, for the newest plan; ways out only where they are asked for. */
export async function openMends(db: Db): Promise<Proposal[]> {
  const rows = await rowsOf<Row>(
    db,
    `${OPEN} AND x.kind <> 'way-out' AND x.plan_version_id = (SELECT MAX(id) FROM plan_version) ORDER BY x.id DESC LIMIT 3`,
  );
  return rows.map(read);
}

/** A proposal that waits, or null. */
export async function openProposal(db: Db, id: number): Promise<Proposal | null> {
  const [row] = await rowsOf<Row>(db, `${OPEN} AND x.id = ?`, [id]);
  return row ? read(row) : null;
}
