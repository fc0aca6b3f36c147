'use client';

import { LANGUAGE_NAMES } from '@/words/languages';
import { LANGUAGES, type Language } from '@/words/message';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

/** The languages there are, each by its own name, as somebody finds it who reads no other. */
export function LanguageChoice({ onChoose }: { onChoose: (language: Language) => void }) {
  const say = useWords();
  return (
    <div role="group" aria-label={say('shell.language')} className="flex flex-wrap gap-2">
      {LANGUAGES.map((language) => (
        <Button
          key={language}
          floor
          lang={language}
          aria-pressed={say.language === language}
          onClick={() => onChoose(language)}
        >
          {LANGUAGE_NAMES[language]}
        </Button>
      ))}
    </div>
  );
}
