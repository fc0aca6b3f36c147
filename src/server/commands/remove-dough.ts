import { coded } from '@/core/codes/coded';
import { schoolOf } from '@/core/process/changes';
import { productOn } from '@/core/process/product-on';
import { proofedBy } from '@/core/process/proof-schools';
import Joi from 'joi';
import { MINUTE } from '@/core/time/local';
import { changesOf } from '../store/doughs';
import { productVersions } from '../store/products';
import { command, Refusal } from './command';
import { findPlace, type FoundPlace, takePlace } from './plan-dough';
import { lockBasis, lockPlan, movePlan } from './plan-version';
import { searching } from '../searching';
import { doughId } from './schemas';
import { doughName, markDoughBack, markDoughRemoved, removedDough } from '../store/ordered-doughs';

interface DoughRef {
  doughId: number;
}

const schema = Joi.object<DoughRef>({ doughId });

/** Takes a dough out of the plan; what was recorded of it stays. */
export const removeDough = command<DoughRef, { name: string }>({
  name: 'remove-dough',
  schema,
  doughOf: (input) => input.doughId,
  async run({ db, person, now }, input) {
    await lockPlan(db);
    const dough = await doughName(db, input.doughId);
    if (!dough) throw new Refusal(coded('refusals.thereIsNoSuchDough'), 'doughId');
    if (!dough.removed) {
      await markDoughRemoved(db, input.doughId, { personId: person.id, now });
      const reason = coded('reasons.takenOut', { dough: dough.name });
      const act = { id: input.doughId, act: 'removed' as const };
      await movePlan(db, [], { now, personId: person.id, reason, dough: act });
    }
    return { name: dough.name };
  },
});

/** What is known of a dough that was taken out, and where it could stand again. */
interface Back {
  name: string;
  /** Null for a dough that was begun: it goes on where it stands. */
  place: FoundPlace | null;
}

/** Puts a dough back: its old places if they are still to come, otherwise new ones. */
export const restoreDough = command<DoughRef, { name: string }, Back>({
  name: 'restore-dough',
  schema,
  doughOf: (input) => input.doughId,
  async search(context, { doughId: id }) {
    const { db, now } = context;
    const rows = await removedDough(db, id);
    const [first] = rows;
    if (!first) throw new Refusal(coded('refusals.thatDoughIsInThePlan'), 'doughId');
    const { name } = first;
    // A dough that was begun goes on where it stands; one that was not is planned anew amid what came since.
    if (first.started) return { name, place: null };
    if (rows.some((row) => row.dueAt.getTime() <= now + MINUTE))
      throw new Refusal(coded('refusals.itsTimeHasPassed'), 'doughId');
    const [products, decided] = await Promise.all([
      productVersions(
        db,
        rows.map((row) => row.versionId),
      ),
      changesOf(db, [id]),
    ]);
    const changes = decided.get(id) ?? [];
    const outputs = rows.flatMap(({ id: outputId, versionId, pieces, dueAt, way }) => {
      const product = products.get(versionId);
      return product
        ? {
            id: outputId,
            product: productOn(way, proofedBy(schoolOf(changes), product)),
            pieces,
            dueAt: dueAt.getTime(),
          }
        : [];
    });
    return searching(context, async () => ({
      name,
      place: await findPlace(db, { id, name, outputs, changes }, { now }),
    }));
  },
  async run({ db, person, now }, { doughId: id }, { name, place }) {
    await lockPlan(db);
    if (!(await markDoughBack(db, id))) throw new Refusal(coded('refusals.thatDoughIsInThePlan'), 'doughId');
    const made = { now, personId: person.id, reason: coded('reasons.putBack', { dough: name }) };
    if (place === null) await movePlan(db, [], { ...made, dough: { id, act: 'added' } });
    else {
      await lockBasis(db, place.basis);
      await takePlace(db, id, place, made);
    }
    return { name };
  },
});
