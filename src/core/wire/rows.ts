/** Objects of few forms as rows: each form's names are written once, and what is an object or list inside once for all rows. */
export interface PackedRows {
  forms: string[][];
  /** Objects and lists that stand in rows, by their number. */
  values: unknown[];
}

/** A row: the number of its form, then its values; what stands in `values` as a list of its number. */
export type Row = [form: number, ...values: (string | number | boolean | null | [number])[]];

/** Makes what writes objects as rows, and the tables that they speak of. */
export function rowWriter(): { rowOf: (object: object) => Row; tables: PackedRows } {
  const tables: PackedRows = { forms: [], values: [] };
  const forms = new Map<string, number>();
  const byObject = new Map<object, [number]>();
  const byText = new Map<string, [number]>();
  const formOf = (names: string[]): number => {
    const text = names.join();
    const known = forms.get(text) ?? tables.forms.push(names) - 1;
    forms.set(text, known);
    return known;
  };
  const placeOf = (value: object): [number] => {
    const known = byObject.get(value);
    if (known) return known;
    // The same value may have come from the database twice.
    const text = JSON.stringify(value);
    const place: [number] = byText.get(text) ?? [tables.values.push(value) - 1];
    byText.set(text, place);
    byObject.set(value, place);
    return place;
  };
  const rowOf = (object: object): Row => {
    const entries = Object.entries(object).filter(([, value]) => value !== undefined) as [string, Row[1]][];
    const values = entries.map(([, value]) =>
      typeof value === 'object' && value !== null ? placeOf(value) : (value ?? null),
    );
    return [formOf(entries.map(([name]) => name)), ...values];
  };
  return { rowOf, tables };
}

/** Reads rows; what stood in several is one object in all of them. */
export function rowReader({ forms, values }: PackedRows): (row: Row) => Record<string, unknown> {
  return (row) => {
    const names = forms[row[0]] as string[];
    const object: Record<string, unknown> = {};
    for (let i = 0; i < names.length; i++) {
      const value = row[i + 1];
      object[names[i] as string] = Array.isArray(value) ? values[value[0]] : value;
    }
    return object;
  };
}
