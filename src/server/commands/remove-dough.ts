import Joi from 'joi';
import { MINUTE } from '@/core/time/local';
import { rowsOf, write } from '../db/rows';
import { productVersions } from '../queries/products';
import { command, Refusal } from './command';
import { placeDough } from './plan-dough';
import { lockPlan, movePlan } from './plan-version';
import { doughId } from './schemas';

interface DoughRef {
  doughId: number;
}

const schema = Joi.object<DoughRef>({ doughId });

/** Takes a dough out of the plan; what was recorded of it stays. */
export const removeDough = command<DoughRef, { name: string }>({
  name: 'remove-dough',
  schema,
  roles: ['planner'],
  doughOf: (input) => input.doughId,
  async run({ db, person, now }, input) {
    await lockPlan(db);
    const [dough] = await rowsOf<{ name: string; removed: number }>(
      db,
      'SELECT name, removed_at IS NOT NULL AS removed FROM dough WHERE id = ?',
      [input.doughId],
    );
    if (!dough) throw new Refusal('There is no such dough.', 'doughId');
    if (!dough.removed) {
      await write(db, 'UPDATE dough SET removed_at = ?, removed_by = ? WHERE id = ?', [
        new Date(now),
        person.id,
        input.doughId,
      ]);
      const reason = `${dough.name} taken out`;
      const act = { id: input.doughId, act: 'removed' as const };
      await movePlan(db, [], { now, personId: person.id, reason, dough: act });
    }
    return { name: dough.name };
  },
});

/** Puts a dough back: its old places if they are still to come, otherwise new ones. */
export const restoreDough = command<DoughRef, { name: string }>({
  name: 'restore-dough',
  schema,
  roles: ['planner'],
  doughOf: (input) => input.doughId,
  async run({ db, person, now }, input) {
    await lockPlan(db);
    const rows = await rowsOf<{
      name: string;
      id: number;
      versionId: number;
      pieces: number;
      dueAt: Date;
      started: number;
    }>(
      db,
      `SELECT d.name, o.id, o.product_version_id AS versionId, o.pieces, o.due_at AS dueAt,
         EXISTS (SELECT 1 FROM floor_event WHERE dough_id = d.id) AS started
       FROM dough d JOIN dough_output o ON o.dough_id = d.id WHERE d.id = ? AND d.removed_at IS NOT NULL ORDER BY o.id`,
      [input.doughId],
    );
    const [first] = rows;
    if (!first) throw new Refusal('That dough is in the plan already.', 'doughId');
    await write(db, 'UPDATE dough SET removed_at = NULL, removed_by = NULL WHERE id = ?', [input.doughId]);
    // A dough that was begun goes on where it stands; one that was not is planned anew amid what came since.
    if (first.started) {
      const made = { now, personId: person.id, reason: `${first.name} put back` };
      await movePlan(db, [], { ...made, dough: { id: input.doughId, act: 'added' } });
      return { name: first.name };
    }
    if (rows.some((row) => row.dueAt.getTime() <= now + MINUTE))
      throw new Refusal('Its time has passed.', 'doughId');
    const products = await productVersions(
      db,
      rows.map((row) => row.versionId),
    );
    const outputs = rows.flatMap(({ id, versionId, pieces, dueAt }) => {
      const product = products.get(versionId);
      return product ? { id, product, pieces, dueAt: dueAt.getTime() } : [];
    });
    const dough = { id: input.doughId, name: first.name, outputs };
    await placeDough(db, dough, { now, personId: person.id, reason: `${first.name} put back` });
    return { name: first.name };
  },
});
