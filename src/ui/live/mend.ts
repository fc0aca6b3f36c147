'use client';

import type { Answer } from '@/core/wire/answer';
import { noAnswer } from './command';

/** How far a search is: how many go before it, or the plan's points so far and promises that are late in it. */
export type Progress = { before: number } | { points: number; late: number };

const post = (body: unknown) =>
  fetch('/api/plan/mend', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Works out a mend, telling how far it is; `stop` ends it with the best so far. */
export function workOutMend(seconds: number, onProgress: (progress: Progress) => void) {
  const job = crypto.randomUUID();
  const read = async (): Promise<Answer> => {
    try {
      const response = await post({ job, seconds });
      let last: Answer = noAnswer();
      let rest = '';
      const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
      for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
        const lines = (rest + part.value).split('\n');
        rest = lines.pop() ?? '';
        for (const line of lines) {
          const told = JSON.parse(line) as Progress | Answer;
          if ('points' in told || 'before' in told) onProgress(told);
          else last = told;
        }
      }
      return last;
    } catch {
      return noAnswer();
    }
  };
  return { answer: read(), stop: () => void post({ stop: job }) };
}
