'use client';

import { useWords } from '../kit/words';
import { send } from '../live/command';
import { LanguageChoice } from './language-choice';
import { readIn } from './read-in';

/** What somebody reads, on every tablet that they sign in on. */
export function OwnLanguage() {
  const say = useWords();
  return (
    <section aria-label={say('shell.yourLanguage')} className="mt-4 border-t border-edge pt-3">
      <h3 className="mb-2 text-lg text-quiet">{say('shell.yourLanguage')}</h3>
      <LanguageChoice
        onChoose={async (language) => {
          const answer = await send('choose-language', { language });
          return answer.ok ? readIn('person', language) : answer;
        }}
      />
    </section>
  );
}
