/** A JSON column as it comes from the driver: text from one server, a value from another. */
export function json<T>(column: unknown): T {
  return (typeof column === 'string' ? JSON.parse(column) : column) as T;
}
