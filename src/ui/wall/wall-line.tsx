import clsx from 'clsx';

/** A name longer than this is set smaller, so that all of it is read. */
const LONG = 18;

/** One line on the wall: the time large, what it is, and whose or how much. */
export function WallLine({
  time,
  what,
  about,
  aside,
  isUrgent = false,
}: {
  time: string;
  what: string;
  about: string;
  aside?: string;
  isUrgent?: boolean;
}) {
  // "Fri 20:55": the day is for whoever wonders, the time for everybody.
  const [clock = '', day] = time.split(' ').reverse();
  return (
    <div className="flex h-full items-center gap-6">
      <span
        className={clsx(
          'w-44 shrink-0 font-label text-[60px] leading-none font-bold',
          isUrgent && 'text-warn',
        )}
      >
        {day && <span className="block text-[30px] font-normal">{day}</span>}
        {clock}
      </span>
      <span className="min-w-0 flex-1">
        <span
          className={clsx(
            'line-clamp-2 leading-tight font-semibold',
            what.length > LONG ? 'text-[30px]' : 'text-[44px]',
          )}
        >
          {what}
        </span>
        <span
          className={clsx(
            'block truncate leading-tight',
            what.length > LONG ? 'text-[28px]' : 'text-[32px]',
            isUrgent ? 'text-warn' : 'text-quiet',
          )}
        >
          {about}
        </span>
      </span>
      {aside && <span className="shrink-0 text-[36px]">{aside}</span>}
    </div>
  );
}
