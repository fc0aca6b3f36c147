import { TableHead } from '../kit/table-head';
import { useWords } from '../kit/words';

/** What a chart shows, to be read: folded away until somebody asks. */
export function ValueTable({
  headings,
  rows,
}: {
  headings: readonly string[];
  rows: readonly (readonly string[])[];
}) {
  const say = useWords();
  return (
    <details>
      <summary className="grid min-h-14 cursor-pointer content-center text-lg underline underline-offset-4">
        {say('trends.asTable')}
      </summary>
      <div className="max-h-80 overflow-y-auto" tabIndex={0} role="group" aria-label={say('trends.asTable')}>
        <table className="w-full border-collapse text-left text-lg">
          <TableHead headings={headings} />
          <tbody>
            {rows.map((row, i) => (
              <tr key={i} className="border-b border-hairline">
                {row.map((cell, j) => (
                  <td key={j} className="py-1 pr-4">
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
