import { v7 as uuidv7 } from 'uuid';
import type { OrderBook } from '@/core/demand/book';
import { type Answer, SIGNED_OUT } from '@/core/wire/answer';
import type { Board } from '@/core/wire/board';
import type { HandoverWords } from '@/core/shopfloor/handover-words';
import type { DemoWishes } from '@/core/wire/demo-wishes';
import { unpackBoard, type PackedBoard } from '@/core/wire/packed-board';
import type { CrewTap } from '@/core/double/shift-work';

/** What a tablet of the floor starts from. */
export interface Floor {
  now: number;
  board: Board;
  /** Who is at another tablet just now. */
  atTablets: number[];
  /** What a visitor of the demo has asked; null in a bakery that is no demo. */
  demo: DemoWishes | null;
  /** What shifts have left for the next, and who has read it. */
  words: HandoverWords[];
}

/** A session that somebody of the crew has opened with their PIN. */
interface Session {
  cookie: string;
  id: number;
}

/** What is asked of the house. */
interface HouseRequest {
  method: 'GET' | 'POST' | 'DELETE';
  path: string;
  cookie: string;
  body?: unknown;
  headers?: Record<string, string>;
}

const PATIENCE = 20_000;

const cookiesOf = (answer: Response): string =>
  answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');

/**
 * The tablet that the simulated crew shares: it signs each of them in with their PIN and sends their taps, as the house's
 * own pages do, through the same doors.
 */
export class CrewTablet {
  private device: string | null = null;
  private readonly sessions = new Map<number, Session>();

  /**
   * @param house - its address
   * @param pins - of the crew, by person id
   */
  constructor(
    private readonly house: string,
    private readonly pins: ReadonlyMap<number, string>,
  ) {}

  /** The floor as it is now, seen by somebody of the crew. */
  async floor(personId: number): Promise<Floor> {
    const { board, ...rest } = (await this.read(personId, '/api/board')) as Omit<Floor, 'board'> & {
      board: PackedBoard;
    };
    return { ...rest, board: unpackBoard(board) };
  }

  /** The order book, seen by somebody who may. */
  async orders(personId: number): Promise<OrderBook> {
    return (await this.read(personId, '/api/orders')) as OrderBook;
  }

  /** Records a tap, with its own time where it is recorded `late`; returns why where the house refuses it. */
  tap({ personId, at, doughId, stepKey, body }: CrewTap, late: boolean): Promise<string | null> {
    const id = uuidv7();
    return this.send(
      personId,
      'record-event',
      { ...body, id, doughId, stepKey, ...(late ? { at } : {}) },
      id,
    );
  }

  /** Gives a command; returns why where the house refuses it. */
  async send(
    personId: number,
    command: string,
    body: Record<string, unknown>,
    key: string = uuidv7(),
  ): Promise<string | null> {
    const answer = await this.command(personId, command, body, key);
    return answer.ok ? null : answer.message;
  }

  /** Gives a command, and returns what the house answers. */
  command(
    personId: number,
    command: string,
    body: Record<string, unknown>,
    key: string = uuidv7(),
  ): Promise<Answer> {
    return this.asPerson(personId, ({ cookie, id }) => ({
      ...{ method: 'POST', path: `/api/commands/${command}`, cookie, body },
      headers: { 'idempotency-key': key, 'x-recorded-by': `${personId}/${id}` },
    }));
  }

  /** Signs everybody out. */
  async leave(): Promise<void> {
    for (const { cookie } of this.sessions.values())
      await this.ask({ method: 'DELETE', path: '/api/session', cookie });
    this.sessions.clear();
  }

  private async read(personId: number, path: string): Promise<unknown> {
    const answer = await this.asPerson(personId, ({ cookie }) => ({ method: 'GET', path, cookie }));
    if (!answer.ok) throw new Error(answer.message);
    return answer.result;
  }

  /** Asks in somebody's session; signs them in once more where theirs is over. */
  private async asPerson(personId: number, request: (session: Session) => HouseRequest): Promise<Answer> {
    for (let tries = 0; ; tries++) {
      const response = await this.ask(request(await this.signIn(personId)));
      const answer = (await response.json()) as Answer;
      if (answer.ok || answer.status !== SIGNED_OUT || tries > 0) return answer;
      this.sessions.delete(personId);
    }
  }

  private async signIn(personId: number): Promise<Session> {
    const known = this.sessions.get(personId);
    if (known) return known;
    const device = (this.device ??= cookiesOf(
      await this.ask({ method: 'POST', path: '/api/tablet', cookie: '', body: {} }),
    ));
    const body = { personId, pin: this.pins.get(personId) ?? '' };
    const response = await this.ask({ method: 'POST', path: '/api/session', cookie: device, body });
    const answer = (await response.json()) as Answer;
    if (!answer.ok) throw new Error(answer.message);
    const { sessionId } = answer.result as { sessionId: number };
    const session = { cookie: `${device}; ${cookiesOf(response)}`, id: sessionId };
    this.sessions.set(personId, session);
    return session;
  }

  private ask({ method, path, cookie, body, headers = {} }: HouseRequest): Promise<Response> {
    return fetch(new URL(path, this.house), {
      method,
      headers: {
        ...{ origin: new URL(this.house).origin, cookie, ...headers },
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE),
    });
  }
}
