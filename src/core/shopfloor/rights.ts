import type { Person } from '../bakery/people';
import { EVENT_KINDS } from '../record/event-kinds';
import type { FloorEvent, FloorEventKind } from '../record/events';

/**
 * Who may see and do what. `viewer` is a screen on the wall; `resting` is a tablet that nobody has touched for long. Whoever
 * is not signed in is none of these and may sign in, nothing else.
 */
export const ACTORS = ['planner', 'baker', 'helper', 'viewer', 'resting'] as const;
export type Actor = (typeof ACTORS)[number];

const PLANNER: readonly Actor[] = ['planner'];
const BAKERS: readonly Actor[] = ['planner', 'baker'];
const CREW: readonly Actor[] = ['planner', 'baker', 'helper'];
const ALL: readonly Actor[] = ACTORS;

/** Pages by their path; a page that is not named here is nobody's. */
export const PAGES = {
  '/bench': ALL,
  '/proof': ALL,
  '/oven': ALL,
  '/handover': ALL,
  '/wall': ALL,
  '/plan': ALL,
  '/dough/[id]': ALL,
  '/dough/[id]/sheet': CREW,
  '/dough/[id]/cut': CREW,
  '/dough/[id]/labels': CREW,
  '/dough/[id]/card': CREW,
  '/papers/[kind]': CREW,
  '/batches': CREW,
  '/batches/compare': CREW,
  '/trends': BAKERS,
  '/practice': CREW,
  '/practice/[id]': CREW,
  '/practice/new': PLANNER,
  '/batch/[id]': CREW,
  '/formulas': CREW,
  '/formulas/[id]': CREW,
  '/formulas/new': PLANNER,
  '/formulas/ingredients': CREW,
  '/products': CREW,
  '/products/[id]': CREW,
  '/products/new': PLANNER,
  '/products/recipe': PLANNER,
  '/lamination': CREW,
  '/cutting': CREW,
  '/fillings': CREW,
  '/rooms': CREW,
  '/rooms/[id]': CREW,
  '/workbench': CREW,
  '/orders': BAKERS,
  '/orders/past': BAKERS,
  '/house': BAKERS,
  '/house/values': PLANNER,
  '/setup': PLANNER,
} satisfies Record<string, readonly Actor[]>;
export type Page = keyof typeof PAGES;

/** Routes that are not pages. Devices, calendars and the sign-in have doors of their own and are not among them. */
export const ROUTES = {
  'GET /api/feed': ALL,
  'GET /api/board': CREW,
  'GET /api/find': CREW,
  'POST /api/commands': ALL,
  'POST /api/plan/mend': BAKERS,
  'GET /api/plan': BAKERS,
  'GET /api/orders': BAKERS,
  'POST /api/products/try': PLANNER,
  'POST /api/products/read': PLANNER,
  'POST /api/setup/read': PLANNER,
  'GET /api/setup': PLANNER,
  'GET /api/products': CREW,
  'GET /api/formulas': CREW,
  'GET /api/amounts': CREW,
  'GET /api/doors': CREW,
  'GET /api/ingredients': CREW,
  'GET /api/papers': CREW,
  'GET /api/photos': CREW,
  'PUT /api/photos': CREW,
} satisfies Record<string, readonly Actor[]>;
export type Route = keyof typeof ROUTES;

