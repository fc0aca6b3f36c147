import type { Catalog } from '../message';
import { alarms } from './alarms';
import { amounts } from './amounts';
import { batch } from './batch';
import { bench } from './bench';
import { common } from './common';
import { compare } from './compare';
import { cutting } from './cutting';
import { dough } from './dough';
import { drift } from './drift';
import { causes } from './causes';
import { faults } from './faults';
import { files } from './files';
import { fillings } from './fillings';
import { firstSteps } from './first-steps';
import { floor } from './floor';
import { formulas } from './formulas';
import { handover } from './handover';
import { heat } from './heat';
import { house } from './house';
import { kit } from './kit';
import { labels } from './labels';
import { lamination } from './lamination';
import { live } from './live';
import { ovenClashes } from './oven-clashes';
import { marks } from './marks';
import { racks } from './racks';
import { scaling } from './scaling';
import { schemes } from './schemes';
import { cutPlan } from './cut-plan';
import { names } from './names';
import { orders } from './orders';
import { oven } from './oven';
import { papers } from './papers';
import { plan } from './plan';
import { practice } from './practice';
import { product } from './product';
import { proof } from './proof';
import { reasons } from './reasons';
import { record } from './record';
import { recipe } from './recipe';
import { refusals } from './refusals';
import { remarks } from './remarks';
import { rooms } from './rooms';
import { scrap } from './scrap';
import { settings } from './settings';
import { setup } from './setup';
import { shaping } from './shaping';
import { sheet } from './sheet';
import { shell } from './shell';
import { signIn } from './sign-in';
import { steps } from './steps';
import { thread } from './thread';
import { titles } from './titles';
import { trends } from './trends';
import { turns } from './turns';
import { wall } from './wall';
import { waysOut } from './ways-out';
import { workbench } from './workbench';

/** All messages in French. */
export const fr: Catalog = {
  alarms,
  amounts,
  batch,
  bench,
  common,
  compare,
  cutting,
  dough,
  drift,
  causes,
  faults,
  files,
  fillings,
  firstSteps,
  floor,
  formulas,
  handover,
  heat,
  house,
  kit,
  labels,
  lamination,
  live,
  ovenClashes,
  marks,
  racks,
  scaling,
  schemes,
  cutPlan,
  names,
  orders,
  oven,
  papers,
  plan,
  practice,
  product,
  proof,
  reasons,
  record,
  recipe,
  refusals,
  remarks,
  rooms,
  scrap,
  settings,
  setup,
  shaping,
  sheet,
  shell,
  signIn,
  steps,
  thread,
  titles,
  trends,
  turns,
  wall,
  waysOut,
  workbench,
};
