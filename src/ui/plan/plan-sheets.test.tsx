import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { baked } from '../../../test-support/batch';
import { MIN } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import type { Drift } from '@/core/schedule/drift';
import type { PlanChange } from '@/core/schedule/plan-changes';
import type { Proposal, ProposalBody } from '@/core/schedule/proposal';
import { AddDough } from './add-dough';
import { MendSheet } from './mend-sheet';
import { PlanNews } from './plan-news';
import { ProposalText } from './proposal-body';
import { TakenOut } from './taken-out';
import { WaysSheet } from './ways-sheet';
import { coded } from '@/core/codes/coded';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const house = standInHouse();
const HOUR = 60 * MIN;
const button = (name: string | RegExp) => screen.getByRole('button', { name });

const change = (more: Partial<PlanChange> = {}): PlanChange => ({
  ...{ doughId: 3, dough: 'Danish 12', label: 'Lock-in', from: 6 * HOUR, to: 6 * HOUR + 40 * MIN, more: 2 },
  ...{ why: 'the sheeter is out', ...more },
});
const body = (more: Partial<ProposalBody> = {}): ProposalBody => ({
  ...{ times: [], changes: [change()], cost: 340, costBefore: 300, late: [], needs: [], acts: [] },
  ...more,
});
const proposal = (more: Partial<Proposal> = {}): Proposal => ({
  ...{ id: 9, basis: 4, kind: 'mend', title: 'Danish 12 is 40 min behind', madeAt: 0, madeBy: 'Mara' },
  body: body(),
  ...more,
});

describe('what a plan would change', () => {
  const text = (one: ProposalBody) => <ProposalText body={one} zone="UTC" machines={ONE_OF_EACH.machines} />;

  it('is a line for what moves alike: which, from when to when, by how much and why', () => {
    show(text(body()));
    expect(screen.getByRole('listitem').textContent).toBe(
      'Danish 12, lock-in and 2 steps after it: Thu 06:00 Thu 06:40, 40 min laterthe sheeter is out',
    );
    expect(screen.getByText('All orders on time.')).toBeTruthy();
  });

  it('names the machine that a load is moved to', () => {
    show(text(body({ changes: [change({ label: 'Bake', more: 0, onto: ['oven'] })] })));
    expect(screen.getByRole('listitem').textContent).toBe('Danish 12, bake: Oventhe sheeter is out');
  });

  it('is cut where nobody reads on, and says how much more there is', () => {
    const changes = Array.from({ length: 15 }, (_, i) => change({ doughId: i, more: 0 }));
    show(text(body({ changes })));
    expect(screen.getAllByRole('listitem')).toHaveLength(12);
    expect(screen.getByText('and 3 more lines.')).toBeTruthy();
  });

  it('says first what it needs, and does not hide what stays late or unsettled', () => {
    const late = [
      {
        doughId: 3,
        dough: 'Danish 12',
        product: 'Plum danish',
        dueAt: 9 * HOUR,
        readyAt: 9 * HOUR + 25 * MIN,
      },
    ];
    show(text(body({ changes: [], late, needs: ['Piet comes from 5 to 7'], unsettled: true })));
    expect(screen.getByText('Piet comes from 5 to 7')).toBeTruthy();
    expect(screen.getByText('Nobody’s work moves.')).toBeTruthy();
    expect(screen.getByText(/plum danish ready/).textContent).toBe(
      'Danish 12: plum danish ready Thu 09:25, 25 min late',
    );
    expect(screen.queryByText('All orders on time.')).toBeNull();
    expect(screen.getByText(/may still shift/)).toBeTruthy();
  });
});

