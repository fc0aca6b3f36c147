'use client';

import { useWords } from '../kit/words';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useDraft } from '../live/draft';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  /** What is said of what, by which a half-typed text is known again. */
  about: string;
  words: readonly string[];
  onSay: (text: string) => void;
}

/** The trade's own words, one tap each, or typed. */
export function WordsSheet(props: Props) {
  return (
    <Sheet open={props.open} onOpenChange={props.onOpenChange} title={props.title}>
      <Words {...props} />
    </Sheet>
  );
}

function Words({ onOpenChange, words, onSay, about }: Props) {
  const say = useWords();
  const [typed, setTyped] = useDraft(about);
  const put = (text: string) => {
    onSay(text);
    setTyped('');
    onOpenChange(false);
  };
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-2">
        {words.map((word) => (
          <Button key={word} floor onClick={() => put(word)}>
            {word}
          </Button>
        ))}
      </div>
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (typed.trim()) put(typed.trim());
        }}
      >
        <label className="grid flex-1 gap-1 text-lg">
          {say('bench.inYourOwnWords')}
          <input
            value={typed}
            maxLength={2000}
            onChange={(event) => setTyped(event.target.value)}
            className="min-h-14 rounded border border-edge bg-ground px-4 text-xl"
          />
        </label>
        <Button type="submit" look="act" floor disabled={!typed.trim()}>
          {say('bench.sayIt')}
        </Button>
      </form>
    </div>
  );
}
