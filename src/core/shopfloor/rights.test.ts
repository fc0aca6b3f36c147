import { describe, expect, it } from 'vitest';
import { FLOOR_EVENT_KINDS } from '../record/event-kinds';
import {
  ACTORS,
  actorOf,
  COMMANDS,
  looksOn,
  maySee,
  mayDo,
  mayRecord,
  mayUndo,
  mayUse,
  PAGES,
  resting,
  ROUTES,
  type Actor,
  type Page,
  type Route,
} from './rights';
import type { Person } from '../bakery/people';

const somebody = (role: Person['role']): Person => ({ id: 3, name: 'Jonas', role, team: 'nights' });
const PEOPLE: Record<Actor, Person> = {
  planner: somebody('planner'),
  baker: somebody('baker'),
  helper: somebody('helper'),
  viewer: somebody('viewer'),
  resting: resting(somebody('planner')),
};

describe('the table of rights', () => {
  it('knows a planner at a tablet that rests as nobody in particular', () => {
    for (const actor of ACTORS) expect(actorOf(PEOPLE[actor])).toBe(actor);
    expect(looksOn(PEOPLE.resting.role)).toBe(true);
    expect(PEOPLE.resting.name).not.toBe('Jonas');
    // What waits on the tablet under Jonas’s number waits for Jonas.
    expect(PEOPLE.resting.id).not.toBe(3);
  });

  it('lets nobody change anything from a screen on the wall or a tablet that rests', () => {
    for (const actor of ['viewer', 'resting'] as const) {
      expect(Object.keys(COMMANDS).filter((name) => mayDo(PEOPLE[actor], name))).toEqual([]);
      expect(FLOOR_EVENT_KINDS.filter((kind) => mayRecord(PEOPLE[actor], kind))).toEqual([]);
    }
  });

  it('shows them no customers, no notes of absences, no calendars, no batches and no photos', () => {
    for (const actor of ['viewer', 'resting'] as const) {
      const seen = (Object.keys(PAGES) as Page[]).filter((page) => maySee(PEOPLE[actor], page));
      expect(seen).toEqual(['/bench', '/proof', '/oven', '/handover', '/wall', '/plan', '/dough/[id]']);
      const used = (Object.keys(ROUTES) as Route[]).filter((route) => mayUse(PEOPLE[actor], route));
      expect(used).toEqual(['GET /api/feed', 'POST /api/commands']);
    }
  });

  it('lets a helper tick and measure, fold to the end, and neither judge nor leave out', () => {
    expect(FLOOR_EVENT_KINDS.filter((kind) => !mayRecord(PEOPLE.helper, kind)).sort()).toEqual(
      ['alive', 'check', 'close', 'conditions', 'lost', 'marks', 'mix', 'scrap', 'skip', 'verdict'].sort(),
    );
    expect(mayRecord(PEOPLE.helper, 'turn')).toBe(true);
  });

  it('lets a helper take back their own taps only', () => {
    expect(mayUndo(PEOPLE.helper, { personId: 3 })).toBe(true);
    expect(mayUndo(PEOPLE.helper, { personId: 4 })).toBe(false);
    expect(mayUndo(PEOPLE.baker, { personId: 4 })).toBe(true);
  });

  it('lets a planner do and see all there is, and a baker never more', () => {
    for (const name of Object.keys(COMMANDS)) expect(mayDo(PEOPLE.planner, name)).toBe(true);
    for (const kind of FLOOR_EVENT_KINDS) expect(mayRecord(PEOPLE.planner, kind), kind).toBe(true);
    for (const page of Object.keys(PAGES) as Page[]) expect(maySee(PEOPLE.planner, page)).toBe(true);
  });

  it('is nobody’s where a name is not in it, not even one that every object has', () => {
    expect(mayDo(PEOPLE.planner, 'constructor')).toBe(false);
    expect(mayDo(PEOPLE.planner, 'no-such-command')).toBe(false);
  });
});
