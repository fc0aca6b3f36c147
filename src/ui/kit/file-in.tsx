'use client';

import { useWords } from './words';
import { useState } from 'react';

interface Props {
  label: string;
  accept: string;
  /** Longest text that is read, characters. */
  longest: number;
  text: string;
  /** What is wrong with what was read. */
  trouble?: string | null;
  onText: (text: string) => void;
}

/** A text shows in the field up to this; a longer one is in the file alone. */
const SHOWN = 20_000;

/** A text from a file, or pasted; a file that is too long is not read, and says so. */
export function FileIn({ label, accept, longest, text, trouble = null, onText }: Props) {
  const say = useWords();
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const choose = (file: File) => {
    // A character has up to four bytes, most have one.
    const tooLong = file.size > 2 * longest;
    const megabytes = (bytes: number) => Math.max(1, Math.round(bytes / 1e6));
    setTooLarge(
      tooLong
        ? say('kit.hasMBAtMostAre', {
            name: file.name,
            megabytes: megabytes(file.size),
            megabytes2: megabytes(2 * longest),
          })
        : null,
    );
    if (!tooLong) void file.text().then(onText);
  };
  return (
    <>
      <input
        type="file"
        aria-label={label}
        accept={accept}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) choose(file);
        }}
      />
      <label className="grid gap-1 text-[15px]">
        {say('kit.orPasteItHere')}
        <textarea
          rows={5}
          value={text.length > SHOWN ? '' : text}
          placeholder={text.length > SHOWN ? say('kit.tooLongToBeShown') : undefined}
          onChange={(event) => onText(event.target.value)}
          // A file that is let go over the field would open in place of the page.
          onDragOver={(event) => event.preventDefault()}
          onDrop={(event) => {
            const [file] = event.dataTransfer.files;
            if (!file) return;
            event.preventDefault();
            choose(file);
          }}
          className="w-full rounded border border-edge bg-ground p-2 font-mono text-[15px]"
        />
      </label>
      {(tooLarge ?? trouble) && (
        <p role="alert" className="text-warn">
          {tooLarge ?? trouble}
        </p>
      )}
    </>
  );
}
