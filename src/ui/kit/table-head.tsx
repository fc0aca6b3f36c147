/** The head of a table: what each column holds, quietly. */
export function TableHead({ headings }: { headings: readonly string[] }) {
  return (
    <thead>
      <tr className="border-b border-edge text-[15px] text-quiet">
        {headings.map((heading) => (
          <th key={heading} scope="col" className="py-1 pr-4 font-normal">
            {heading}
          </th>
        ))}
      </tr>
    </thead>
  );
}
