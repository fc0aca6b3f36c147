import { coded, type Coded } from '../codes/coded';

/** What a finished batch is judged by. */
export const MARKS = ['rise', 'layers', 'crumb', 'colour', 'shape', 'taste'] as const;
export type Mark = (typeof MARKS)[number];

/** What only a dough with butter rolled in can have. */
export const LAMINATED_ONLY: readonly (Mark | FaultId)[] = [
  'layers',
  'flakes',
  'oozes',
  'butter-pool',
  'bread-like',
  'hollow',
];

/** From 1, not to be sold, to 5, as it should be. */
export type Score = 1 | 2 | 3 | 4 | 5;
export const SCORE_WORDS: Record<Score, Coded> = {
  1: coded('marks.notToBeSold'),
  2: coded('marks.poor'),
  3: coded('marks.fair'),
  4: coded('marks.good'),
  5: coded('marks.asItShouldBe'),
};

/** The judgement of one output: some or all marks, and what was seen of faults. */
export interface BatchMarks {
  kind: 'marked';
  marks: Partial<Record<Mark, Score>>;
  seen: FaultId[];
}

/** Faults of laminated and yeasted doughs that a baker sees, in the order in which work shows them. */
export const FAULT_IDS = [
  'flakes',
  'tears',
  'oozes',
  'springs',
  'no-rise',
  'butter-pool',
  'bread-like',
  'hollow',
  'flat',
  'skin',
  'unrolled',
  'leaked',
  'patchy',
  'pale',
  'uneven',
  'sour',
] as const;
export type FaultId = (typeof FAULT_IDS)[number];
