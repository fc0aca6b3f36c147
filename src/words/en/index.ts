import { batch } from './batch';
import { bench } from './bench';
import { common } from './common';
import { cutting } from './cutting';
import { dough } from './dough';
import { fillings } from './fillings';
import { floor } from './floor';
import { formulas } from './formulas';
import { handover } from './handover';
import { house } from './house';
import { kit } from './kit';
import { lamination } from './lamination';
import { live } from './live';
import { orders } from './orders';
import { oven } from './oven';
import { plan } from './plan';
import { proof } from './proof';
import { refusals } from './refusals';
import { rooms } from './rooms';
import { scrap } from './scrap';
import { sheet } from './sheet';
import { shell } from './shell';
import { signIn } from './sign-in';
import { thread } from './thread';
import { workbench } from './workbench';

/** All messages in English. */
export const en = {
  batch,
  bench,
  common,
  cutting,
  dough,
  fillings,
  floor,
  formulas,
  handover,
  house,
  kit,
  lamination,
  live,
  orders,
  oven,
  plan,
  proof,
  refusals,
  rooms,
  scrap,
  sheet,
  shell,
  signIn,
  thread,
  workbench,
} as const;
