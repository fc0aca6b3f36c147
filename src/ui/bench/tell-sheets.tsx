import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { useWords } from '../kit/words';
import { TemperatureSheet } from './temperature-sheet';
import { WordsSheet } from './words-sheet';

interface Props {
  item: AgendaItem;
  /** The sheet that lies over the card, of whichever the card has. */
  open: string | null;
  onOpen: (sheet: 'temperature' | 'note' | null) => void;
  /** What is often to be noted. */
  notes: readonly string[];
  tell: (part: EventBody) => void;
}

/** What can be told of every step: its temperature, and a note. */
export function TellSheets({ item: { dough, step }, open, onOpen, notes, tell }: Props) {
  const say = useWords();
  const sheet = (name: 'temperature' | 'note') => ({
    open: open === name,
    onOpenChange: (to: boolean) => onOpen(to ? name : null),
  });
  return (
    <>
      <TemperatureSheet
        {...sheet('temperature')}
        step={step.step}
        of={{ doughId: dough.id, stepKey: step.key }}
        onTell={(celsius) => tell({ kind: 'temperature', celsius })}
      />
      <WordsSheet
        {...sheet('note')}
        title={say('bench.noteOn', { label: say.inLine(say.coded(step.label)) })}
        about={`${dough.id}/${step.key}/note`}
        words={notes}
        onSay={(text) => tell({ kind: 'note', text })}
      />
    </>
  );
}
