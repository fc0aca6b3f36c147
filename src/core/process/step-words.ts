import { coded, type Coded } from '../codes/coded';
import type { OwnKind } from './new-step';
import type { BranchKind, RisePhase } from './route';

/** What a step of each kind is called to begin with. */
export const KIND_NAMES: Readonly<Record<OwnKind, Coded>> = {
  mix: coded('product.kindMix'),
  knead: coded('product.kindKnead'),
  bulk: coded('product.kindBulk'),
  fold: coded('product.kindFold'),
  degas: coded('product.kindDegas'),
  rest: coded('product.kindRest'),
  retard: coded('product.kindRetard'),
  freeze: coded('product.kindFreeze'),
  thaw: coded('product.kindThaw'),
  laminate: coded('product.kindLaminate'),
  sheet: coded('product.kindSheet'),
  divide: coded('product.kindDivide'),
  filling: coded('product.kindFilling'),
  shape: coded('product.kindShape'),
  proof: coded('product.kindProof'),
  wash: coded('product.kindWash'),
  load: coded('product.kindLoad'),
  bake: coded('product.kindBake'),
  cool: coded('product.kindCool'),
  finish: coded('product.kindFinish'),
  levain: coded('product.kindLevain'),
  sponge: coded('product.kindSponge'),
  move: coded('product.kindMove'),
};

export const BRANCH_NAMES: Readonly<Record<BranchKind, Coded>> = {
  butter: coded('product.branchButter'),
  levain: coded('product.branchLevain'),
  sponge: coded('product.branchSponge'),
  soaker: coded('product.branchSoaker'),
  filling: coded('product.branchFilling'),
  topping: coded('product.branchTopping'),
  icing: coded('product.branchIcing'),
};

/** What the steps of a branch are called to begin with, in its order. */
export const BRANCH_STEP_NAMES: Readonly<Record<Exclude<BranchKind, 'butter'>, readonly Coded[]>> = {
  levain: [coded('product.kindLevain'), coded('product.levainRipens')],
  sponge: [coded('product.kindSponge'), coded('product.spongeRipens')],
  soaker: [coded('product.branchSoaker'), coded('product.soak')],
  filling: [coded('product.kindFilling'), coded('product.coolFilling')],
  topping: [coded('product.makeTopping')],
  icing: [coded('product.makeIcing')],
};

export const PHASE_NAMES: Readonly<Record<RisePhase, Coded>> = {
  sponge: coded('product.riseSponge'),
  levain: coded('product.riseLevain'),
  bulk: coded('product.riseBulk'),
  proof: coded('product.riseProof'),
};

/** The usual caution of a kind of step, where it can hurt somebody. */
export const KIND_CAUTIONS: Partial<Record<OwnKind, Coded>> = {
  mix: coded('product.mixCaution'),
  knead: coded('product.mixCaution'),
  load: coded('product.ovenCaution'),
};

/** What has to be minded where something cooked cools. */
export const COOLING_CAUTION = coded('product.coolCaution');
