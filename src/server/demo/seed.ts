import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import { SET_UP_PARTS } from '@/core/exchange/set-up-parts';
import { addLocalDays, type Instant, MINUTE, parseLocal } from '@/core/time/local';
import { hashPin } from '../auth/pin';
import { tokenHash } from '../auth/token';
import { type Db, rowsOf, transaction, write } from '../db/rows';
import { deckSubject } from '../store/decks';
import { mixSubject, referenceSubject } from '../store/evidence';
import { currentFormulas } from '../store/formulas';
import { currentProducts } from '../store/products';
import { OPENING, PEOPLE, SET_UP, WEEK, ZONE } from './bakery';
import { takeSetUp } from '../setup/take-set-up';
import { keepUsualIngredients, keepUsualSchemes, openHouse } from '../setup/open-house';
import { people } from '../store/house';
import { setPin } from '../store/people';
import { readMonth, seedMonth } from './month';
import { seedDoughs } from './seed-doughs';
import { seedOrders } from './seed-orders';

/**
 * Fills an empty database with the demo bakery; does nothing when it holds a bakery already.
 *
 * @param month - with the four weeks before it opens
 */
export async function seedDemo(pool: Pool, { month = false } = {}): Promise<boolean> {
  const [there] = await rowsOf<{ id: number }>(pool, 'SELECT id FROM house');
  if (there) return false;
  const now = parseLocal(OPENING, ZONE) as Instant;
  await transaction(pool, async (db) => {
    await seedHouse(db, now);
    await seedReadings(db, now);
    await seedDevices(db);
    await seedHandover(db, now);
    await seedEvidence(db, now, month);
    if (month) await seedMonth(db, now, readMonth());
    await seedDoughs(db, now);
    await seedOrders(db, now);
  });
  return true;
}

/** The bakery as its file has it, opened and filled by what opens and fills any other; and the PINs, which no file has. */
async function seedHouse(db: Db, now: Instant): Promise<void> {
  await openHouse(db, SET_UP);
  await keepUsualIngredients(db);
  const at = addLocalDays(now, -30, ZONE);
  await keepUsualSchemes(db, at);
  await takeSetUp(db, SET_UP, SET_UP_PARTS, { at, personId: null, language: 'en' });
  for (const { id, name } of await people(db)) {
    const pin = PEOPLE.find((one) => one.name === name)?.pin ?? '';
    await setPin(db, await hashPin(pin), id);
  }
  await write(db, 'INSERT INTO demo_clock (id, shown_at, real_at, rate, paused) VALUES (1, ?, ?, 1, FALSE)', [
    ...[new Date(now), new Date()],
  ]);
}

async function seedReadings(db: Db, now: Instant): Promise<void> {
  const places = {
    retarder: [3.6, 0.6],
    freezer: [-18.2, 0.7],
    proofer: [26.2, 0.4],
    oven: [184, 3],
    bakery: [21.8, 1.2],
    flour: [19.5, 0.4],
    tap: [12.6, 0.3],
  };
  const rows: (string | number | Date | null)[][] = [];
  for (let at = now - 2 * 24 * 60 * MINUTE; at <= now; at += 10 * MINUTE) {
    Object.entries(places).forEach(([place, [mean = 0, swing = 0]], i) => {
      const wave = Math.sin(at / (37 * MINUTE) + i) + 0.4 * Math.sin(at / (11 * MINUTE));
      const humidity = place === 'proofer' ? Math.round(78 + 3 * wave) : null;
      rows.push([place, new Date(at), Math.round((mean + swing * wave) * 10) / 10, humidity]);
    });
  }
  await write(db, 'INSERT INTO place_reading (place, at, celsius, humidity) VALUES ?', [rows]);
}

async function seedHandover(db: Db, now: Instant): Promise<void> {
  const { by, hoursAgo, words } = WEEK.lastWords;
  await write(
    db,
    'INSERT INTO handover (client_id, at, person_id, words) SELECT ?, ?, id, ? FROM person WHERE name = ?',
    [randomUUID(), new Date(now - hoursAgo * 60 * MINUTE), words, by],
  );
}

/** Tokens of the demo's own stand-ins; a real house makes its own. */
async function seedDevices(db: Db): Promise<void> {
  await write(db, 'INSERT INTO device (id, kind, token_hash) VALUES ?', [
    WEEK.devices.map(({ id, kind, token }) => [id, kind, tokenHash(token)]),
  ]);
}

/** What the house has learnt in the weeks before: judged proofs of crescents, and mixes of their dough. */
async function seedEvidence(db: Db, now: Instant, month: boolean): Promise<void> {
  const [crescent] = (await currentProducts(db)).filter(({ name }) => name === 'Butter crescent');
  const [formula] = (await currentFormulas(db)).filter(({ name }) => name === 'Crescent dough');
  if (!crescent || !formula) throw new Error('The demo has no crescents.');
  const at = (daysAgo: number) => new Date(now - daysAgo * 24 * 60 * MINUTE);
  const proofs = WEEK.proofs.map(({ daysAgo, minutes, verdict }) => {
    return ['reference', referenceSubject(crescent.productId, 'proof'), minutes, verdict, at(daysAgo)];
  });
  const mixes = WEEK.mixes.flatMap(({ daysAgo, rise, factor }) => [
    ['rise', mixSubject('mixer', formula.formulaId), rise, null, at(daysAgo)],
    ['factor', mixSubject('mixer', formula.formulaId), factor, null, at(daysAgo)],
  ]);
  const bakes = WEEK.bakes.flatMap(({ daysAgo, decks, ratio }) =>
    ['oven', ...decks.map((deck) => deckSubject('oven', deck))].map((subject) => {
      return ['bake', subject, ratio, null, at(daysAgo)];
    }),
  );
  await write(db, 'INSERT INTO evidence (kind, subject, value, verdict, at) VALUES ?', [
    // A month that is there has taught its own.
    month ? mixes : [...proofs, ...mixes, ...bakes],
  ]);
}
