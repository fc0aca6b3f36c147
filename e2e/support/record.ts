import type { Page } from '@playwright/test';

/** Records something of a step as the signed-in person, past the screen: for what a test only needs to have happened. */
export async function record(
  page: Page,
  doughId: number,
  stepKey: string,
  kind: string,
  more: Record<string, unknown> = {},
): Promise<void> {
  const answer = await page.evaluate(
    async (body) => {
      const response = await fetch('/api/commands/record-event', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: crypto.randomUUID(), ...body }),
      });
      return (await response.json()) as { ok: boolean; message?: string };
    },
    { doughId, stepKey, kind, ...more },
  );
  if (!answer.ok) throw new Error(answer.message);
}
