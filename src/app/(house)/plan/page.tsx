import { redirect } from 'next/navigation';
import { mayDo, maySee } from '@/core/shopfloor/rights';
import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { newestPlan } from '@/server/store/planned-steps';
import { houseSettings, whoAcceptsRepairs } from '@/server/store/house';
import { planHistory } from '@/server/store/plan-history';
import { openMends } from '@/server/store/proposals';
import { packedBoard } from '@/server/store/shared-board';
import { plannableProducts } from '@/server/store/products';
import { houseWordsHere } from '@/server/reader';
import { spokenProposal } from '@/server/spoken';
import { WordsOf } from '@/app/words-of';
import { PlanScreen } from '@/ui/plan/plan-view';

export const generateMetadata = titled('titles.plan');

type Asked = { searchParams: Promise<{ rows?: string | string[] }> };

export default async function PlanPage({ searchParams }: Asked) {
  const { person, now } = await housePage('/plan');
  const [packed, products, basis, history, mends, settings, accepts] = await Promise.all([
    packedBoard(pool(), now, 2),
    plannableProducts(pool()),
    newestPlan(pool()),
    planHistory(pool()),
    openMends(pool()),
    houseSettings(pool()),
    whoAcceptsRepairs(pool(), now),
  ]);
  // Where nothing is made yet there is nothing to plan: set-up says what is missing.
  if (products.length === 0 && maySee(person, '/setup')) redirect('/setup');
  const { rows } = await searchParams;
  const say = await houseWordsHere(pool());
  const [undo, redo] = [history.undo, history.redo].map((act) => (act ? say.coded(act.reason) : null));
  const told = { undo: undo ?? null, redo: redo ?? null };
  const weights = { lateMatters: settings.lateMatters, stay: settings.stayCost };
  const mayRepair = person.role === 'planner' || (accepts === 'bakers' && mayDo(person, 'accept-proposal'));
  const plan = {
    basis,
    history: told,
    mends: mends.map((mend) => spokenProposal(say, mend)),
    mayRepair,
    ...weights,
  };
  return (
    <WordsOf
      areas={[
        'cutting',
        'drift',
        'heat',
        'lamination',
        'names',
        'orders',
        'plan',
        'racks',
        'remarks',
        'rooms',
        'shaping',
        'steps',
        'thread',
        'turns',
        'waysOut',
      ]}
    >
      <PlanScreen
        packed={packed}
        rest={{ plan, products, person, rows: rows === 'person' || rows === 'station' ? rows : 'dough' }}
      />
    </WordsOf>
  );
}
