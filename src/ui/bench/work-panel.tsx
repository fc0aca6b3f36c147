'use client';

import { DivideWork } from './divide-work';
import { LockInWork } from './lock-in-work';
import { MixWork } from './mix-work';
import { ShapeWork } from './shape-work';
import { SheetWork } from './sheet-work';
import { TurnWork } from './turn-work';
import type { TurnProps } from './work-props';

/** What this step's own work needs beside its name: a turn's card, the butter's size, shapes, a tally. */
export default function WorkPanel(props: TurnProps) {
  switch (props.item.step.step.kind) {
    case 'lock-in':
    case 'butter':
      return <LockInWork {...props} />;
    case 'mix':
      return <MixWork {...props} />;
    case 'turn':
      return <TurnWork {...props} />;
    case 'divide':
      return <DivideWork {...props} />;
    case 'shape':
      return <ShapeWork {...props} />;
    case 'sheet':
      return <SheetWork {...props} />;
    default:
      return null;
  }
}
