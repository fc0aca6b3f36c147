'use client';

import { useState } from 'react';
import type { Answer } from '@/core/wire/answer';
import { LANGUAGE_NAMES } from '@/words/languages';
import { LANGUAGES, type Language } from '@/words/message';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

interface LanguageChoiceProps {
  onChoose: (language: Language) => Promise<Answer>;
}

/** The languages there are, each by its own name, as somebody finds it who reads no other. */
export function LanguageChoice({ onChoose }: LanguageChoiceProps) {
  const say = useWords();
  const [trouble, setTrouble] = useState<string | null>(null);
  const choose = async (language: Language) => {
    const answer = await onChoose(language);
    setTrouble(answer.ok ? null : answer.message);
  };
  return (
    <div role="group" aria-label={say('shell.language')} className="flex flex-wrap gap-2">
      {LANGUAGES.map((language) => (
        <Button
          key={language}
          floor
          lang={language}
          aria-pressed={say.language === language}
          onClick={() => void choose(language)}
        >
          {LANGUAGE_NAMES[language]}
        </Button>
      ))}
      {trouble && (
        <p role="alert" className="w-full text-lg text-warn">
          {trouble}
        </p>
      )}
    </div>
  );
}