/** Commands by name; a command that is not named here is nobody's. */
export const COMMANDS: Readonly<Record<string, readonly Actor[]>> = {
  // The floor.
  'record-event': CREW,
  'take-alarm': CREW,
  'write-handover': BAKERS,
  'sign-handover': BAKERS,
  'tell-place': BAKERS,
  'tell-room-day': BAKERS,
  'take-weather': BAKERS,
  'decline-evidence': BAKERS,
  'move-stock': BAKERS,
  'report-trouble': BAKERS,
  'end-trouble': BAKERS,
  'mark-told': BAKERS,
  'report-out-of': BAKERS,
  // Formulas and lamination.
  'save-formula': PLANNER,
  'save-product': PLANNER,
  'name-product': PLANNER,
  'name-formula': PLANNER,
  'remove-product': PLANNER,
  'take-products': PLANNER,
  'take-recipe': PLANNER,
  'adopt-mix': BAKERS,
  'save-ingredient': PLANNER,
  'remove-ingredient': PLANNER,
  'save-scheme': PLANNER,
  'remove-scheme': PLANNER,
  'restore-scheme': PLANNER,
  'choose-scheme': PLANNER,
  'relaminate-dough': PLANNER,
  // The plan.
  'add-dough': PLANNER,
  'remove-dough': PLANNER,
  'restore-dough': PLANNER,
  'move-step': PLANNER,
  'pin-step': PLANNER,
  'undo-plan': PLANNER,
  'redo-plan': PLANNER,
  'follow-dough': BAKERS,
  'propose-mend': BAKERS,
  // A baker only where the house lets them, and no planner is there.
  'accept-proposal': BAKERS,
  'drop-proposal': BAKERS,
  'try-way': PLANNER,
  // Orders.
  // A baker only where the house lets them, and no planner is there.
  'add-order': BAKERS,
  'take-orders': PLANNER,
  'change-order': PLANNER,
  'save-standing': PLANNER,
  'change-standing': PLANNER,
  'close-day': PLANNER,
  // The house.
  'save-shifts': PLANNER,
  'add-exception': PLANNER,
  'remove-exception': PLANNER,
  'save-machine': PLANNER,
  'remove-machine': PLANNER,
  'save-house': PLANNER,
  'save-place': PLANNER,
  'take-set-up': PLANNER,
  'remove-place': PLANNER,
  'make-sender': PLANNER,
  'withdraw-sender': PLANNER,
  'take-beginning': PLANNER,
  'set-value': PLANNER,
  'save-person': PLANNER,
  'take-busy': PLANNER,
  'set-limits': PLANNER,
  'set-clock': BAKERS,
  'set-demo': BAKERS,
  'open-practice': CREW,
  'keep-practice': CREW,
  'apply-remedy': PLANNER,
  'save-situation': PLANNER,
  'remove-situation': PLANNER,
  'make-address': BAKERS,
  'withdraw-address': BAKERS,
  'change-pin': CREW,
  'choose-language': CREW,
  'end-first-steps': CREW,
  'end-sessions': PLANNER,
  'make-tablet-code': PLANNER,
  'remove-tablet': PLANNER,
};

/** Who may record an event of a kind. */
const recorders = (kind: FloorEventKind): readonly Actor[] =>
  EVENT_KINDS[kind].may === 'crew' ? CREW : BAKERS;

/** What somebody is to the tables above. */
export const actorOf = ({ id, role }: Pick<Person, 'id' | 'role'>): Actor =>
  id === NOBODY ? 'resting' : role;

/** The number of whoever is at a tablet that rests. */
const NOBODY = 0;

/** Tells whether somebody may open a page. */
export const maySee = (person: Pick<Person, 'id' | 'role'>, page: Page): boolean =>
  PAGES[page].includes(actorOf(person));

/** Tells whether somebody may use a route. */
export const mayUse = (person: Pick<Person, 'id' | 'role'>, route: Route): boolean =>
  ROUTES[route].includes(actorOf(person));

/** Tells whether somebody may give a command. */
export const mayDo = (person: Pick<Person, 'id' | 'role'>, command: string): boolean =>
  Object.hasOwn(COMMANDS, command) && (COMMANDS[command] ?? []).includes(actorOf(person));

/** Tells whether somebody may record such an event. */
export const mayRecord = (person: Pick<Person, 'id' | 'role'>, kind: FloorEventKind): boolean =>
  recorders(kind).includes(actorOf(person));

/** Tells whether somebody may take this event back: helpers their own only. */
export const mayUndo = (person: Pick<Person, 'id' | 'role'>, event: Pick<FloorEvent, 'personId'>): boolean =>
  person.role !== 'helper' || event.personId === person.id;

/** Tells whether the person of this role only looks on: a screen on the wall, or a tablet that nobody has touched for long. */
export const looksOn = (role: Person['role']): boolean => role === 'viewer';

/**
 * Who is at a tablet that nobody has touched for long: nobody. Their number is nobody's either, so that what somebody has
 * recorded and still waits on the tablet is sent when they are back, and not refused in the meantime.
 */
export function resting(person: Person): Person {
  return { ...person, id: NOBODY, name: 'Nobody', role: 'viewer' };
}
