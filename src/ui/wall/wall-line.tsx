import clsx from 'clsx';

/** Letters that fit into one line at full size, and a size smaller: beside somebody's name fewer. */
const ROOM = { alone: { full: 18, smaller: 26 }, aside: { full: 13, smaller: 19 } };
/** Letters of the second line from which it is set smaller, smaller still, and on three lines. */
const SECOND = { small: 26, smaller: 60, three: 70 };

/** How large both texts are set, so that all of them is read in the height of a line: on two lines each where need be. */
function sizes(what: string, about: string, aside: string | undefined): [what: string, about: string] {
  const { full, smaller } = aside ? ROOM.aside : ROOM.alone;
  const isLong = what.length > smaller;
  const letters = about.length;
  if (letters > SECOND.three) return ['line-clamp-1 text-[30px]', 'line-clamp-3 text-[20px]'];
  if (isLong)
    return letters > SECOND.small
      ? ['line-clamp-2 text-[26px]', 'line-clamp-2 text-[20px]']
      : ['line-clamp-2 text-[30px]', 'line-clamp-1 text-[28px]'];
  const second =
    letters > SECOND.smaller ? 'text-[20px]' : letters > SECOND.small ? 'text-[24px]' : 'text-[32px]';
  return [`line-clamp-1 ${what.length > full ? 'text-[36px]' : 'text-[44px]'}`, `line-clamp-2 ${second}`];
}

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
  const [whatSize, aboutSize] = sizes(what, about, aside);
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
        {day && <span className="mb-1.5 block text-[30px] leading-tight font-normal">{day}</span>}
        {clock}
      </span>
      <span className="min-w-0 flex-1">
        <span className={clsx('leading-tight font-semibold', whatSize)}>{what}</span>
        <span className={clsx('leading-tight', aboutSize, isUrgent ? 'text-warn' : 'text-quiet')}>
          {about}
        </span>
      </span>
      {aside && <span className="shrink-0 text-[36px]">{aside}</span>}
    </div>
  );
}
