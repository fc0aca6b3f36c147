'use client';

import { useWords } from '../kit/words';
import { useId, useState } from 'react';
import { useMinute } from '../live/clock';

/**
 * Takes a photo of a dough, or of one of its steps, by camera or from a file: made small here, kept here until it has
 * arrived. What it says goes below it. `onKept` when the house has it.
 */
export function TakePhoto({
  doughId,
  stepKey,
  onKept,
}: {
  doughId: number;
  stepKey: string | null;
  onKept?: () => void;
}) {
  const say = useWords();
  const field = useId();
  const now = useMinute();
  const [words, setWords] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    // Fetched with the first photo: no page waits for it.
    const [{ shrink }, { keepPhoto }] = await Promise.all([import('./shrink'), import('../live/photo-box')]);
    const photo = await shrink(file);
    if (!photo) return setWords(say('marks.isNoPictureThatCan', { name: file.name }));
    const answer = await keepPhoto({ doughId, stepKey, photo, at: now });
    if (answer.ok) onKept?.();
    if (answer.ok) return setWords(say('marks.photoKept'));
    setWords(answer.status === 0 ? say('marks.offlineThePhotoWaitsOn') : answer.message);
  };
  return (
    <div>
      <label
        htmlFor={field}
        className="grid min-h-14 cursor-pointer place-items-center rounded border border-edge bg-flour px-5 text-xl focus-within:outline-2 max-xl:px-1 max-xl:text-lg"
      >
        {say('marks.photo')}
        <input
          id={field}
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(event) => {
            void take(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </label>
      {words && (
        <p role="status" className="mt-1 text-base">
          {words}
        </p>
      )}
    </div>
  );
}
