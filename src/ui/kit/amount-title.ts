import type { Say } from '@/words/say';

/** What a list of amounts is for: a stage of the formula by its name, or the part's own. */
export const amountTitle = (say: Say, what: { stage: string } | { part: string }): string =>
  'part' in what ? what.part : say('amounts.stage', { stage: what.stage.replace(/[ -]/g, '_') });
