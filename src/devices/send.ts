/** Sends to the house as a gateway would. Throws with the house's own words where it refuses. */
export async function send(house: string, path: string, token: string, body: unknown): Promise<void> {
  const answer = await fetch(new URL(path, house), {
    method: 'POST',
    headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${answer.status}: ${await answer.text()}`);
}

/** The value of `--name`, or what it is otherwise. */
export function option(name: string, otherwise: string): string {
  const at = process.argv.indexOf(`--${name}`);
  return (at >= 0 ? process.argv[at + 1] : undefined) ?? otherwise;
}
