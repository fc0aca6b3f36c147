import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import { TellSheets } from './tell-sheets';
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
  say('bench.sticky'),
  say('bench.doughTears'),
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
export function NowSheets({ item, open, onOpen, tell }: Props) {
  const say = useWords();
  return (
    <>
      <TellSheets {...{ item, open, onOpen, tell }} notes={notes(say)} />
      <WordsSheet
        open={open === 'skip'}
        onOpenChange={(to) => onOpen(to ? 'skip' : null)}
        title={say('bench.skipBecause', { label: say.inLine(say.coded(item.step.label)) })}
        about={`${item.dough.id}/${item.step.key}/skip`}
        words={reasons(say)}
        onSay={(text) => tell({ kind: 'skip', text })}
      />
    </>
  );
}
