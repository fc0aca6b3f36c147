import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { openRecord } from '@/core/practice/night';
import type { NightRecord } from '@/core/practice/night-record';
import type { Scene } from '@/core/practice/scene';
import { reviewNight } from '@/core/practice/review';
import { SITUATION_IDS, type SituationId, SITUATIONS } from '@/core/practice/situation';
import { asText } from '@/words/as-text';
import { sceneOf, sceneOfBatch } from '../practice-scene';
import { insertNight, nightById, ownSituations, updateNight } from '../store/practice';
import { command, type CommandContext, Refusal } from './command';
import { nightRecord } from './night-record-schema';
import { clientId } from './schemas';

interface OpenInput {
  clientId: string;
  ships?: SituationId;
  own?: number;
  doughId?: number;
  stepKey?: string;
}

const id = Joi.number().integer().positive();
const asked = asText(coded('refusals.chooseAPracticeNight'));

/** A night's chance: from its number, so that a repeat opens the same one. */
const seedOf = (number: string): number => Number.parseInt(number.replaceAll('-', '').slice(-7), 16);

async function opened({ db, person, now }: CommandContext, input: OpenInput) {
  const made = { person, now, seed: seedOf(input.clientId) };
  if (input.ships)
    return { scene: await sceneOf(db, SITUATIONS[input.ships], made), situation: input.ships, name: null };
  if (input.own !== undefined) {
    const found = (await ownSituations(db)).find((one) => one.id === input.own);
    if (!found) throw new Refusal(coded('refusals.chooseAPracticeNight'));
    return {
      scene: await sceneOf(db, found.situation, made),
      situation: `own ${found.id}`,
      name: found.name,
    };
  }
  const { doughId = 0, stepKey = '' } = input;
  const { scene, name } = await sceneOfBatch(db, { doughId, stepKey }, made);
  return { scene, situation: `batch ${doughId} ${stepKey}`, name };
}

/** Opens a practice night for whoever asks. */
export const openPractice = command<OpenInput, { id: number }>({
  name: 'open-practice',
  apart: true,
  schema: Joi.object<OpenInput>({
    clientId,
    ships: Joi.string().valid(...SITUATION_IDS),
    own: id,
    doughId: id,
    stepKey: Joi.string().max(80),
  })
    .xor('ships', 'own', 'doughId')
    .and('doughId', 'stepKey')
    .messages({ '*': asked }),
  doughOf: () => null,
  async run(context, input) {
    const { scene, situation, name } = await opened(context, input);
    const night = { clientId: input.clientId, personId: context.person.id, situation, name, scene };
    return { id: await insertNight(context.db, { ...night, record: openRecord(scene), now: context.now }) };
  },
});

/** What came of a night, in pieces. */
function resultOf(scene: Scene, record: NightRecord): { good: number; possible: number } {
  const { good, possible } = reviewNight(scene, record);
  return { good, possible: possible.good };
}

interface KeepInput {
  id: number;
  record: NightRecord;
  ended: boolean;
}

/** Keeps how far somebody's own night has gone; one that has ended stays as it is. */
export const keepPractice = command<KeepInput, null>({
  name: 'keep-practice',
  apart: true,
  schema: Joi.object<KeepInput>({
    id: id.required(),
    record: nightRecord.required(),
    ended: Joi.boolean().required(),
  }),
  doughOf: () => null,
  async run({ db, person, now }, { id: nightId, record, ended }) {
    const night = await nightById(db, nightId);
    if (!night || night.personId !== person.id) throw new Refusal(coded('refusals.thatNightIsNotYours'));
    if (night.endedAt !== null) throw new Refusal(coded('refusals.thatNightIsOver'));
    await updateNight(db, nightId, record, ended ? { at: now, ...resultOf(night.scene, record) } : null);
    return null;
  },
});
