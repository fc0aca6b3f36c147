'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { TakePhoto } from './take-photo';

interface Shown {
  id: string;
  at: number;
  by: string;
}

/** Photos of a dough, and one more. */
export function Photos({
  doughId,
  photos,
  zone,
}: {
  doughId: number;
  photos: readonly Shown[];
  zone: string;
}) {
  const say = useWords();
  const router = useRouter();
  return (
    <section id="photos" aria-label={say('batch.photos')} className="mt-6">
      <div className="flex flex-wrap items-center gap-4">
        <h2 className="text-2xl font-bold">{say('batch.photos')}</h2>
        <TakePhoto doughId={doughId} stepKey={null} onKept={() => router.refresh()} />
      </div>
      {photos.length > 0 && (
        <ul className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-4">
          {photos.map(({ id, at, by }) => (
            <li key={id}>
              <img
                src={`/api/photos/${id}`}
                alt={say('batch.takenBy', { by, time: say.dayTime(at, zone) })}
                className="aspect-4/3 w-full rounded border border-hairline object-cover"
              />
              <p className="text-[15px] text-quiet">
                {by}, {say.dayTime(at, zone)}
              </p>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
