import clsx from 'clsx';

/** Letters that fit into one line at full size: beside somebody's name fewer. */
const ROOM = { alone: 18, aside: 13 };
/** Letters of the second line from which it is set smaller, and smaller still. */
const SECOND = { small: 26, smallest: 60 };

/** How large both lines are set, so that all of them is read in the height of a line: two lines each where need be. */
function sizes(what: string, about: string, aside: string | undefined): [what: string, about: string] {
  const isLong = what.length > (aside ? ROOM.aside : ROOM.alone);
  const isWide = about.length > SECOND.small;
  if (!isLong)
    return [
      'text-[44px]',
      !isWide ? 'text-[32px]' : about.length > SECOND.smallest ? 'text-[20px]' : 'text-[24px]',
    ];
  return isWide ? ['text-[26px]', 'text-[20px]'] : ['text-[30px]', 'text-[28px]'];
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
        <span className={clsx('line-clamp-2 leading-tight font-semibold', whatSize)}>{what}</span>
        <span
          className={clsx('line-clamp-2 leading-tight', aboutSize, isUrgent ? 'text-warn' : 'text-quiet')}
        >
          {about}
        </span>
      </span>
      {aside && <span className="shrink-0 text-[36px]">{aside}</span>}
    </div>
  );
}
