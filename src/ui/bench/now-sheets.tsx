import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import { TemperatureSheet } from './temperature-sheet';
import { WordsSheet } from './words-sheet';

/** A sheet that lies over the card. */
export type NowSheet = 'temperature' | 'note' | 'skip';

const reasons = (say: Say) => [
  say('bench.notNeededToday'),
  say('bench.doneWithoutRecording'),
  say('bench.doughLost'),
  say('bench.doneElsewhere'),
];
const notes = (say: Say) => [
  say('bench.springsBack2'),
  say('bench.showsButter'),
  'sticky',
  'tears',
  say('bench.smellsSour'),
  say('common.aLittleSmall'),
  say('bench.justRight'),
];

interface Props {
  item: AgendaItem;
  open: NowSheet | null;
  onOpen: (sheet: NowSheet | null) => void;
  tell: (part: EventBody) => void;
}

/** What can be told of the step beside that it is done: a temperature, a note, that it is left out and why. */
export function NowSheets({ item: { dough, step }, open: sheet, onOpen: setSheet, tell }: Props) {
  const say = useWords();
  return (
    <>
      <TemperatureSheet
        open={sheet === 'temperature'}
        onOpenChange={(open) => setSheet(open ? 'temperature' : null)}
        step={step.step}
        of={{ doughId: dough.id, stepKey: step.key }}
        onTell={(value) => tell({ kind: 'temperature', celsius: value })}
      />
      <WordsSheet
        open={sheet === 'note'}
        onOpenChange={(open) => setSheet(open ? 'note' : null)}
        title={say('bench.noteOn', { label: say.coded(step.label).toLowerCase() })}
        words={notes(say)}
        onSay={(text) => tell({ kind: 'note', text })}
      />
      <WordsSheet
        open={sheet === 'skip'}
        onOpenChange={(open) => setSheet(open ? 'skip' : null)}
        title={say('bench.skipBecause', { label: say.coded(step.label).toLowerCase() })}
        words={reasons(say)}
        onSay={(text) => tell({ kind: 'skip', text })}
      />
    </>
  );
}
