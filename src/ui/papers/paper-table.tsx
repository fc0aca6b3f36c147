import type { ReactNode } from 'react';

/** A table of a printed list: ruled, so that it can be ticked with a pen; its head comes again on each page. */
export function PaperTable({
  head,
  rows,
}: {
  head: readonly string[];
  rows: readonly { key: string; cells: readonly ReactNode[] }[];
}) {
  return (
    <div className="relative overflow-x-auto print:overflow-visible">
      <table className="w-full border-collapse text-[17px] print:text-[12pt]">
        <thead>
          <tr className="border-b-2 border-ink text-left text-[15px] print:border-black">
            {head.map((name) => (
              <th key={name} scope="col" className="py-1 pr-3 font-normal">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, cells }) => (
            <tr
              key={key}
              className="break-inside-avoid border-b border-edge align-baseline print:border-black"
            >
              {cells.map((cell, i) => (
                <td key={head[i]} className="py-1 pr-3">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A box to tick with a pen. */
export const TickBox = () => (
  <span aria-hidden className="inline-block size-5 border border-ink print:border-black" />
);

/** Lines in groups by one of their words, in the order in which each group first comes. */
export function grouped<Line>(lines: readonly Line[], by: (line: Line) => string): [string, Line[]][] {
  const groups = new Map<string, Line[]>();
  for (const line of lines) groups.set(by(line), [...(groups.get(by(line)) ?? []), line]);
  return [...groups];
}
