import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { useWords } from '../kit/words';
import { AliveSheet } from './alive-sheet';
import { TemperatureSheet } from './temperature-sheet';
import { WordsSheet } from './words-sheet';

/** A sheet that lies over the card. */
export type WaitSheet = 'alive' | 'temperature' | 'note';

interface Props {
  item: AgendaItem;
  open: WaitSheet | null;
  onOpen: (sheet: WaitSheet | null) => void;
  tell: (part: EventBody) => void;
}

/** What can be told of a wait beside how it looks: whether it is alive, a temperature, a note. */
export function WaitSheets({ item: { dough, step }, open: sheet, onOpen: setSheet, tell }: Props) {
  const say = useWords();
  const { alive } = step.step;
  return (
    <>
      {alive && (
        <AliveSheet
          open={sheet === 'alive'}
          onOpenChange={(open) => setSheet(open ? 'alive' : null)}
          of={alive.of}
          signs={alive.signs}
          onAnswer={(data) => tell({ kind: 'alive', data })}
        />
      )}
      <TemperatureSheet
        open={sheet === 'temperature'}
        onOpenChange={(open) => setSheet(open ? 'temperature' : null)}
        step={step.step}
        of={{ doughId: dough.id, stepKey: step.key }}
        onTell={(degrees) => tell({ kind: 'temperature', celsius: degrees })}
      />
      <WordsSheet
        open={sheet === 'note'}
        onOpenChange={(open) => setSheet(open ? 'note' : null)}
        title={say('bench.noteOn', { label: say.coded(step.label).toLowerCase() })}
        words={[
          say('bench.skinHasFormed'),
          'condensation',
          say('bench.smellsSour'),
          say('bench.leaksButter'),
          say('bench.justRight'),
        ]}
        onSay={(text) => tell({ kind: 'note', text })}
      />
    </>
  );
}
