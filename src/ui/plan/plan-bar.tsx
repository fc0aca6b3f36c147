'use client';

import { useWords } from '../kit/words';
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
  const say = useWords();
  const { view, onView, now, zone, openDoughs, late, history, onAct, onSheet } = props;
  return (
    <div className="flex flex-wrap items-center gap-1.5 py-2">
      <Button onClick={() => onView(moved(view, -1))} aria-label={say('plan.earlier')}>
        <ChevronLeft {...ICON} />
      </Button>
      <Button onClick={() => onView(homeWindow(now, view.hours, zone))}>{say('plan.now')}</Button>
      <Button onClick={() => onView(moved(view, 1))} aria-label={say('plan.later')}>
        <ChevronRight {...ICON} />
      </Button>
      <Button
        onClick={() => onView(zoomed(view, -1))}
        disabled={!canZoom(view.hours, -1)}
        aria-label={say('plan.closer')}
      >
        <ZoomIn {...ICON} />
      </Button>
      <Button
        onClick={() => onView(zoomed(view, 1))}
        disabled={!canZoom(view.hours, 1)}
        aria-label={say('plan.wider')}
      >
        <ZoomOut {...ICON} />
      </Button>
      <p className="text-[15px] text-quiet max-2xl:sr-only" role="status">
        {say.rich('plan.doughDoughsUnderWayOr', {
          openDoughs,
          span: (words) => <span className="sr-only">{words}</span>,
          spanWords: say.coded(spanWords(view.hours)),
        })}
      </p>
      {late > 0 && (
        <Button
          className="font-semibold text-warn"
          onClick={props.onLate}
          aria-label={say('plan.promisePromisesLate', { late })}
        >
          {say('plan.late', { late })}
        </Button>
      )}
      <select
        aria-label={say('plan.rows')}
        className="min-h-9 rounded border border-edge bg-flour px-1 text-[15px]"
        value={props.group}
        onChange={(event) => props.onGroup(event.target.value as Group)}
      >
        <option value="dough">{say('plan.doughs')}</option>
        <option value="station">{say('plan.stations')}</option>
        <option value="person">{say('plan.people')}</option>
      </select>
      <input
        type="search"
        aria-label={say('plan.showOnlyDoughsWithThis')}
        placeholder={say('plan.only')}
        className="min-h-9 w-22 rounded border border-edge bg-flour px-2 text-[15px]"
        value={props.filter}
        onChange={(event) => props.onFilter(event.target.value)}
      />
      <span className="ml-auto" />
      {history && (
        <>
          <Button
            disabled={!history.undo}
            onClick={() => onAct('undo-plan')}
            aria-label={history.undo ? say('plan.undo', { undo: history.undo }) : say('plan.nothingToUndo')}
            title={history.undo ? say('plan.undo', { undo: history.undo }) : undefined}
          >
            <Undo2 {...ICON} />
          </Button>
          <Button
            disabled={!history.redo}
            onClick={() => onAct('redo-plan')}
            aria-label={
              history.redo ? say('plan.doAgain', { redo: history.redo }) : say('plan.nothingToDoAgain')
            }
            title={history.redo ? say('plan.doAgain', { redo: history.redo }) : undefined}
          >
            <Redo2 {...ICON} />
          </Button>
        </>
      )}
      <Button look="quiet" onClick={() => onSheet('files')}>
        {say('plan.files')}
      </Button>
      <Button look="quiet" onClick={() => onSheet('keys')} aria-label={say('plan.signsAndKeys')}>
        <kbd className="font-sans font-bold">?</kbd>
      </Button>
      {history && (
        <Button look="act" className="flex items-center gap-1" onClick={() => onSheet('add')}>
          <Plus {...ICON} />
          {say('plan.addDough2')}
        </Button>
      )}
    </div>
  );
}
