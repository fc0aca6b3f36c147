'use client';

/** A choice for a knuckle: its label beside it, what is chosen large. */
export function FloorChoice({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: string;
  options: readonly { id: string; name: string }[];
  onChoose: (id: string) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-lg text-quiet">
      {label}
      <select
        value={value}
        onChange={(event) => onChoose(event.target.value)}
        className="min-h-14 rounded border border-edge bg-flour px-3 text-lg font-semibold text-ink"
      >
        {options.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
