import type { HouseRecord } from '@/core/bakery/house-record';
import type { Proposal } from '@/core/schedule/proposal';
import type { Say } from '@/words/say';

/** A proposal as it leaves for a screen: what was kept with it is said in the reader's language, so that the screen need not know every word there is. */
export const spokenProposal = (say: Say, proposal: Proposal): Proposal => ({
  ...proposal,
  title: say.coded(proposal.title),
  body: {
    ...proposal.body,
    needs: proposal.body.needs.map(say.coded),
    changes: proposal.body.changes.map((change) => ({ ...change, why: say.coded(change.why) })),
  },
});

/** What was changed in the house, as it leaves for a screen. */
export const spokenRecord = (say: Say, record: HouseRecord): HouseRecord => ({
  ...record,
  changes: record.changes.map((change) => ({ ...change, subject: say.coded(change.subject) })),
});
