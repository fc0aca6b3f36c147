'use client';

import { ChevronLeft, ChevronRight, Plus, Redo2, Undo2, ZoomIn, ZoomOut } from 'lucide-react';
import { Button } from '../kit/button';
import { canZoom, homeWindow, moved, spanWords, zoomed, type TimeWindow } from './time-window';

interface Props {
  view: TimeWindow;
  onView: (view: TimeWindow) => void;
  now: number;
  zone: string;
  openDoughs: number;
  late: number;
  onLate: () => void;
  group: Group;
  onGroup: (group: Group) => void;
  filter: string;
  onFilter: (text: string) => void;
  /** What undo would take back and redo would do again; null where the person may not plan. */
  history: { undo: string | null; redo: string | null } | null;
  onAct: (act: 'undo-plan' | 'redo-plan') => void;
  onSheet: (sheet: 'add' | 'keys' | 'files') => void;
}

/** How the rows of the plan are gathered. */
export type Group = 'dough' | 'station' | 'person';

const ICON = { 'aria-hidden': true, size: 18 } as const;

/** Where and how wide the plan is looked at, and what can be done to the whole of it. */
export function PlanBar(props: Props) {
  const { view, onView, now, zone, openDoughs, late, history, onAct, onSheet } = props;
  return (
    <div className="flex flex-wrap items-center gap-1.5 py-2">
      <Button onClick={() => onView(moved(view, -1))} aria-label="Earlier">
        <ChevronLeft {...ICON} />
      </Button>
      <Button onClick={() => onView(homeWindow(now, view.hours, zone))}>Now</Button>
      <Button onClick={() => onView(moved(view, 1))} aria-label="Later">
        <ChevronRight {...ICON} />
      </Button>
      <Button
        onClick={() => onView(zoomed(view, -1))}
        disabled={!canZoom(view.hours, -1)}
        aria-label="Closer"
      >
        <ZoomIn {...ICON} />
      </Button>
      <Button onClick={() => onView(zoomed(view, 1))} disabled={!canZoom(view.hours, 1)} aria-label="Wider">
        <ZoomOut {...ICON} />
      </Button>
      <p className="text-[15px] text-quiet max-2xl:sr-only" role="status">
        {openDoughs} {openDoughs === 1 ? 'dough' : 'doughs'}
        <span className="sr-only"> under way or to come</span>, {spanWords(view.hours)}
      </p>
      {late > 0 && (
        <Button
          className="font-semibold text-warn"
          onClick={props.onLate}
          aria-label={`${late} ${late === 1 ? 'promise' : 'promises'} late`}
        >
          {late} late
        </Button>
      )}
      <select
        aria-label="Rows"
        className="min-h-9 rounded border border-edge bg-flour px-1 text-[15px]"
        value={props.group}
        onChange={(event) => props.onGroup(event.target.value as Group)}
      >
        <option value="dough">Doughs</option>
        <option value="station">Stations</option>
        <option value="person">People</option>
      </select>
      <input
        type="search"
        aria-label="Show only doughs with this word"
        placeholder="Only …"
        className="min-h-9 w-18 rounded border border-edge bg-flour px-2 text-[15px]"
        value={props.filter}
        onChange={(event) => props.onFilter(event.target.value)}
      />
      <span className="ml-auto" />
      {history && (
        <>
          <Button
            disabled={!history.undo}
            onClick={() => onAct('undo-plan')}
            aria-label={history.undo ? `Undo: ${history.undo}` : 'Nothing to undo'}
            title={history.undo ? `Undo: ${history.undo}` : undefined}
          >
            <Undo2 {...ICON} />
          </Button>
          <Button
            disabled={!history.redo}
            onClick={() => onAct('redo-plan')}
            aria-label={history.redo ? `Do again: ${history.redo}` : 'Nothing to do again'}
            title={history.redo ? `Do again: ${history.redo}` : undefined}
          >
            <Redo2 {...ICON} />
          </Button>
        </>
      )}
      <Button look="quiet" onClick={() => onSheet('files')}>
        Files
      </Button>
      <Button look="quiet" onClick={() => onSheet('keys')} aria-label="Keys">
        <kbd className="font-sans font-bold">?</kbd>
      </Button>
      {history && (
        <Button look="act" className="flex items-center gap-1" onClick={() => onSheet('add')}>
          <Plus {...ICON} /> Add dough
        </Button>
      )}
    </div>
  );
}