describe('a mend', () => {
  const sheet = (mayAccept: boolean, onClose = telling()) => (
    <MendSheet proposal={proposal()} zone="UTC" machines={[]} mayAccept={mayAccept} onClose={onClose} />
  );

  it('is accepted by a planner, and says why it cannot be any more', async () => {
    const close = telling();
    house.refuse({ message: 'The plan has changed since: Mara moved Danish 12.' });
    const { user } = show(sheet(true, close));
    await user.click(await screen.findByRole('button', { name: 'Accept' }));
    expect((await screen.findByRole('alert')).textContent).toContain('has changed since');
    expect(close).not.toHaveBeenCalled();
    await user.click(button('Discard'));
    await waitFor(() => expect(close).toHaveBeenCalledOnce());
    expect(house.sent).toEqual([
      { command: 'accept-proposal', input: { id: 9 } },
      { command: 'drop-proposal', input: { id: 9 } },
    ]);
  });

  it('is only looked at by a baker', async () => {
    show(sheet(false));
    expect(await screen.findByText(/A planner has to accept it/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Accept' })).toBeNull();
  });
});

describe('the news of the plan', () => {
  const drifts: Drift[] = [
    { doughId: 3, message: coded('drift.isBehind', { name: 'Danish 12', duration: { minutes: 40 } }), at: 0 },
    { doughId: null, message: coded('drift.handsTooFewAt', { over: 1, at: '06:00' }), at: HOUR },
  ];
  const jump = telling();
  const look = telling();
  const news = (of: readonly Drift[], mends: Proposal[] = [], mayPlan = true) => (
    <PlanNews drifts={of} mends={mends} mayPlan={mayPlan} onLook={look} onJump={jump} />
  );

  it('is one line with the one thing to do, and nothing where the day keeps to the plan', async () => {
    const { user, again } = show(news(drifts));
    await user.click(button('Danish 12 is 40 min behind, and 1 more'));
    expect(jump).toHaveBeenCalledWith(drifts[0]);
    expect(button('Find a repair')).toBeTruthy();
    again(news(drifts, [proposal()]));
    await user.click(button('See the proposed plan'));
    expect(look).toHaveBeenCalledWith(proposal());
    again(news([]));
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('says what a search came to: a better plan, none, or that the house is not answering', async () => {
    const answers = [
      {
        ok: true,
        result: { proposal: proposal({ kind: 'better', body: body({ changes: [] }) }), passed: false },
      },
      { ok: true, result: { passed: true } },
    ];
    vi.stubGlobal('fetch', () => {
      const next = answers.shift();
      return next
        ? Promise.resolve(new Response(`{"points":320,"late":1}\n${JSON.stringify(next)}\n`))
        : Promise.reject(new Error('no line'));
    });
    const { user } = show(news(drifts));
    for (const words of [
      'No better plan found; this one stays.',
      'Only small shifts: the plan is updated.',
      /is not answering/,
    ]) {
      await user.click(button('Find a repair'));
      expect(await screen.findByText(words)).toBeTruthy();
    }
  });
});

describe('a dough to be added', () => {
  const added = telling();
  const form = () => (
    <AddDough
      open
      onOpenChange={telling()}
      onAdded={added}
      products={[
        { id: 1, name: 'Butter crescent', optional: [{ id: 'degas', label: 'Degas' }] },
        { id: 2, name: 'Plum danish', optional: [] },
      ]}
      zone="UTC"
      now={0}
    />
  );

  it('takes several products, times as bakers write them, and one dough for two taps', async () => {
    house.result = { id: 12 };
    const { user } = show(form());
    await user.type(await screen.findByLabelText('Pieces'), '120');
    await user.click(button('Another product from this dough'));
    const [, pieces] = screen.getAllByLabelText('Pieces');
    const [, product] = screen.getAllByLabelText('Product');
    const [, time] = screen.getAllByLabelText('at');
    if (!pieces || !product || !time) throw new Error('The second product has its fields.');
    await user.type(pieces, '36');
    const [, way] = screen.getAllByLabelText('Fresh, frozen or kept as dough');
    if (!way) throw new Error('The second product has a way.');
    await user.selectOptions(way, 'frozen when shaped');
    await user.selectOptions(product, 'Plum danish');
    await user.clear(time);
    await user.type(time, '7.15');
    house.refuse({ message: 'That is the dough of a moment ago. Once more?', offer: { again: true } });
    await user.click(button('Add dough'));
    await user.click(await screen.findByRole('button', { name: 'Add anyway' }));
    const [first, second] = house.sent.map(({ input }) => input);
    expect(first?.outputs).toEqual([
      { productId: '1', pieces: '120', due: '1970-01-03T06:30', way: 'fresh' },
      { productId: '2', pieces: '36', due: '1970-01-03T07:15', way: 'to-freezer' },
    ]);
    expect(second).toEqual({ ...first, again: true });
    await waitFor(() => expect(added).toHaveBeenCalledWith(12));
  });

  it('leaves out what its products can do without', async () => {
    house.result = { id: 14 };
    const { user } = show(form());
    await user.type(await screen.findByLabelText('Pieces'), '120');
    await user.click(screen.getByLabelText('Degas'));
    await user.selectOptions(screen.getByLabelText('Proof'), 'at room temperature');
    await user.click(button('Add dough'));
    await waitFor(() =>
      expect(house.sent.at(-1)?.input).toMatchObject({ without: ['degas'], school: 'room' }),
    );
    await user.selectOptions(screen.getByLabelText('Product'), 'Plum danish');
    expect(screen.queryByText('Leave of this dough')).toBeNull();
  });

  it('that cannot be ready by then is told beside its time, with the earliest that works', async () => {
    house.result = { id: 13 };
    house.refuse({
      ...{ message: 'Mixing would have to begin Wed 22:00.', field: 'outputs.0.due' },
      offer: { earliest: 30 * HOUR },
    });
    const { user } = show(form());
    await user.type(await screen.findByLabelText('Pieces'), '120');
    await user.click(button('Add dough'));
    expect((await screen.findByRole('alert')).textContent).toBe('Mixing would have to begin Wed 22:00.');
    expect(button('Add it late, then find ways out')).toBeTruthy();
    await user.click(button('Use the earliest time'));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>('at').value).toBe('06:00');
    await user.click(button('Add dough'));
    expect(house.sent.at(-1)?.input.outputs).toEqual([
      { productId: '1', pieces: '120', due: '1970-01-02T06:00', way: 'fresh' },
    ]);
    await waitFor(() => expect(added).toHaveBeenCalledWith(13));
  });
});

describe('a dough that was taken out', () => {
  it('is put back with one tap, and offered for a while only', async () => {
    const close = telling();
    house.refuse({ message: 'Its place is taken by Danish 14.' });
    const { user } = show(<TakenOut dough={{ id: 5, name: 'Brioche 26' }} onClose={close} />);
    await user.click(button('Put it back'));
    expect(await screen.findByText('Its place is taken by Danish 14.')).toBeTruthy();
    await user.click(button('Put it back'));
    await waitFor(() => expect(close).toHaveBeenCalledOnce());
    expect(house.sent.map(({ input }) => input)).toEqual([{ doughId: 5 }, { doughId: 5 }]);
  });

  it('stays out when nobody says anything', () => {
    vi.useFakeTimers();
    const close = telling();
    show(<TakenOut dough={{ id: 5, name: 'Brioche 26' }} onClose={close} />);
    vi.advanceTimersByTime(19_000);
    expect(close).not.toHaveBeenCalled();
    vi.advanceTimersByTime(2000);
    expect(close).toHaveBeenCalledOnce();
    vi.useRealTimers();
  });
});

describe('ways out', () => {
  it('are tried one after the other, the kept and cheap first, and none that has no plan is picked', async () => {
    const prices: Record<string, { kept: boolean; cost: number } | string> = {
      later: { kept: true, cost: 420 },
      frozen: 'The freezer has none of them.',
      hands: { kept: false, cost: 310 },
      night: { kept: true, cost: 380 },
    };
    vi.stubGlobal('fetch', (_: string, { body: sent }: { body: string }) => {
      const { way } = JSON.parse(sent) as { way: string };
      const found = prices[way] ?? 'Nothing to change.';
      const answer =
        typeof found === 'string'
          ? { ok: false, status: 422, message: found, field: null, offer: null }
          : {
              ok: true,
              result: { kept: found.kept, proposal: proposal({ body: body({ cost: found.cost }) }) },
            };
      return Promise.resolve({ json: () => Promise.resolve(answer) });
    });
    const { user } = show(
      <WaysSheet
        open
        dough={baked()}
        pinned={false}
        basis={4}
        zone="UTC"
        machines={[]}
        onClose={telling()}
      />,
    );
    await screen.findByText('Select one to see what it would move.');
    await waitFor(() => expect(screen.queryByText(/^Working out/)).toBeNull());
    const rows = screen.getAllByRole('listitem').map(({ textContent }) => textContent ?? '');
    expect(rows.map((row) => /on time|still late|no plan/.exec(row)?.[0]).slice(0, 3)).toEqual([
      'on time',
      'on time',
      'still late',
    ]);
    expect(rows[0]).toContain('3 steps move');
    const none = screen.getByRole<HTMLButtonElement>('button', { name: /^Deliver from the freezer/ });
    expect([none.disabled, none.textContent]).toEqual([true, expect.stringContaining('none of them')]);
    await user.click(button(/^Work outside staffed hours/));
    expect(screen.getByRole('region', { name: 'Work outside staffed hours' })).toBeTruthy();
  });
});
