async function answerOf(answer: Response): Promise<unknown> {
  if (!answer.ok) throw new Error(`${answer.status}: ${await answer.text()}`);
  return answer.json();
}

/** Sends to the house as a gateway would, and returns its answer. Throws with the house's own words where it refuses. */
export async function send(house: string, path: string, token: string, body: unknown): Promise<unknown> {
  return answerOf(
    await fetch(new URL(path, house), {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
      body: JSON.stringify(body),
    }),
  );
}

/** Asks the house as a gateway would. Throws with the house's own words where it refuses. */
export async function ask(house: string, path: string, token: string): Promise<unknown> {
  return answerOf(await fetch(new URL(path, house), { headers: { authorization: `Bearer ${token}` } }));
}

/** The value of `--name`, or what it is otherwise. */
export function option(name: string, otherwise: string): string {
  const at = process.argv.indexOf(`--${name}`);
  return (at >= 0 ? process.argv[at + 1] : undefined) ?? otherwise;
}

/** Tells whether the process is there that this one was started beside; without one, always. */
export function isRunning(pid: number): boolean {
  if (pid === 0) return true;
  try {
    return process.kill(pid, 0);
  } catch {
    return false;
  }
}
