'use client';

import { STAGE_KINDS, type StageKind } from '@/core/formula/formula';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { stageName } from '@/words/code-names';
import { useWords } from '../kit/words';

interface Props {
  /** Number of the version that keeping makes. */
  next: number;
  note: string;
  onNote: (note: string) => void;
  busy: boolean;
  onStage: (kind: StageKind) => void;
  onReadIn: () => void;
  onKeep: () => void;
}

/** What can be done with a formula: a stage more, read one in, keep it as a version with a word on what is different. */
export function FormulaFoot({ next, note, onNote, busy, onStage, onReadIn, onKeep }: Props) {
  const say = useWords();
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Choice
        label={say('formulas.addAStage')}
        value=""
        options={[
          { id: '', name: say('names.choose') },
          ...STAGE_KINDS.map((kind) => ({ id: kind, name: stageName(say, kind) })),
        ]}
        onChoose={(kind) => kind !== '' && onStage(kind as StageKind)}
      />
      <Button className="min-h-10" onClick={onReadIn}>
        {say('formulas.readIn')}
      </Button>
      <div className="ml-auto w-64">
        <Field
          label={say('formulas.whatIsDifferent')}
          value={note}
          onType={onNote}
          placeholder={next > 1 ? say('formulas.moreMilk') : ''}
        />
      </div>
      <Button look="act" className="min-h-10" disabled={busy} onClick={onKeep}>
        {say.rich('formulas.keepVersionCtrlS', {
          next,
          kbd: (words) => <kbd className="ml-1 font-sans text-[13px]">{words}</kbd>,
        })}
      </Button>
    </div>
  );
}
