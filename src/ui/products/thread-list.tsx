'use client';

import clsx from 'clsx';
import { ArrowDown, ArrowUp, GitBranch, Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { ProductFault } from '@/core/process/product-faults';
import { joinAt, moveStep, removeStep, type Thread, type ThreadStep } from '@/core/process/threads';
import { useWords } from '../kit/words';
import { stepFacts } from './facts';
import { BRANCH_NAMES } from '@/core/process/step-words';

interface Props {
  label: string;
  /** `dough` or `output`: what faults name their steps by. */
  part: 'dough' | 'output';
  threads: readonly Thread[];
  faults: readonly ProductFault[];
  scheme: string;
  mayChange: boolean;
  onChange: (threads: Thread[]) => void;
  onEdit: (at: ThreadStep) => void;
  /** Add after a step; before the first where it is null. */
  onAdd: (after: string | null) => void;
  /** Make something beside, which joins a step. */
  onBranch: (joins: string) => void;
}

/** The steps of a route in their order: what is made beside comes before the step that it joins. */
export function ThreadList(props: Props) {
  const { label, part, threads, faults } = props;
  const say = useWords();
  const own = faults.filter(({ at }) => at === part);
  return (
    <section aria-label={label}>
      <div className="flex flex-wrap items-baseline justify-between border-b border-edge pb-1">
        <h2 className="text-xl font-bold">{label}</h2>
        {props.mayChange && (
          <button className="min-h-9 px-2 text-[15px] underline" onClick={() => props.onAdd(null)}>
            {say('product.addFirst')}
          </button>
        )}
      </div>
      <Faults faults={own} />
      <Steps {...props} nth={0} />
      {threads.length === 0 && <p className="py-2 text-warn">{say('product.noSteps')}</p>}
    </section>
  );
}

/** The steps of one thread, with the threads that join them. */
function Steps({ nth, ...props }: Props & { nth: number }): ReactNode {
  const { threads } = props;
  const say = useWords();
  const thread = threads[nth];
  return (
    <ol>
      {thread?.steps.map((one, i) => (
        <li key={one.step.id}>
          {threads.map(
            (joining, at) =>
              joining.joins?.step === one.step.id && (
                <div
                  key={joining.steps[0]?.step.id}
                  role="group"
                  aria-label={say.coded(BRANCH_NAMES[joining.branch ?? 'filling'])}
                  className="ml-6 border-l-4 border-butter pl-3"
                >
                  <BranchHead {...props} joining={joining} />
                  <Steps {...props} nth={at} />
                </div>
              ),
          )}
          <StepRow {...props} one={one} isFirst={i === 0} isLast={i === thread.steps.length - 1} />
        </li>
      ))}
    </ol>
  );
}

interface BranchProps extends Props {
  joining: Thread;
}

/** What is made beside, and the step that it joins. */
function BranchHead({ joining, threads, mayChange, onChange }: BranchProps) {
  const say = useWords();
  const { joins, steps, branch = 'filling' } = joining;
  const own = steps[0]?.step.id ?? '';
  const others = threads.filter((thread) => thread !== joining).flatMap((thread) => thread.steps);
  return (
    <div className="flex flex-wrap items-center gap-2 pt-1 text-[15px] text-quiet">
      <span>{say('product.branchOf', { branch: say.coded(BRANCH_NAMES[branch]) })}</span>
      {mayChange && joins && (
        <label className="flex items-center gap-1">
          {say('product.joinsAt')}
          <select
            className="min-h-9 rounded border border-edge bg-ground px-1"
            value={joins.step}
            onChange={(event) => onChange(joinAt(threads, own, { ...joins, step: event.target.value }))}
          >
            {others.map(({ step }) => (
              <option key={step.id} value={step.id}>
                {say.coded(step.label)}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

interface RowProps extends Props {
  one: ThreadStep;
  isFirst: boolean;
  isLast: boolean;
}

function StepRow({ one, isFirst, isLast, ...props }: RowProps) {
  const { part, threads, faults, scheme, mayChange, onChange, onEdit, onAdd, onBranch } = props;
  const say = useWords();
  const { step } = one;
  const name = say.coded(step.label);
  const own = faults.filter(({ at }) => at === `${part}.${step.id}`);
  return (
    <div
      className={clsx(
        'border-b border-hairline py-1',
        own.some(({ isLack }) => !isLack) && 'border-l-4 border-l-warn pl-2',
      )}
    >
      <div className="flex items-center gap-x-2">
        <div className="mr-auto flex min-w-0 flex-wrap items-center gap-x-2">
          <button
            className="min-h-11 min-w-40 text-left text-[17px] font-semibold underline underline-offset-4 disabled:no-underline"
            disabled={!mayChange}
            aria-label={mayChange ? say('product.editStep', { step: name }) : name}
            onClick={() => onEdit(one)}
          >
            {name}
          </button>
          <p className="text-[15px] text-quiet">{stepFacts(step, scheme).map(say.coded).join(' · ')}</p>
        </div>
        {mayChange && (
          <span className="flex flex-none">
            <IconButton
              label={say('product.earlier', { step: name })}
              isOff={isFirst}
              onPress={() => onChange(moveStep(threads, step.id, -1))}
            >
              <ArrowUp aria-hidden size={18} />
            </IconButton>
            <IconButton
              label={say('product.later', { step: name })}
              isOff={isLast}
              onPress={() => onChange(moveStep(threads, step.id, 1))}
            >
              <ArrowDown aria-hidden size={18} />
            </IconButton>
            <IconButton label={say('product.addAfter', { step: name })} onPress={() => onAdd(step.id)}>
              <Plus aria-hidden size={18} />
            </IconButton>
            <IconButton label={say('product.joins', { step: name })} onPress={() => onBranch(step.id)}>
              <GitBranch aria-hidden size={18} />
            </IconButton>
            <IconButton
              label={say('product.remove', { step: name })}
              onPress={() => onChange(removeStep(threads, step.id))}
            >
              <X aria-hidden size={18} />
            </IconButton>
          </span>
        )}
      </div>
      <Faults faults={own} />
    </div>
  );
}

interface IconButtonProps {
  label: string;
  isOff?: boolean;
  onPress: () => void;
  children: ReactNode;
}

function IconButton({ label, isOff = false, onPress, children }: IconButtonProps) {
  return (
    <button
      type="button"
      className="grid size-10 place-items-center rounded disabled:opacity-30"
      title={label}
      aria-label={label}
      disabled={isOff}
      onClick={onPress}
    >
      {children}
    </button>
  );
}

/** What is wrong here, a line each; what the bakery lacks is no fault of the product. */
export function Faults({ faults }: { faults: readonly ProductFault[] }) {
  const say = useWords();
  return faults.map(({ message, isLack }, i) => (
    <p key={i} className={clsx('pb-1 text-[15px]', isLack ? 'text-quiet' : 'text-warn')}>
      {say.coded(message)}
    </p>
  ));
}
