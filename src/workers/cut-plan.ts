import { arrange, arrangeRound, type Arrangement, type Wanted } from '@/core/cutting/arrange';

/** A sheet to be laid out, and the number by which the answer is known. */
export interface CutAsk {
  nth: number;
  /** A disc, `length` across. */
  round: boolean;
  length: number;
  width: number;
  wanted: Wanted[];
}

export interface CutAnswer {
  nth: number;
  plan: Arrangement;
}

/** Lays pieces on a sheet beside the page, so that typing never waits for it. */
self.onmessage = ({ data: { nth, round, length, width, wanted } }: MessageEvent<CutAsk>) => {
  self.postMessage({
    nth,
    plan: round ? arrangeRound(length, wanted) : arrange(length, width, wanted),
  } satisfies CutAnswer);
};
