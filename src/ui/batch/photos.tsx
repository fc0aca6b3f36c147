'use client';

import { Camera } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useId, useState } from 'react';
import { dayTime } from '@/core/time/local';
import { keepPhoto, sendPhotos } from '../live/photo-box';
import { shrink } from './shrink';

interface Shown {
  id: string;
  at: number;
  by: string;
}

/** Photos of a dough, and one more by camera or file: made small here, kept here until it has arrived. */
export function Photos({
  doughId,
  photos,
  zone,
}: {
  doughId: number;
  photos: readonly Shown[];
  zone: string;
}) {
  const router = useRouter();
  const field = useId();
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    const send = () => void sendPhotos();
    send();
    window.addEventListener('online', send);
    return () => window.removeEventListener('online', send);
  }, []);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const photo = await shrink(file);
    if (!photo) return setTrouble(`${file.name} is no picture that can be shown, whatever it is called.`);
    const answer = await keepPhoto({ doughId, stepKey: null, photo });
    if (answer.ok) {
      setTrouble(null);
      return router.refresh();
    }
    setTrouble(answer.status === 0 ? 'The line is down; the photo waits on this tablet.' : answer.message);
  };
  return (
    <section aria-label="Photos" className="mt-6">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="text-2xl font-bold">Photos</h2>
        <label
          htmlFor={field}
          className="flex min-h-14 cursor-pointer items-center gap-2 rounded border border-edge bg-flour px-5 text-xl focus-within:outline-2"
        >
          <Camera aria-hidden size={22} /> Add a photo
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
      </div>
      {trouble && (
        <p role="alert" className="mt-2 border-l-4 border-warn pl-3 text-lg text-warn">
          {trouble}
        </p>
      )}
      {photos.length > 0 && (
        <ul className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-4">
          {photos.map(({ id, at, by }) => (
            <li key={id}>
              <img
                src={`/api/photos/${id}`}
                alt={`taken by ${by}, ${dayTime(at, zone)}`}
                className="aspect-4/3 w-full rounded border border-hairline object-cover"
              />
              <p className="text-[15px] text-quiet">
                {by}, {dayTime(at, zone)}
              </p>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
