'use client';

import type { ReactNode } from 'react';
import { useEffect, useRef, useState } from 'react';
import { useWords } from '../kit/words';

/** How long a page of a list stays, ms: long enough to be read twice. */
const STAYS = 12_000;

/** A list on the wall with as many lines as have room; the others come by themselves, page by page. */
export function WallPages({
  title,
  lines,
  empty,
}: {
  title: string;
  lines: readonly ReactNode[];
  empty: string;
}) {
  const say = useWords();
  const room = useRef<HTMLDivElement>(null);
  const [fits, setFits] = useState(6);
  const [page, setPage] = useState(0);
  const pages = Math.max(1, Math.ceil(lines.length / fits));
  useEffect(() => {
    const box = room.current;
    if (!box) return;
    const look = () => setFits(Math.max(1, Math.floor(box.clientHeight / LINE)));
    const watching = new ResizeObserver(look);
    watching.observe(box);
    return () => watching.disconnect();
  }, []);
  useEffect(() => {
    if (pages < 2) return;
    const timer = setInterval(() => setPage((before) => before + 1), STAYS);
    return () => clearInterval(timer);
  }, [pages]);
  const at = page % pages;
  return (
    <section
      aria-label={title}
      className="flex min-h-0 min-w-0 flex-col bg-flour px-8 py-3"
      // A list of one line leaves its room to the other one of its column.
      style={{ flex: `${Math.min(MOST, Math.max(1, lines.length))} 1 0` }}
    >
      <h2 className="flex justify-between text-[32px] text-quiet">
        {title}
        {pages > 1 && <span>{say('wall.pageOf', { page: at + 1, pages })}</span>}
      </h2>
      <div ref={room} className="min-h-0 flex-1 overflow-hidden">
        {lines.length === 0 && <p className="text-[40px]">{empty}</p>}
        <ul>
          {lines.slice(at * fits, (at + 1) * fits).map((line, i) => (
            <li
              key={at * fits + i}
              className="overflow-hidden border-b-2 border-hairline"
              style={{ height: LINE }}
            >
              {line}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

/** Lines up to which a list asks for more room. */
const MOST = 3;

/** Height of a line, px: two rows that are read from four metres. */
const LINE = 116;
