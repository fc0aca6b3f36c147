import type { ModelTask } from './model';
import type { Block, View } from './network';

/** Farthest apart, in minutes, that the earliest and latest start after a fork may be for siblings to count as near. */
const NEAR = 180;

/** What several tasks hold at once, for certain, from `from` minutes after the fork for `length` minutes. */
export interface SharedHold {
  resource: number;
  amounts: number[];
  from: number;
  length: number;
}

/** Work of several tasks that has to find room on one resource within `span` minutes from `from` after the fork. */
export interface SharedWork {
  resource: number;
  from: number;
  span: number;
  works: { amount: number; length: number; from: number; span: number }[];
}

export interface Company {
  holds: SharedHold[];
  works: SharedWork[];
}

interface Claim {
  task: ModelTask;
  /** Earliest and latest start after the fork. */
  earliest: number;
  latest: number;
  /** The least that it lasts. */
  length: number;
}

/**
 * What the branches that leave a block soon after each other ask for together: products of one project are shaped by the
 * same hands straight after the cut and lie in the same cold. `children` are the blocks that start them, as seen from
 * the fork. Only what is certain wherever each of them starts is said, so it is a lower bound of what they contend for.
 */
export function companyOf(blocks: readonly Block[], children: readonly View[]): Company | null {
  const claims = children.map((view) => claimsOf(blocks[view.child] as Block, view));
  const resources = new Set(
    claims.flatMap((own) => own.flatMap(({ task }) => task.uses.map((u) => u.resource))),
  );
  const company: Company = { holds: [], works: [] };
  for (const resource of resources) {
    const using = claims.map((own) => own.filter(({ task }) => amountOf(task, resource) > 0));
    if (using.filter((own) => own.length > 0).length < 2) continue;
    company.holds.push(...holdsOf(using.flat(), resource));
    const works = using.flat().filter(({ task }) => task.min === task.max);
    if (works.length > 1) company.works.push(workOf(works, resource));
  }
  return company.holds.length + company.works.length > 0 ? company : null;
}

function claimsOf(child: Block, { low, high }: View): Claim[] {
  if (low < 0 || high - low > NEAR) return [];
  const tasks = child.tasks.map(({ task, offset, length }) => {
    return { task, earliest: low + offset, latest: high + offset, length };
  });
  const waits = child.views.flatMap(({ tie: { wait }, starts }) => {
    if (!wait || !starts) return [];
    const { task, startOffset } = wait;
    return [{ task, earliest: low + startOffset, latest: high + startOffset, length: task.min }];
  });
  return [...tasks, ...waits].filter(({ length }) => length > 0);
}

const amountOf = (task: ModelTask, resource: number): number =>
  task.uses.find((use) => use.resource === resource)?.amount ?? 0;

/** Stretches at which at least two claims hold the resource wherever they start. */
function holdsOf(claims: readonly Claim[], resource: number): SharedHold[] {
  const sure = claims
    .map(({ task, earliest, latest, length }) => {
      return { amount: amountOf(task, resource), from: latest, to: earliest + length };
    })
    .filter(({ from, to }) => from < to);
  const edges = [...new Set(sure.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  return edges.flatMap((from, i) => {
    const to = edges[i + 1];
    const amounts = sure.filter((s) => s.from <= from && s.to > from).map(({ amount }) => amount);
    return to === undefined || amounts.length < 2 ? [] : [{ resource, amounts, from, length: to - from }];
  });
}

function workOf(claims: readonly Claim[], resource: number): SharedWork {
  const works = claims.map(({ task, earliest, latest, length }) => {
    return { amount: amountOf(task, resource), length, from: earliest, span: latest + length - earliest };
  });
  const from = Math.min(...works.map((work) => work.from));
  const to = Math.max(...works.map((work) => work.from + work.span));
  return { resource, from, span: to - from, works };
}
