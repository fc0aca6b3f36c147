'use client';

import { useRouter } from 'next/navigation';
import type { Plannable } from './use-adding';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import { maySee } from '@/core/shopfloor/rights';
import type { Proposal } from '@/core/schedule/proposal';
import type { Board } from '@/core/wire/board';
import { drawnInBrowser } from '../kit/drawn-in-browser';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { withBoard } from '../live/with-board';
import { DoughPanel } from './dough-panel';
import { MoveCard } from './move-card';
import type { Group } from './plan-bar';
import { PlanSection } from './plan-section';
import { PlanSheets, type PlanSheet } from './plan-sheets';
import type { PlanState } from './plan-state';
import { TakenOut } from './taken-out';
import { usePlanKeys } from './use-plan-keys';
import { usePlanScene } from './use-plan-scene';
import { useShown } from './use-shown';
import { useTakingOut } from './use-taking-out';

interface Props {
  board: Board;
  plan: PlanState;
  products: Plannable[];
  person: Person;
  /** How the rows are gathered at first. */
  rows: Group;
}

/** Every dough as a thread over the days, what they hold beneath, and the one picked beside it. */
function PlanView({ board, plan, products, person, rows }: Props) {
  const say = useWords();
  const router = useRouter();
  const now = useMinute();
  const { zone } = board.house;
  const mayPlan = person.role === 'planner';
  const scene = usePlanScene(board, plan, person, now);
  const shown = useShown(scene, { now, zone, rows });
  const out = useTakingOut();
  const [sheet, setSheet] = useState<PlanSheet | null>(null);
  const [looked, setLooked] = useState<Proposal | null>(null);
  const { selected, pick } = shown;
  const facts = selected && scene.factsOf(selected.id);
  usePlanKeys(
    scene,
    shown,
    { mayPlan, now, zone },
    {
      onSheet: setSheet,
      onTakeOut: () => selected && out.takeOut(selected),
    },
  );
  return (
    <main className="grid flex-1 lg:min-h-0 lg:grid-cols-[1fr_21rem]">
      <h1 className="sr-only">{say('plan.plan')}</h1>
      <PlanSection
        {...{ board, plan, scene, shown, mayPlan, now }}
        maySeeOrders={maySee(person, '/orders')}
        trouble={out.trouble ?? scene.hand.trouble}
        onSheet={setSheet}
        onLook={setLooked}
      />
      {selected && facts ? (
        <DoughPanel
          dough={selected}
          facts={facts}
          {...{ now, zone, whole: scene.whole, sampled: scene.sampled, duties: scene.duties, mayPlan }}
          {...{ people: board.people, machines: board.machines, rolling: board.rolling }}
          step={shown.step}
          onStep={shown.setStep}
          hand={scene.hand}
          onTakeOut={mayPlan ? () => out.takeOut(selected) : null}
          onWays={mayPlan ? () => setSheet('ways') : null}
        />
      ) : (
        <aside className="border-l border-hairline p-6 text-lg text-quiet">
          {say('plan.pickAThreadToSee')}
        </aside>
      )}
      <MoveCard hand={scene.hand} whole={scene.whole} machines={board.machines} zone={zone} />
      <PlanSheets
        {...{ board, products, person, now, facts, looked }}
        basis={plan.basis}
        mayRepair={plan.mayRepair}
        open={sheet}
        onOpen={setSheet}
        onLooked={() => setLooked(null)}
        onAdded={(id) => {
          pick(id);
          router.refresh();
        }}
        onChanged={() => router.refresh()}
      />
      {out.taken && <TakenOut dough={out.taken} onClose={out.forget} />}
    </main>
  );
}

export const PlanScreen = drawnInBrowser(withBoard(PlanView));
